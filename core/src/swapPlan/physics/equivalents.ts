import { groundspeedMps, windAlongTrack } from '../../air/windTriangle';
import { type Aircraft, spec } from '../../aircraft/aircraft';
import { type Cells, loadCurrentA } from '../../battery/cells';
import { ladenBy, type SolvedAircraft, withBattery } from '../../belief/flightContext';
import { gustyPowerW, standingPowerW } from '../../flight/powertrain';
import { type HomeRule, heightHomeM } from '../../reserve/homing';
import { track } from '../../reserve/plane';
import { cruiseHomeMps, type Position, progressAlong, returnAirspeedMps } from '../../reserve/returnHome';
import { getOrCreate } from '../../units/getOrCreate';
import type { Take } from '../request/problem';
import { workOf } from '../request/work';
import type { Fleet } from './fleet';
import { home, workLegs } from './fly';

/**
 * What a stretch of flight takes, by draw and last in the likeliest world: seconds of hover that would take as much of the
 * pack. Infinite where a draw cannot fly it.
 */
export type Equivalents = Float64Array;

export interface Stretch {
  readonly equivalents: Equivalents;
  /** In the likeliest world. */
  readonly durationS: number;
}

/** The stretches of flights of one kind of pack in one weather. */
export interface Stretches {
  /** From where the aircraft is to a take; from home where it is at none. */
  out(from: Take | null, to: Take): Stretch;
  /** From a take to the ground. */
  home(from: Take): Stretch;
  /** Setting a take up and taking it. */
  work(take: Take): Stretch;
}

/** Each stretch is computed once, since takes of a shot are alike; a flight has fewer than 1,024 shots to choose from. */
abstract class HeldStretches implements Stretches {
  private readonly stretches = new Map<number, Stretch>();

  out(from: Take | null, to: Take): Stretch {
    const key = (from ? from.shotIndex + 1 : 0) * 1024 + to.shotIndex;
    return getOrCreate(this.stretches, key, () => this.makeOut(from, to));
  }

  home(from: Take): Stretch {
    return getOrCreate(this.stretches, -1 - from.shotIndex, () => this.makeHome(from));
  }

  work(take: Take): Stretch {
    return getOrCreate(this.stretches, -1025 - take.shotIndex, () => this.makeWork(take));
  }

  protected abstract makeOut(from: Take | null, to: Take): Stretch;
  protected abstract makeHome(from: Take): Stretch;
  protected abstract makeWork(take: Take): Stretch;
}

/** Where amperes are compared: half of a flight is above it, half below. */
const referenceCharge = 0.6;
const referenceWarmthC = 24;
/** Powers of climbing and hovering on the way are taken at heights that far apart. */
const heightStepM = 10;

/** One draw's aircraft, and the amperes it hovers with. */
interface DrawnAircraft {
  readonly inAir: SolvedAircraft;
  readonly cells: Cells;
  readonly hoverA: number;
}

/**
 * Flights of one kind of pack in one weather, computed as sums: a power weighs by the amperes it draws from a pack that is 60 %
 * full, against those of a hover. Energy is not enough: a pack sags under load. Held to flights flown step by step in
 * `equivalents.test`; every flight of a plan is flown so before it is told.
 */
export class EquivalentSeconds extends HeldStretches {
  private made: readonly (DrawnAircraft | null)[] | null = null;
  private readonly aircraft: Aircraft;
  private readonly rates = new Map<string, Float64Array>();
  private readonly winds = new Map<number, Float64Array>();
  /** The same with other loads. */
  private readonly laden = new Map<number, EquivalentSeconds>();

  constructor(
    private readonly fleet: Fleet,
    private readonly kind: number,
    private readonly weather: number,
    /** Of the fleet, the likeliest world last. */
    private readonly draws: readonly number[],
    private readonly loadKg = 0,
  ) {
    super();
    const { aircraft } = fleet.problem.kinds[kind] as (typeof fleet.problem.kinds)[number];
    this.aircraft = aircraft.spec;
  }

  /** By draw; made when it is first asked for. */
  private get drawn(): readonly (DrawnAircraft | null)[] {
    this.made ??= this.drawnAircraft();
    return this.made;
  }

  private drawnAircraft(): (DrawnAircraft | null)[] {
    const { fleet, kind } = this;
    const solved = fleet.aircraft(kind, this.weather);
    const hoverPowers = hoverPowersW(fleet, kind, this.draws);
    return this.draws.map((draw, d) => {
      const inAir = solved.of(draw);
      if (!inAir) return null;
      const { cells } = cellsIn(fleet, kind, inAir, draw);
      const hoverA = loadCurrentA(cells, hoverPowers[d] as number, referenceCharge, referenceWarmthC);
      return hoverA > 0 ? { inAir: ladenBy(inAir, this.loadKg), cells, hoverA } : null;
    });
  }

  /** With what hangs on it for a take. */
  private carrying({ loadKg }: Take): EquivalentSeconds {
    if (loadKg === this.loadKg) return this;
    const { fleet, kind, weather, draws } = this;
    return getOrCreate(this.laden, loadKg, () => new EquivalentSeconds(fleet, kind, weather, draws, loadKg));
  }

  protected makeOut(from: Take | null, to: Take): Stretch {
    return this.carrying(to).transit(from?.position ?? home, to.position);
  }

  protected makeHome(from: Take): Stretch {
    return this.carrying(from).wayHome(from.position);
  }

  protected makeWork(take: Take): Stretch {
    const load = this.fleet.rules(this.kind).recordingLoadW;
    const equivalents = this.carrying(take).each(({ inAir }, rate) => {
      const legs = workLegs(inAir, take, load);
      if (!legs.ok) return Number.POSITIVE_INFINITY;
      return legs.value.reduce((sum, { powerW, durationS }) => sum + durationS * rate(powerW), 0);
    });
    return { equivalents, durationS: take.setUpS + take.shot.durationS };
  }

  /** As `reserve/transit` flies it. */
  private transit(from: Position, to: Position): Stretch {
    const riseM = to.heightM - from.heightM;
    const climbs = riseM > 0;
    const verticalS = Math.abs(riseM) / spec(this.aircraft, climbs ? 'climbSpeedMps' : 'descentSpeedMps');
    const { distanceM, trackDeg } = track(from, to);
    return this.together([
      this.vertical(verticalS, climbs ? 'climb' : 'stand', (from.heightM + to.heightM) / 2),
      ...(distanceM < 1 ? [] : [this.across(distanceM, trackDeg, to.heightM)]),
    ]);
  }

  /** As `reserve/returnHome` has it. */
  private wayHome(from: Position): Stretch {
    const landsInPlace = from.distanceM <= spec(this.aircraft, 'landInPlaceRadiusM');
    const rule = this.fleet.rules(this.kind).home;
    const cruiseM = heightHomeM(this.aircraft, from, rule);
    const riseM = cruiseM - from.heightM;
    const climbs = riseM > 0;
    const verticalS = Math.abs(riseM) / spec(this.aircraft, climbs ? 'climbSpeedMps' : 'descentSpeedMps');
    const landing = this.each(({ inAir }) => inAir.coefficients.landingAllowanceS);
    const down = this.rate('stand', 0);
    return this.together([
      this.vertical(verticalS, climbs ? 'climb' : 'stand', (cruiseM + from.heightM) / 2),
      ...(landsInPlace || from.distanceM === 0
        ? []
        : [this.acrossHome(from.distanceM, from.bearingDeg + 180, cruiseM, rule)]),
      this.vertical(cruiseM / spec(this.aircraft, 'descentSpeedMps'), 'stand', cruiseM / 2),
      { equivalents: landing.map((s, d) => s * (down[d] as number)), durationS: landing.at(-1) as number },
    ]);
  }

  private vertical(durationS: number, flow: 'climb' | 'stand', heightM: number): Stretch {
    if (durationS <= 0) return { equivalents: new Float64Array(this.drawn.length), durationS: 0 };
    const rate = this.rate(flow, Math.round(heightM / heightStepM) * heightStepM);
    return { equivalents: rate.map((one) => one * durationS), durationS };
  }

  private across(distanceM: number, trackDeg: number, heightM: number): Stretch {
    const winds = this.windsAt(heightM);
    const rate = this.rate('cruise', heightM);
    let lastsS = Number.POSITIVE_INFINITY;
    const equivalents = this.each(({ inAir }, _, d) => {
      const along = windAlongTrack(winds[2 * d] as number, winds[2 * d + 1] as number, trackDeg);
      const groundMps = groundspeedMps(returnAirspeedMps(inAir), along.headwindMps, along.crosswindMps);
      lastsS = groundMps > 0 ? distanceM / groundMps : Number.POSITIVE_INFINITY;
      return groundMps > 0 ? lastsS * (rate[d] as number) : Number.POSITIVE_INFINITY;
    });
    return { equivalents, durationS: lastsS };
  }

  /** The airspeed home may hang on the track, draw by draw (`reserve/returnHome`). */
  private acrossHome(distanceM: number, trackDeg: number, heightM: number, rule: HomeRule): Stretch {
    let lastsS = Number.POSITIVE_INFINITY;
    const equivalents = this.each(({ inAir }, rate) => {
      const airspeedMps = cruiseHomeMps(inAir, rule, { trackDeg, heightM });
      const { groundMps } = progressAlong(inAir.atmosphere, { trackDeg, heightM, airspeedMps });
      lastsS = groundMps > 0 ? distanceM / groundMps : Number.POSITIVE_INFINITY;
      if (!(groundMps > 0)) return lastsS;
      return lastsS * rate(gustyPowerW(inAir.powertrain, inAir.atmosphere(heightM), { airspeedMps }));
    });
    return { equivalents, durationS: lastsS };
  }

  private windsAt(heightM: number): Float64Array {
    return getOrCreate(this.winds, heightM, () => {
      const made = new Float64Array(2 * this.drawn.length);
      this.drawn.forEach((one, d) => {
        const air = one?.inAir.atmosphere(heightM);
        made[2 * d] = air?.windMps ?? 0;
        made[2 * d + 1] = air?.windFromDeg ?? 0;
      });
      return made;
    });
  }

  /** Equivalent seconds a second: standing in the wind, climbing there, or cruising home. */
  private rate(flow: 'climb' | 'stand' | 'cruise', heightM: number): Float64Array {
    const climbMps = flow === 'climb' ? spec(this.aircraft, 'climbSpeedMps') : 0;
    return getOrCreate(this.rates, `${flow} ${heightM}`, () =>
      this.each(({ inAir }, rate) => {
        const air = inAir.atmosphere(heightM);
        if (flow !== 'cruise') return rate(standingPowerW(inAir.powertrain, air, climbMps));
        return rate(gustyPowerW(inAir.powertrain, air, { airspeedMps: returnAirspeedMps(inAir) }));
      }),
    );
  }

  private each(
    of: (one: DrawnAircraft, rate: (powerW: number) => number, draw: number) => number,
  ): Float64Array {
    this.fleet.problem.work.add(workOf.stretch * this.drawn.length);
    return Float64Array.from(this.drawn, (one, draw) => {
      if (!one) return Number.POSITIVE_INFINITY;
      return of(one, (powerW) => amperes(one.cells, powerW) / one.hoverA, draw);
    });
  }

  private together(stretches: readonly Stretch[]): Stretch {
    const equivalents = new Float64Array(this.drawn.length);
    for (const one of stretches)
      for (let d = 0; d < equivalents.length; d++)
        equivalents[d] = (equivalents[d] as number) + (one.equivalents[d] as number);
    return { equivalents, durationS: stretches.reduce((sum, one) => sum + one.durationS, 0) };
  }
}

/** Farther apart than that, a stretch is no longer straight: where the wind is nearly too much, half of it is far less than half as bad. */
const maxRatio = 1.25;

/** Of a weather between two others, straight between theirs; where those are far apart, as it is in this one. */
export class StretchesBetween extends HeldStretches {
  constructor(
    private readonly before: Stretches,
    private readonly after: Stretches,
    private readonly share: number,
    private readonly itself: Stretches,
  ) {
    super();
  }

  protected makeOut(from: Take | null, to: Take): Stretch {
    return this.made((one) => one.out(from, to));
  }

  protected makeHome(from: Take): Stretch {
    return this.made((one) => one.home(from));
  }

  protected makeWork(take: Take): Stretch {
    return this.made((one) => one.work(take));
  }

  private made(of: (one: Stretches) => Stretch): Stretch {
    return this.between(of(this.before), of(this.after)) ?? of(this.itself);
  }

  private between(one: Stretch, other: Stretch): Stretch | null {
    const isNear = one.equivalents.every((a, d) => {
      const b = other.equivalents[d] as number;
      return a === b || (Number.isFinite(a) && Math.max(a, b) <= maxRatio * Math.min(a, b));
    });
    if (!isNear) return null;
    const mixed = (a: number, b: number) => (a === b ? a : a + (b - a) * this.share);
    const equivalents = one.equivalents.map((a, d) => mixed(a, other.equivalents[d] as number));
    return { equivalents, durationS: mixed(one.durationS, other.durationS) };
  }
}

/** Infinite where the pack cannot give it. */
function amperes(cells: Cells, powerW: number): number {
  const ampere = loadCurrentA(cells, powerW, referenceCharge, referenceWarmthC);
  return ampere > 0 ? ampere : Number.POSITIVE_INFINITY;
}

const hoverHeightM = 30;
const awayHeightM = 15;

/** The power all is weighed against, W by draw: a hover at 30 m in the first weather there is. */
export function hoverPowersW(fleet: Fleet, kind: number, draws: readonly number[]): readonly number[] {
  return standingPowersW(fleet, kind, draws, { heightM: hoverHeightM, climbMps: 0 });
}

/** What climbing away from the ground takes. */
export function climbPowersW(fleet: Fleet, kind: number, draws: readonly number[]): readonly number[] {
  const { aircraft } = fleet.problem.kinds[kind] as (typeof fleet.problem.kinds)[number];
  const climbMps = spec(aircraft.spec, 'climbSpeedMps');
  return standingPowersW(fleet, kind, draws, { heightM: awayHeightM, climbMps });
}

function standingPowersW(
  fleet: Fleet,
  kind: number,
  draws: readonly number[],
  { heightM, climbMps }: { readonly heightM: number; readonly climbMps: number },
): readonly number[] {
  const solved = fleet.aircraft(
    kind,
    fleet.problem.weathers.findIndex((one) => one !== null),
  );
  return draws.map((draw) => {
    const inAir = solved.of(draw);
    return inAir ? standingPowerW(inAir.powertrain, inAir.atmosphere(heightM), climbMps) : 0;
  });
}

/** The pack that a kind is named after. */
function cellsIn(fleet: Fleet, kind: number, inAir: SolvedAircraft, draw: number) {
  const { aircraft, battery } = fleet.problem.kinds[kind] as (typeof fleet.problem.kinds)[number];
  const world = fleet.world(fleet.problem.aircraft.indexOf(aircraft), draw);
  return withBattery(inAir, { battery, batteryId: battery.id }, world);
}
