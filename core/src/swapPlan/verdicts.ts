import { spec } from '../aircraft/aircraft';
import { cellChargeOf } from '../battery/gauge';
import { drain, momentAtCharge } from '../flight/drain';
import { leastAtTouchdown } from '../reserve/policy';
import { mayFail } from '../statistics/orderStatistic';
import { EquivalentSeconds, hoverPowersW } from './equivalents';
import { type Departure, type Foreseen, isSure } from './exactFlight';
import { Fleet, type PackState } from './fleet';
import type { Pack, Problem, Take } from './problem';

/** When what happens in a flight, in the likeliest world; from take-off: the takes themselves, and touch-down. */
export interface Times {
  readonly takes: readonly { readonly beginS: number; readonly endS: number }[];
  readonly touchdownS: number;
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
 * Sums weigh a flight that ends at the reserve 0 to 2 % too heavily (`equivalents.test`), since a pack has more volts before
 * the charge at which amperes are compared than it lacks after it. Rarely too lightly: of 214 near the brim one, by 3.6 %, in a weak pack that
 * sags to its cut-off on the way home. What lies nearer than that is flown.
 */
export const brim: Brim = { over: 0.04, under: 0.025 };
/** The search hopes for more: what it takes for sure is flown before it is told. */
const hopedBrim: Brim = { over: 0.005, under: 0.025 };
/** Numbers held at most; older ones are reckoned anew. */
const mostHeld = 3_000_000;

/**
 * Whether a pack flies a sequence of takes at the pilot's confidence, by sums of equivalent seconds: millions of them are asked
 * while a plan is sought. A sequence that failed when it was flown step by step is handicapped, so that the search leaves it.
 */
export class Verdicts {
  readonly fleet: Fleet;
  private readonly flights: Map<number, EquivalentSeconds>;
  private readonly capacities: Map<string, Capacity>;
  private readonly leasts: Map<string, number | null>;
  private readonly handicaps: Map<string, number>;
  private readonly flown: Map<string, boolean>;
  private readonly hovers: Map<number, readonly number[]>;
  private readonly mayFail: number;
  /** The same of the likeliest world alone: times are its, and much of what is too long is so there already. */
  private readonly likeliest: Verdicts;
  /** The flight that is looked at. */
  private readonly laid = new LaidOut();

  /** What is known of the flights of a problem is shared with one that differs only in its circumstances (`inCircumstances`). */
  constructor(
    readonly problem: Problem,
    readonly draws: number,
    known?: Verdicts,
  ) {
    this.fleet = known?.fleet ?? new Fleet(problem, draws);
    this.flights = known?.flights ?? new Map();
    this.capacities = known?.capacities ?? new Map();
    this.leasts = known?.leasts ?? new Map();
    this.handicaps = known?.handicaps ?? new Map();
    this.flown = known?.flown ?? new Map();
    this.hovers = known?.hovers ?? new Map();
    this.likeliest = draws > 0 ? (known?.likeliest ?? new Verdicts(problem, 0)) : this;
    this.mayFail = mayFail(problem.confidence, draws);
  }

  times(kind: number, weather: number, takes: readonly Take[]): Times {
    const flight = this.likeliest.flightsOf(kind, weather);
    const told: { beginS: number; endS: number }[] = [];
    let [nowS, from]: [number, Take | null] = [0, null];
    for (const take of takes) {
      const beginS = nowS + flight.out(from, take).durationS + take.setUpS;
      nowS = beginS + take.shot.durationS;
      told.push({ beginS, endS: nowS });
      from = take;
    }
    return { takes: told, touchdownS: nowS + (from ? flight.home(from).durationS : 0) };
  }

  /** Whether the weather lets any flight of a kind be begun. */
  hasWeather(weather: number): boolean {
    return this.problem.weathers[weather] != null;
  }

  fits(pack: Pack, state: PackState, weather: number, takes: readonly Take[]): boolean {
    const known = isPlain(state) ? this.flown.get(plainKey(pack, state, weather, takes)) : undefined;
    if (known !== undefined) return known;
    if (this.isHopeless(pack, state, weather, takes)) return false;
    const capacity = this.capacity(pack, state, weather);
    this.laid.lay(this.flightsOf(pack.kind, weather), takes);
    if (isPlain(state) && this.judge && this.outside(capacity, hopedBrim) === null) {
      const judged = this.judge({ pack, state, weather, takes });
      if (judged !== null) {
        this.showed(judged, { pack, state, weather, takes }, 1);
        return judged;
      }
      this.judge = null;
    }
    const factor = this.handicaps.get(keyOf(pack.kind, weather, takes)) ?? 1;
    return this.enough(capacity, factor);
  }

  /** Too long in the likeliest world already, beyond the brim; seen without a look at the draws. */
  isHopeless(pack: Pack, state: PackState, weather: number, takes: readonly Take[]): boolean {
    return this.likeliest.surely(pack, state, weather, takes) === false;
  }

  /** Who flies a flight step by step where sums cannot say; null once that was asked too often. */
  private judge: ((departure: Departure) => boolean | null) | null = null;

  /** So many flights may be flown step by step because sums cannot say; in the draws of verdicts of the same problem. */
  mayFly(count: number, fine: Verdicts = this): void {
    let left = count;
    this.judge = (departure) => (left-- > 0 ? isSure(fine.fleet, departure, fine.foreseen(departure)) : null);
  }

  /** Whether a flight fits above the brim, does not even below it, or is so near that sums cannot say: null. */
  surely(
    pack: Pack,
    state: PackState,
    weather: number,
    takes: readonly Take[],
    within: Brim = brim,
  ): boolean | null {
    const capacity = this.capacity(pack, state, weather);
    this.laid.lay(this.flightsOf(pack.kind, weather), takes);
    return this.outside(capacity, within);
  }

  /** Which draws of a flight sums are sure of, and which are so near the reserve that they must be flown. */
  foreseen({ pack, state, weather, takes }: Departure): Foreseen {
    const capacity = this.capacity(pack, state, weather);
    this.laid.lay(this.flightsOf(pack.kind, weather), takes);
    const open: number[] = [];
    let failed = 0;
    for (let d = 0; d < this.draws; d++) {
      if (!this.laid.isShort(capacity, d, 1 + brim.over)) continue;
      if (this.laid.isShort(capacity, d, 1 - brim.under)) failed++;
      else open.push(d);
    }
    return { failed, open };
  }

  private outside(capacity: Capacity, { over, under }: Brim): boolean | null {
    if (this.enough(capacity, 1 + over)) return true;
    return this.enough(capacity, 1 - under) ? null : false;
  }

  private enough(capacity: Capacity, factor: number): boolean {
    if (this.laid.isShort(capacity, this.draws, factor)) return false;
    let failed = 0;
    for (let d = 0; d < this.draws; d++)
      if (this.laid.isShort(capacity, d, factor) && ++failed > this.mayFail) return false;
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
    const full = { charge: 1, temperatureC, asKept: false };
    if (!this.fits(pack, full, weather, takes)) return null;
    const factor = this.handicaps.get(keyOf(pack.kind, weather, takes)) ?? 1;
    const at = (node: number) =>
      this.drained(pack, { charge: atNode(node), temperatureC, asKept: false }, weather);
    this.laid.lay(this.flightsOf(pack.kind, weather), takes);
    let [short, enough] = [0, Math.round(1 / chargeStep)];
    // Sums would refuse a full one, which was flown and is enough.
    if (!this.enough(at(enough), factor)) return 1;
    while (enough - short > 1) {
      const middle = (short + enough) >> 1;
      if (this.enough(at(middle), factor)) enough = middle;
      else short = middle;
    }
    const [low, high] = [at(short), at(enough)];
    let [from, to] = [0, 1];
    while ((to - from) * chargeStep > finestCharge) {
      const share = (from + to) / 2;
      if (this.enough(between(low, high, share), factor)) to = share;
      else from = share;
    }
    return atNode(short) + to * chargeStep;
  }

  /** What flying a flight step by step showed: it stands for a pack as it was kept, or full; charged otherwise, the sequence weighs more. */
  showed(isSure: boolean, { pack, state, weather, takes }: Departure, factor: number): void {
    if (isPlain(state)) {
      this.flown.set(plainKey(pack, state, weather, takes), isSure);
      this.leasts.clear();
    } else if (!isSure) this.handicap(pack.kind, weather, takes, factor);
  }

  private handicap(kind: number, weather: number, takes: readonly Take[], factor: number): void {
    const key = keyOf(kind, weather, takes);
    this.handicaps.set(key, (this.handicaps.get(key) ?? 1) * factor);
    this.leasts.clear();
  }

  /** How much of a hover is left over after a flight in as many draws as the confidence asks for, s; by sums. */
  spareS(pack: Pack, state: PackState, weather: number, takes: readonly Take[]): number {
    const { untilReserveS } = this.capacity(pack, state, weather);
    this.laid.lay(this.flightsOf(pack.kind, weather), takes);
    const spare = Float64Array.from({ length: this.draws }, (_, d) => {
      const left = (untilReserveS[d] as number) - this.laid.wholeS(d);
      return Number.isNaN(left) ? Number.NEGATIVE_INFINITY : left;
    }).sort();
    const likeliest = (untilReserveS[this.draws] as number) - this.laid.wholeS(this.draws);
    return Math.max(0, Math.min(likeliest, spare[this.mayFail] ?? likeliest));
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
    const airC = this.airC(weather);
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
      const curve = drain(cells, hover[d] as number, airC, takeoff);
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

  /** Weathers of a day share what a pack has, to the degree. */
  private airC(weather: number): number {
    const { weathers } = this.problem;
    const airC = weathers[weather]?.airTemperatureC ?? 0;
    return weathers.length > 1 ? Math.round(airC) : airC;
  }

  private hoversOf(kind: number): readonly number[] {
    const held = this.hovers.get(kind);
    if (held) return held;
    const made = hoverPowersW(this.fleet, kind);
    this.hovers.set(kind, made);
    return made;
  }

  flightsOf(kind: number, weather: number): EquivalentSeconds {
    const key = kind * this.problem.weathers.length + weather;
    const held = this.flights.get(key);
    if (held) return held;
    const made = new EquivalentSeconds(this.fleet, kind, weather);
    this.flights.set(key, made);
    return made;
  }
}

/** The stretches of one flight after the other, by draw; laid out anew for each flight, since millions are looked at. */
class LaidOut {
  private readonly outs: Float64Array[] = [];
  private readonly works: Float64Array[] = [];
  private readonly homes: Float64Array[] = [];
  private count = 0;
  private isOneLoad = true;

  lay(flight: EquivalentSeconds, takes: readonly Take[]): void {
    let from: Take | null = null;
    this.count = takes.length;
    this.isOneLoad = true;
    for (let i = 0; i < takes.length; i++) {
      const take = takes[i] as Take;
      if (from && take.loadKg !== from.loadKg) this.isOneLoad = false;
      this.outs[i] = flight.out(from, take).equivalents;
      this.works[i] = flight.work(take).equivalents;
      this.homes[i] = flight.home(take).equivalents;
      from = take;
    }
  }

  /** Whether a draw has too little for the way home after any take, takes beyond the half, or cannot hang it all on one flight. */
  isShort({ untilReserveS, untilHalfS }: Capacity, draw: number, factor: number): boolean {
    if (!this.isOneLoad) return true;
    const mostS = (untilReserveS[draw] as number) / factor;
    let takenS = 0;
    for (let i = 0; i < this.count; i++) {
      takenS += (this.outs[i]?.[draw] as number) + (this.works[i]?.[draw] as number);
      if (!(takenS + (this.homes[i]?.[draw] as number) <= mostS)) return true;
    }
    return !(takenS * factor <= (untilHalfS[draw] as number));
  }

  /** Until touch-down, after whichever take that is longest. */
  wholeS(draw: number): number {
    let [takenS, wholeS] = [0, 0];
    for (let i = 0; i < this.count; i++) {
      takenS += (this.outs[i]?.[draw] as number) + (this.works[i]?.[draw] as number);
      wholeS = Math.max(wholeS, takenS + (this.homes[i]?.[draw] as number));
    }
    return wholeS;
  }
}

function keyOf(kind: number, weather: number, takes: readonly Take[]): string {
  let key = `${kind}|${weather}`;
  for (const { index } of takes) key += `,${index}`;
  return key;
}

/** A pack that is asked for again and again: as it was kept, or full. */
function isPlain({ asKept, charge }: PackState): boolean {
  return asKept || charge > 1 - 1e-9;
}

function plainKey(
  pack: Pack,
  { asKept, temperatureC }: PackState,
  weather: number,
  takes: readonly Take[],
): string {
  return `${pack.index} ${asKept ? 'kept' : 'full'} ${Math.floor(temperatureC)} ${keyOf(pack.kind, weather, takes)}`;
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
