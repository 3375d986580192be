import { groundspeedMps, windAlongTrack } from '../air/windTriangle';
import { type Aircraft, spec } from '../aircraft/aircraft';
import { type Cells, loadCurrentA } from '../battery/cells';
import type { World } from '../belief/belief';
import { ladenBy, type SolvedAircraft, withBattery } from '../belief/flightContext';
import { gustyPowerW, standingPowerW } from '../flight/powertrain';
import { type HomeRule, heightHomeM } from '../reserve/homing';
import { track } from '../reserve/plane';
import { cruiseHomeMps, type Position, progressAlong, returnAirspeedMps } from '../reserve/returnHome';
import type { Fleet } from './fleet';
import { home, workLegs } from './fly';
import type { Take } from './problem';
import { workOf } from './work';

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

/** Where amperes are compared: half of a flight is above it, half below. */
const usualCharge = 0.6;
const usualWarmthC = 24;
/** Powers of climbing and hovering on the way are taken at heights that far apart. */
const heightStepM = 10;

/** One draw's aircraft, and the amperes it hovers with. */
interface DrawnAircraft {
  readonly inAir: SolvedAircraft;
  readonly cells: Cells;
  readonly hoverA: number;
}

/**
 * Flights of one kind of pack in one weather, reckoned as sums: a power weighs by the amperes it draws from a pack that is 60 %
 * full, against those of a hover. Energy is not enough: a pack sags under load. Held to flights flown step by step in
 * `equivalents.test`; every flight of a plan is flown so before it is told.
 */
export class EquivalentSeconds {
  private readonly drawn: readonly (DrawnAircraft | null)[];
  private readonly aircraft: Aircraft;
  private readonly rates = new Map<string, Float64Array>();
  private readonly winds = new Map<number, Float64Array>();
  private readonly stretches = new Map<number, Stretch>();
  private readonly works = new Map<number, Stretch>();
  /** The same with other loads. */
  private readonly laden = new Map<number, EquivalentSeconds>();

  constructor(
    private readonly fleet: Fleet,
    private readonly kind: number,
    private readonly weather: number,
    private readonly loadKg = 0,
  ) {
    const { aircraft, battery } = fleet.problem.kinds[kind] as (typeof fleet.problem.kinds)[number];
    this.aircraft = aircraft.spec;
    const worlds = fleet.worlds(fleet.problem.aircraft.indexOf(aircraft));
    const reference = hoverAmperes(fleet, kind);
    this.drawn = fleet.aircraft(kind, weather).map((inAir, i) => {
      const hoverA = reference[i] as number;
      if (!inAir || !(hoverA > 0)) return null;
      const { cells } = withBattery(inAir, { battery, batteryId: battery.id }, worlds[i] as World);
      return { inAir: ladenBy(inAir, loadKg), cells, hoverA };
    });
  }

  /** With what hangs on it for a take. */
  private carrying({ loadKg }: Take): EquivalentSeconds {
    if (loadKg === this.loadKg) return this;
    const held = this.laden.get(loadKg);
    if (held) return held;
    const made = new EquivalentSeconds(this.fleet, this.kind, this.weather, loadKg);
    this.laden.set(loadKg, made);
    return made;
  }

  /** From where the aircraft is to a take; from home where it is at none. */
  out(from: Take | null, to: Take): Stretch {
    return this.held((from ? from.index + 1 : 0) * 1024 + to.index, () =>
      this.carrying(to).transit(from?.position ?? home, to.position),
    );
  }

  /** From a take to the ground. */
  home(from: Take): Stretch {
    return this.held(-1 - from.index, () => this.carrying(from).wayHome(from.position));
  }

  /** Setting a take up and taking it. */
  work(take: Take): Stretch {
    const held = this.works.get(take.index);
    if (held) return held;
    const load = this.fleet.rules(this.kind).recordingLoadW;
    const equivalents = this.carrying(take).each(({ inAir }, rate) => {
      const legs = workLegs(inAir, take, load);
      if (!legs.ok) return Number.POSITIVE_INFINITY;
      return legs.value.reduce((sum, { powerW, durationS }) => sum + durationS * rate(powerW), 0);
    });
    const made = { equivalents, durationS: take.setUpS + take.shot.durationS };
    this.works.set(take.index, made);
    return made;
  }

  private held(key: number, make: () => Stretch): Stretch {
    const held = this.stretches.get(key);
    if (held) return held;
    const made = make();
    this.stretches.set(key, made);
    return made;
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
    const held = this.winds.get(heightM);
    if (held) return held;
    const made = new Float64Array(2 * this.drawn.length);
    this.drawn.forEach((one, d) => {
      const air = one?.inAir.atmosphere(heightM);
      made[2 * d] = air?.windMps ?? 0;
      made[2 * d + 1] = air?.windFromDeg ?? 0;
    });
    this.winds.set(heightM, made);
    return made;
  }

  /** Equivalent seconds a second: standing in the wind, climbing there, or cruising home. */
  private rate(flow: 'climb' | 'stand' | 'cruise', heightM: number): Float64Array {
    const key = `${flow} ${heightM}`;
    const held = this.rates.get(key);
    if (held) return held;
    const climbMps = flow === 'climb' ? spec(this.aircraft, 'climbSpeedMps') : 0;
    const made = this.each(({ inAir }, rate) => {
      const air = inAir.atmosphere(heightM);
      if (flow !== 'cruise') return rate(standingPowerW(inAir.powertrain, air, climbMps));
      return rate(gustyPowerW(inAir.powertrain, air, { airspeedMps: returnAirspeedMps(inAir) }));
    });
    this.rates.set(key, made);
    return made;
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

/** Infinite where the pack cannot give it. */
function amperes(cells: Cells, powerW: number): number {
  const ampere = loadCurrentA(cells, powerW, usualCharge, usualWarmthC);
  return ampere > 0 ? ampere : Number.POSITIVE_INFINITY;
}

const hoverHeightM = 30;

/** The power all is weighed against, W by draw: a hover at 30 m in the first weather there is. */
export function hoverPowersW(fleet: Fleet, kind: number): readonly number[] {
  const weather = fleet.problem.weathers.findIndex((one) => one !== null);
  return fleet.aircraft(kind, weather).map((inAir) => {
    if (!inAir) return 0;
    return standingPowerW(inAir.powertrain, inAir.atmosphere(hoverHeightM));
  });
}

function hoverAmperes(fleet: Fleet, kind: number): readonly number[] {
  const { aircraft, battery } = fleet.problem.kinds[kind] as (typeof fleet.problem.kinds)[number];
  const worlds = fleet.worlds(fleet.problem.aircraft.indexOf(aircraft));
  const weather = fleet.problem.weathers.findIndex((one) => one !== null);
  const powers = hoverPowersW(fleet, kind);
  return fleet.aircraft(kind, weather).map((inAir, i) => {
    if (!inAir) return 0;
    const { cells } = withBattery(inAir, { battery, batteryId: battery.id }, worlds[i] as World);
    const ampere = loadCurrentA(cells, powers[i] as number, usualCharge, usualWarmthC);
    return ampere;
  });
}
