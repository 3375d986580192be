import { spec } from '../aircraft/aircraft';
import { cellChargeOf } from '../battery/gauge';
import { drain, momentAtCharge } from '../flight/drain';
import { leastAtTouchdown } from '../reserve/policy';
import { EquivalentSeconds, hoverPowersW } from './equivalents';
import type { Departure, Foreseen } from './exactFlight';
import { Fleet, type PackState } from './fleet';
import type { Pack, Problem, Take } from './problem';

/** A sequence of takes as one flight, before it is known with which pack. */
export interface Need {
  /** Equivalent seconds until touch-down, after whichever take that is longest; by draw, last in the likeliest world. */
  readonly wholeS: readonly number[];
  /** Until its last take ends. */
  readonly takenS: readonly number[];
  /** In the likeliest world, from take-off: the takes themselves, and touch-down. */
  readonly takes: readonly { readonly beginS: number; readonly endS: number }[];
  readonly touchdownS: number;
}

/** Flights that begin alike, and what they go on with: by the index of the next take. */
interface Begun {
  readonly need: Need | null;
  readonly next: Map<number, Begun & { readonly need: Need }>;
}

/** What a pack has for a flight, in equivalent seconds, by draw. */
interface Capacity {
  readonly untilReserveS: Float64Array;
  /** Until half of what is spendable is gone; infinite where the policy does not ask. */
  readonly untilHalfS: Float64Array;
}

const chargeStep = 0.05;
/** Packs are taken as cold as the step below. */
const warmthStepC = 2;
/** A charge is asked for no finer than that. */
const finestCharge = 0.002;
/** A flight's sums, as a share of what the pack has, within which they do not say for sure whether it is enough. */
export interface Brim {
  readonly over: number;
  readonly under: number;
}

/**
 * Sums weigh a flight that ends at the reserve 0 to 1.6 % too heavily (`equivalents.test`), since a pack has more volts before
 * the charge at which amperes are compared than it lacks after it.
 */
export const brim: Brim = { over: 0.005, under: 0.02 };
/** Numbers held at most; older ones are reckoned anew. */
const mostHeld = 3_000_000;

/**
 * Whether a pack flies a sequence of takes at the pilot's confidence, by sums of equivalent seconds: millions of them are asked
 * while a plan is sought. A sequence that failed when it was flown step by step is handicapped, so that the search leaves it.
 */
export class Verdicts {
  readonly fleet: Fleet;
  private readonly flights: Map<string, EquivalentSeconds>;
  private readonly needs: Map<number, Begun>;
  private needsHeld = 0;
  private readonly capacities: Map<string, Capacity>;
  private readonly leasts: Map<string, number | null>;
  private readonly handicaps: Map<string, number>;
  private readonly flown: Map<string, boolean>;
  private readonly hovers: Map<number, readonly number[]>;
  private readonly mayFail: number;

  /** What is known of the flights of a problem is shared with one that differs only in its circumstances (`inCircumstances`). */
  constructor(
    readonly problem: Problem,
    readonly draws: number,
    known?: Verdicts,
  ) {
    this.fleet = known?.fleet ?? new Fleet(problem, draws);
    this.flights = known?.flights ?? new Map();
    this.needs = known?.needs ?? new Map();
    this.capacities = known?.capacities ?? new Map();
    this.leasts = known?.leasts ?? new Map();
    this.handicaps = known?.handicaps ?? new Map();
    this.flown = known?.flown ?? new Map();
    this.hovers = known?.hovers ?? new Map();
    this.mayFail = Math.floor((1 - problem.confidence) * draws + 1e-9);
  }

  need(kind: number, weather: number, takes: readonly Take[]): Need {
    let begun = this.begun(kind * this.problem.weathers.length + weather);
    let from: Take | null = null;
    for (const take of takes) {
      let longer = begun.next.get(take.index);
      if (!longer) {
        longer = { need: this.longer(kind, weather, begun.need, from, take), next: new Map() };
        begun.next.set(take.index, longer);
        this.needsHeld++;
      }
      begun = longer;
      from = take;
    }
    return begun.need as Need;
  }

  private begun(key: number): Begun {
    if (this.needsHeld * 2 * (this.draws + 1) > mostHeld) {
      this.needs.clear();
      this.needsHeld = 0;
    }
    const held = this.needs.get(key) ?? { need: null, next: new Map() };
    this.needs.set(key, held);
    return held;
  }

  private longer(kind: number, weather: number, before: Need | null, from: Take | null, take: Take): Need {
    const flight = this.flightsOf(kind, weather);
    const [out, work, home] = [flight.out(from, take), flight.work(take), flight.home(take)];
    const size = this.draws + 1;
    const [wholeS, takenS] = [new Array<number>(size), new Array<number>(size)];
    for (let d = 0; d < size; d++) {
      const taken =
        (before ? (before.takenS[d] as number) : 0) +
        (out.equivalents[d] as number) +
        (work.equivalents[d] as number);
      takenS[d] = taken;
      wholeS[d] = Math.max(
        before ? (before.wholeS[d] as number) : 0,
        taken + (home.equivalents[d] as number),
      );
    }
    const beginS = (before?.takes.at(-1)?.endS ?? 0) + out.durationS + take.setUpS;
    const endS = beginS + take.shot.durationS;
    return {
      wholeS,
      takenS,
      takes: [...(before?.takes ?? []), { beginS, endS }],
      touchdownS: endS + home.durationS,
    };
  }

  /** Whether the weather lets any flight of a kind be begun. */
  hasWeather(weather: number): boolean {
    return this.problem.weathers[weather] != null;
  }

  fits(pack: Pack, state: PackState, weather: number, takes: readonly Take[]): boolean {
    const known = state.asKept ? this.flown.get(asKeptKey(pack, state, weather, takes)) : undefined;
    if (known !== undefined) return known;
    const need = this.need(pack.kind, weather, takes);
    const capacity = this.capacity(pack, state, weather);
    if (state.asKept && this.judge && this.outside(need, capacity, brim) === null) {
      const judged = this.judge({ pack, state, weather, takes });
      if (judged !== null) {
        this.showed(judged, { pack, state, weather, takes }, 1);
        return judged;
      }
      this.judge = null;
    }
    const factor = this.handicaps.get(keyOf(pack.kind, weather, takes)) ?? 1;
    return this.enough(need, capacity, factor);
  }

  /** Who flies a flight step by step where sums cannot say; null once that was asked too often. */
  judge: ((departure: Departure) => boolean | null) | null = null;

  /** Whether a flight fits above the brim, does not even below it, or is so near that sums cannot say: null. */
  surely(
    pack: Pack,
    state: PackState,
    weather: number,
    takes: readonly Take[],
    within: Brim = brim,
  ): boolean | null {
    return this.outside(this.need(pack.kind, weather, takes), this.capacity(pack, state, weather), within);
  }

  /** Which draws of a flight sums are sure of, and which are so near the reserve that they must be flown. */
  foreseen({ pack, state, weather, takes }: Departure): Foreseen {
    const need = this.need(pack.kind, weather, takes);
    const capacity = this.capacity(pack, state, weather);
    const open: number[] = [];
    let failed = 0;
    for (let d = 0; d < this.draws; d++) {
      if (!isShort(need, capacity, d, 1 + brim.over)) continue;
      if (isShort(need, capacity, d, 1 - brim.under)) failed++;
      else open.push(d);
    }
    return { failed, open };
  }

  private outside(need: Need, capacity: Capacity, { over, under }: Brim): boolean | null {
    if (this.enough(need, capacity, 1 + over)) return true;
    return this.enough(need, capacity, 1 - under) ? null : false;
  }

  private enough(need: Need, capacity: Capacity, factor: number): boolean {
    if (isShort(need, capacity, this.draws, factor)) return false;
    let failed = 0;
    for (let d = 0; d < this.draws; d++)
      if (isShort(need, capacity, d, factor) && ++failed > this.mayFail) return false;
    return true;
  }

  /** The least gauge with which a pack may take off for it; null where even a full one is too little. */
  leastCharge(pack: Pack, temperatureC: number, weather: number, takes: readonly Take[]): number | null {
    const key = `${pack.index} ${Math.floor(temperatureC)} ${keyOf(pack.kind, weather, takes)}`;
    const held = this.leasts.get(key);
    if (held !== undefined) return held;
    const made = this.leastBetween(pack, temperatureC, weather, takes);
    this.leasts.set(key, made);
    return made;
  }

  /** Between the charges that are drained once, and then straight between two of them. */
  private leastBetween(
    pack: Pack,
    temperatureC: number,
    weather: number,
    takes: readonly Take[],
  ): number | null {
    const need = this.need(pack.kind, weather, takes);
    const factor = this.handicaps.get(keyOf(pack.kind, weather, takes)) ?? 1;
    const at = (node: number) =>
      this.drained(pack, { charge: atNode(node), temperatureC, asKept: false }, weather);
    let [short, enough] = [0, Math.round(1 / chargeStep)];
    if (!this.enough(need, at(enough), factor)) return null;
    while (enough - short > 1) {
      const middle = (short + enough) >> 1;
      if (this.enough(need, at(middle), factor)) enough = middle;
      else short = middle;
    }
    const [low, high] = [at(short), at(enough)];
    let [from, to] = [0, 1];
    while ((to - from) * chargeStep > finestCharge) {
      const share = (from + to) / 2;
      if (this.enough(need, between(low, high, share), factor)) to = share;
      else from = share;
    }
    return atNode(short) + to * chargeStep;
  }

  /** What flying a flight step by step showed: it stands for a pack as it was kept; once charged otherwise, the sequence weighs more. */
  showed(isSure: boolean, { pack, state, weather, takes }: Departure, factor: number): void {
    if (state.asKept) this.flown.set(asKeptKey(pack, state, weather, takes), isSure);
    else if (!isSure) this.handicap(pack.kind, weather, takes, factor);
  }

  private handicap(kind: number, weather: number, takes: readonly Take[], factor: number): void {
    const key = keyOf(kind, weather, takes);
    this.handicaps.set(key, (this.handicaps.get(key) ?? 1) * factor);
    this.leasts.clear();
  }

  /** The likeliest equivalent seconds of a flight, as a share of what the pack has. */
  filled(pack: Pack, state: PackState, weather: number, takes: readonly Take[]): number {
    const { wholeS } = this.need(pack.kind, weather, takes);
    return (
      (wholeS[this.draws] as number) /
      (this.capacity(pack, state, weather).untilReserveS[this.draws] as number)
    );
  }

  capacity(pack: Pack, state: PackState, weather: number): Capacity {
    if (state.asKept) return this.drained(pack, state, weather);
    const below = Math.floor(state.charge / chargeStep + 1e-9) * chargeStep;
    const share = (state.charge - below) / chargeStep;
    const at = (charge: number) =>
      this.drained(pack, { ...state, charge: Number(charge.toFixed(4)) }, weather);
    if (share < 1e-6) return at(below);
    return between(at(below), at(Math.min(1, below + chargeStep)), share);
  }

  private drained(pack: Pack, state: PackState, weather: number): Capacity {
    const airC = Math.round(this.problem.weathers[weather]?.airTemperatureC ?? 0);
    const temperatureC = Math.floor(state.temperatureC / warmthStepC) * warmthStepC;
    const key = `${pack.index} ${state.asKept ? 'kept' : state.charge} ${temperatureC} ${airC}`;
    const held = this.capacities.get(key);
    if (held) return held;
    const { policy } = this.problem.request;
    const aircraft = (this.problem.aircraft[pack.aircraftIndex] as Problem['aircraft'][number]).spec;
    const leastGauge = leastAtTouchdown(policy, spec(aircraft, 'forcedLandingCharge'));
    const size = this.draws + 1;
    const untilReserveS = new Float64Array(size);
    const untilHalfS = new Float64Array(size).fill(Number.POSITIVE_INFINITY);
    const hover = this.hoversOf(pack.kind);
    this.fleet.contexts(pack, { ...state, temperatureC }, weather).forEach((context, d) => {
      if (!context) return;
      const { cells, takeoff } = context;
      const least = cellChargeOf(leastGauge, cells.hidden);
      const curve = drain(cells, hover[d] as number, context.airC, takeoff);
      if (curve.timeS.length === 0 || takeoff.charge <= least) return;
      untilReserveS[d] = momentAtCharge(curve, least).timeS;
      if (policy.kind === 'half-out-half-home') {
        untilHalfS[d] = momentAtCharge(curve, (takeoff.charge + least) / 2).timeS;
      }
    });
    const made = { untilReserveS, untilHalfS };
    if (this.capacities.size * 2 * size > mostHeld) this.capacities.clear();
    this.capacities.set(key, made);
    return made;
  }

  private hoversOf(kind: number): readonly number[] {
    const held = this.hovers.get(kind);
    if (held) return held;
    const made = hoverPowersW(this.fleet, kind);
    this.hovers.set(kind, made);
    return made;
  }

  flightsOf(kind: number, weather: number): EquivalentSeconds {
    const key = `${kind} ${weather}`;
    const held = this.flights.get(key);
    if (held) return held;
    const made = new EquivalentSeconds(this.fleet, kind, weather);
    this.flights.set(key, made);
    return made;
  }
}

/** Whether a draw has too little for a flight, or takes beyond the half. */
function isShort(
  { wholeS, takenS }: Need,
  { untilReserveS, untilHalfS }: Capacity,
  draw: number,
  factor: number,
): boolean {
  return (
    !((wholeS[draw] as number) * factor <= (untilReserveS[draw] as number)) ||
    !((takenS[draw] as number) * factor <= (untilHalfS[draw] as number))
  );
}

function keyOf(kind: number, weather: number, takes: readonly Take[]): string {
  let key = `${kind}|${weather}`;
  for (const { index } of takes) key += `,${index}`;
  return key;
}

function asKeptKey(pack: Pack, { temperatureC }: PackState, weather: number, takes: readonly Take[]): string {
  return `${pack.index} ${Math.floor(temperatureC)} ${keyOf(pack.kind, weather, takes)}`;
}

function atNode(node: number): number {
  return Number((node * chargeStep).toFixed(4));
}

/** Straight between two charges. */
function between(low: Capacity, high: Capacity, share: number): Capacity {
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
