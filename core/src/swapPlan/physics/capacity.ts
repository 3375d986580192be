import { spec } from '../../aircraft/aircraft';
import { cellChargeOf } from '../../battery/gauge';
import { drain, momentAtCharge } from '../../flight/drain';
import { flyLegs } from '../../flight/legs';
import { minAtTouchdown } from '../../reserve/policy';
import { getOrCreate } from '../../units/getOrCreate';
import type { Pack, Problem } from '../request/problem';
import { climbPowersW, hoverPowersW } from './equivalents';
import type { Fleet, PackState } from './fleet';

/** What a pack has for a flight, in equivalent seconds, by draw and last in the likeliest world. */
export interface Capacity {
  readonly untilReserveS: Float64Array;
  /** Until half of what is spendable is gone; infinite where the policy does not ask. */
  readonly untilHalfS: Float64Array;
}

/** Packs are drained at so many charges, and at temperatures so far apart; between them it goes straight from one to the other. */
export const chargeSteps = 20;
const warmthStepC = 6;
/** A pack as it was kept, whatever its charge. */
const keptNode = chargeSteps + 1;
/** A climb that every flight begins with, s; a pack warmer than that climbs if it hovers. */
const climbS = 2;
const coldC = 15;
/** What lies between is taken down to such steps, so that much is asked for again. */
const finestCharge = 0.001;
const finestWarmthC = 0.25;
const keptCharge = 1 / finestCharge + 1;
/** Numbers held at most; older ones are computed again. */
const maxHeld = 3_000_000;

/** What the packs of a fleet have, in some of its draws. */
export class Capacities {
  private readonly between = new Map<number, Capacity>();
  private readonly drainedOnce = new Map<number, Capacity>();
  private readonly hovers = new Map<number, readonly number[]>();
  private readonly climbPowers = new Map<number, readonly number[]>();
  private readonly climbs = new Map<number, readonly boolean[]>();

  constructor(
    private readonly fleet: Fleet,
    /** The likeliest world last. */
    private readonly draws: readonly number[],
  ) {}

  of(pack: Pack, state: PackState, weather: number): Capacity {
    const fine = Math.floor(state.temperatureC / finestWarmthC);
    const charge = state.asKept ? keptCharge : Math.floor(state.charge / finestCharge + 1e-6);
    const key =
      ((pack.index * 1024 + charge) * 1024 + fine + 512) * 512 + Math.round(this.airC(weather)) + 256;
    return this.held(this.between, key, () => {
      const temperatureC = fine * finestWarmthC;
      const nodes = charge * finestCharge * chargeSteps;
      const node = state.asKept ? keptNode : Math.floor(nodes + 1e-9);
      const at = (one: number) => this.atWarmth(pack, one, temperatureC, weather);
      const has = state.asKept
        ? at(node)
        : between(at(node), () => at(Math.min(node + 1, chargeSteps)), nodes - node);
      return temperatureC < coldC ? this.whereItClimbs(has, pack, node, temperatureC, weather) : has;
    });
  }

  /** Nothing in draws in which a cold pack, though it would hover, sags too low to climb away. */
  private whereItClimbs(
    has: Capacity,
    pack: Pack,
    chargeNode: number,
    temperatureC: number,
    weather: number,
  ): Capacity {
    const degree = Math.floor(temperatureC);
    const key = this.keyOf(pack, chargeNode, degree, weather);
    const climbs = getOrCreate(this.climbs, key, () =>
      this.climbsAway(pack, stateAt(pack, chargeNode, degree), weather),
    );
    if (climbs.every((one) => one)) return has;
    return { ...has, untilReserveS: has.untilReserveS.map((one, d) => (climbs[d] ? one : 0)) };
  }

  /** By draw. */
  private climbsAway(pack: Pack, state: PackState, weather: number): readonly boolean[] {
    const climbW = getOrCreate(this.climbPowers, pack.kind, () =>
      climbPowersW(this.fleet, pack.kind, this.draws),
    );
    const contexts = this.fleet.contexts(pack, state, weather);
    const airC = this.airC(weather);
    return this.draws.map((draw, d) => {
      const context = contexts.of(draw);
      const leg = { powerW: climbW[d] as number, durationS: climbS };
      return context !== null && flyLegs(context.cells, [leg], airC, context.takeoff) !== null;
    });
  }

  private held(map: Map<number, Capacity>, key: number, make: () => Capacity): Capacity {
    if (map.size * 2 * this.draws.length > maxHeld) map.clear();
    return getOrCreate(map, key, make);
  }

  private atWarmth(pack: Pack, chargeNode: number, temperatureC: number, weather: number): Capacity {
    const node = Math.floor(temperatureC / warmthStepC);
    const at = (one: number) => this.atNode(pack, chargeNode, one, weather);
    return between(at(node), () => at(node + 1), temperatureC / warmthStepC - node);
  }

  private atNode(pack: Pack, chargeNode: number, warmthNode: number, weather: number): Capacity {
    const key = this.keyOf(pack, chargeNode, warmthNode, weather);
    return this.held(this.drainedOnce, key, () => {
      return this.drained(
        pack,
        stateAt(pack, chargeNode, warmthNode * warmthStepC),
        weather,
        this.airC(weather),
      );
    });
  }

  private keyOf(pack: Pack, chargeNode: number, warmth: number, weather: number): number {
    return ((pack.index * 32 + chargeNode) * 128 + warmth + 64) * 512 + Math.round(this.airC(weather)) + 256;
  }

  private drained(pack: Pack, state: PackState, weather: number, airC: number): Capacity {
    const { aircraft, request } = this.fleet.problem;
    const flown = (aircraft[pack.aircraftIndex] as Problem['aircraft'][number]).spec;
    const minGauge = minAtTouchdown(request.policy, spec(flown, 'forcedLandingCharge'));
    const untilReserveS = new Float64Array(this.draws.length);
    const untilHalfS = new Float64Array(this.draws.length).fill(Number.POSITIVE_INFINITY);
    const hoverW = getOrCreate(this.hovers, pack.kind, () => hoverPowersW(this.fleet, pack.kind, this.draws));
    const contexts = this.fleet.contexts(pack, state, weather);
    this.draws.forEach((draw, d) => {
      const context = contexts.of(draw);
      if (!context) return;
      const { cells, takeoff } = context;
      const least = cellChargeOf(minGauge, cells.hidden);
      const curve = drain(cells, hoverW[d] as number, airC, takeoff);
      if (curve.timeS.length === 0 || takeoff.charge <= least) return;
      untilReserveS[d] = momentAtCharge(curve, least).timeS;
      if (request.policy.kind === 'half-out-half-home')
        untilHalfS[d] = momentAtCharge(curve, (takeoff.charge + least) / 2).timeS;
    });
    return { untilReserveS, untilHalfS };
  }

  /** Weathers of a day share what a pack has, to the degree. */
  private airC(weather: number): number {
    const { weathers } = this.fleet.problem;
    const airC = weathers[weather]?.airTemperatureC ?? 0;
    return weathers.length > 1 ? Math.round(airC) : airC;
  }
}

function stateAt(pack: Pack, chargeNode: number, temperatureC: number): PackState {
  const asKept = chargeNode === keptNode;
  return { charge: asKept ? pack.startCharge : chargeNode / chargeSteps, temperatureC, asKept };
}

/** Straight between two; the other is asked for only where it counts. */
function between(low: Capacity, highOf: () => Capacity, share: number): Capacity {
  if (share < 1e-6) return low;
  const high = highOf();
  const mixed = (one: Float64Array, other: Float64Array) => {
    const made = new Float64Array(one.length);
    for (let d = 0; d < made.length; d++) {
      const [a, b] = [one[d] as number, other[d] as number];
      made[d] = a === b ? a : a + (b - a) * share;
    }
    return made;
  };
  return {
    untilReserveS: mixed(low.untilReserveS, high.untilReserveS),
    untilHalfS:
      low.untilHalfS[0] === Number.POSITIVE_INFINITY
        ? low.untilHalfS
        : mixed(low.untilHalfS, high.untilHalfS),
  };
}
