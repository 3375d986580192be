import { mayFail } from '../../statistics/orderStatistic';
import { getOrCreate } from '../../units/getOrCreate';
import { type Pack, type Problem, quarterS, type Take } from '../request/problem';
import { Capacities, type Capacity, chargeSteps } from './capacity';
import { EquivalentSeconds, type Stretches, StretchesBetween } from './equivalents';
import { type Departure, isSure } from './exactFlight';
import type { Fleet, PackState } from './fleet';
import { FlightBuffer } from './flightBuffer';

/** When what happens in a flight, in the likeliest world; from take-off: the takes themselves, and touch-down. */
export interface Times {
  readonly takes: readonly { readonly beginS: number; readonly endS: number }[];
  readonly touchdownS: number;
}

/** A charge is asked for no finer than that. */
const finestCharge = 0.001;

/** A flight's sums, as a share of what the pack has, within which they do not say for sure whether it is enough. */
export interface UncertaintyMargin {
  readonly over: number;
  readonly under: number;
}

/**
 * Sums weigh a flight that ends at the reserve 0 to 2 % too heavily (`equivalents.test`), since a pack has more volts before
 * the charge at which amperes are compared than it lacks after it. Rarely too lightly: of 214 near the reserve one, by 3.6 %, in a weak
 * pack that sags to its cut-off on the way home.
 */
export const uncertaintyMargin: UncertaintyMargin = { over: 0.04, under: 0.025 };
/** So what weighs this much of its pack is taken as enough while a plan is sought: what is too much shows when it is flown exactly. */
const weighedTooHeavily = 0.99;
/** In a small request, for packs as they were kept or full, what sums put nearer than this to the reserve is flown while a plan is sought. */
const nearMargin: UncertaintyMargin = { over: 0.005, under: 0.025 };
const maxTakesFlown = 12;
const fullWithin = 1e-3;
/** For a charged pack a flight weighs so much more: a minute more on the charger saves planning it anew. */
const chargedWith = 1.01;
/** By so much more a flight weighs for a charged pack each time it was found not to be sure. */
const handicapStep = 1.01;

/**
 * Whether a pack flies a sequence of takes at the pilot's confidence, by sums of equivalent seconds in some of the draws, of which as many
 * may fail as of all: millions of flights are asked about while a plan is sought, and the hardest draws decide. What a flight
 * flown exactly showed (`learnNotSure`) stands before any sum.
 */
export class Verdicts {
  /** Rises whenever something was learned that may change a verdict. */
  version = 0;
  private readonly flights = new Map<number, Stretches>();
  private readonly capacities: Capacities;
  private readonly leasts = new Map<string, number | null>();
  private readonly notSure = new Set<string>();
  private readonly near = new Map<string, boolean>();
  private readonly fliesNear: boolean;
  private readonly handicaps = new Map<string, number>();
  private readonly buffer = new FlightBuffer();
  private readonly count: number;
  private readonly withLikeliest: readonly number[];
  private readonly spares: Float64Array;
  /** The same of the likeliest world alone: times are its, and much of what is too long is so there already. */
  private readonly likeliest: Verdicts;

  constructor(
    readonly fleet: Fleet,
    /** The hardest first, without the likeliest world. */
    readonly draws: readonly number[],
    /** How many of them may fail. */
    readonly maxFailures = mayFail(fleet.problem.confidence, fleet.likeliest),
  ) {
    this.count = draws.length;
    this.spares = new Float64Array(draws.length);
    const { takes, weathers } = fleet.problem;
    this.fliesNear = draws.length > 0 && weathers.length === 1 && takes.length <= maxTakesFlown;
    this.withLikeliest = [...draws, fleet.likeliest];
    this.capacities = new Capacities(fleet, this.withLikeliest);
    this.likeliest = draws.length > 0 ? new Verdicts(fleet, [], 0) : this;
  }

  private get problem(): Problem {
    return this.fleet.problem;
  }

  times(kind: number, weather: number, takes: readonly Take[]): Times {
    const flight = this.likeliest.flightsOf(kind, weather);
    const times: { beginS: number; endS: number }[] = [];
    let [nowS, from]: [number, Take | null] = [0, null];
    for (const take of takes) {
      const beginS = nowS + flight.out(from, take).durationS + take.setUpS;
      nowS = beginS + take.shot.durationS;
      times.push({ beginS, endS: nowS });
      from = take;
    }
    return { takes: times, touchdownS: nowS + (from ? flight.home(from).durationS : 0) };
  }

  fits(pack: Pack, state: PackState, weather: number, takes: readonly Take[]): boolean {
    if (this.notSure.size > 0 && this.notSure.has(exactKey({ pack, state, weather, takes }))) return false;
    if (this.isHopeless(pack, state, weather, takes)) return false;
    const isFull = state.charge > 1 - fullWithin;
    const handicap = state.asKept ? 1 : this.handicapOf(pack, weather, takes);
    if (this.fliesNear && (state.asKept || isFull)) {
      const bySums = this.surely(pack, state, weather, takes, nearMargin);
      if (bySums !== null) return bySums;
      return this.flownNear({ pack, state, weather, takes });
    }
    const capacity = this.capacity(pack, state, weather);
    this.buffer.load(this.flightsOf(pack.kind, weather), takes);
    return this.isEnough(capacity, handicap * (state.asKept || isFull ? weighedTooHeavily : chargedWith));
  }

  /** In the draws that sums leave open. */
  private flownNear(departure: Departure): boolean {
    return getOrCreate(this.near, exactKey(departure), () => this.decide(departure));
  }

  /** Too long in the likeliest world already, beyond the margin; seen without a look at the draws. */
  isHopeless(pack: Pack, state: PackState, weather: number, takes: readonly Take[]): boolean {
    return this.likeliest.surely(pack, state, weather, takes) === false;
  }

  /** Whether a flight fits with more than the margin, does not by more than that, or is so near that sums cannot say: null. */
  surely(
    pack: Pack,
    state: PackState,
    weather: number,
    takes: readonly Take[],
    { over, under } = uncertaintyMargin,
  ): boolean | null {
    const capacity = this.capacity(pack, state, weather);
    this.buffer.load(this.flightsOf(pack.kind, weather), takes);
    if (this.isEnough(capacity, 1 + over)) return true;
    return this.isEnough(capacity, 1 - under) ? null : false;
  }

  /** How many draws sums are sure fail, and which are so near the reserve that they must be flown. */
  foreseen({ pack, state, weather, takes }: Departure): {
    readonly failures: number;
    readonly open: number[];
  } {
    const capacity = this.capacity(pack, state, weather);
    this.buffer.load(this.flightsOf(pack.kind, weather), takes);
    const open: number[] = [];
    let failures = 0;
    this.draws.forEach((draw, d) => {
      if (!this.buffer.isShort(capacity, d, 1 + uncertaintyMargin.over)) return;
      if (this.buffer.isShort(capacity, d, 1 - uncertaintyMargin.under)) failures++;
      else open.push(draw);
    });
    return { failures, open };
  }

  /** Whether a flight is sure: by sums where they can say, else by flying what is open. */
  decide(departure: Departure): boolean {
    const { pack, state, weather, takes } = departure;
    const bySums = this.surely(pack, state, weather, takes);
    if (bySums !== null) return bySums;
    const { failures, open } = this.foreseen(departure);
    return isSure(this.fleet, departure, open, this.maxFailures - failures);
  }

  private isEnough(capacity: Capacity, factor: number): boolean {
    if (this.buffer.isShort(capacity, this.count, factor)) return false;
    let failures = 0;
    for (let d = 0; d < this.count; d++) {
      if (failures + this.count - d <= this.maxFailures) return true;
      if (this.buffer.isShort(capacity, d, factor) && ++failures > this.maxFailures) return false;
    }
    return true;
  }

  /** The least gauge with which a charged pack may take off for it; null where even a full one is too little. */
  leastCharge(pack: Pack, temperatureC: number, weather: number, takes: readonly Take[]): number | null {
    const key = `${pack.index} ${Math.floor(temperatureC)} ${keyOf(pack.kind, weather, takes)}`;
    return getOrCreate(this.leasts, key, () => {
      const full = { charge: 1, temperatureC, asKept: false };
      return this.fits(pack, full, weather, takes) ? this.leastOf(pack, temperatureC, weather, takes) : null;
    });
  }

  private leastOf(pack: Pack, temperatureC: number, weather: number, takes: readonly Take[]): number {
    const factor = chargedWith * this.handicapOf(pack, weather, takes);
    this.buffer.load(this.flightsOf(pack.kind, weather), takes);
    const isEnough = (charge: number) =>
      this.isEnough(this.capacity(pack, { charge, temperatureC, asKept: false }, weather), factor);
    // Between two charges at which packs are drained, found from about where they must be: each is a drain in every draw.
    let step = this.stepsAbout(pack, temperatureC, weather, takes);
    while (step < chargeSteps && !isEnough(step / chargeSteps)) step++;
    while (step > 1 && isEnough((step - 1) / chargeSteps)) step--;
    let [short, enough] = [(step - 1) / chargeSteps, step / chargeSteps];
    while (enough - short > finestCharge) {
      const middle = (short + enough) / 2;
      if (isEnough(middle)) enough = middle;
      else short = middle;
    }
    return enough;
  }

  private stepsAbout(pack: Pack, temperatureC: number, weather: number, takes: readonly Take[]): number {
    const full = { charge: 1, temperatureC, asKept: false };
    const hasS = this.capacity(pack, full, weather).untilReserveS[this.count] as number;
    const share = 1 - this.spareS(pack, full, weather, takes) / hasS;
    return Math.max(1, Math.ceil(chargeSteps * share));
  }

  /** A flight was not sure when it was flown exactly: it fits no more, and for a charged pack it needs a little more charge. */
  learnNotSure(departure: Departure): void {
    const { pack, weather, takes, state } = departure;
    this.notSure.add(exactKey(departure));
    if (!state.asKept) {
      const handicap = this.handicapOf(pack, weather, takes) * handicapStep;
      this.handicaps.set(keyOf(pack.kind, weather, takes), handicap);
    }
    this.leasts.clear();
    this.version++;
  }

  private handicapOf({ kind }: Pack, weather: number, takes: readonly Take[]): number {
    return this.handicaps.size > 0 ? (this.handicaps.get(keyOf(kind, weather, takes)) ?? 1) : 1;
  }

  /** How much of a hover is left over after a flight in as many draws as the confidence asks for, s; by sums. */
  spareS(pack: Pack, state: PackState, weather: number, takes: readonly Take[]): number {
    const { untilReserveS } = this.capacity(pack, state, weather);
    this.buffer.load(this.flightsOf(pack.kind, weather), takes);
    for (let d = 0; d < this.count; d++) {
      const leftS = (untilReserveS[d] as number) - this.buffer.wholeS(d);
      this.spares[d] = Number.isNaN(leftS) ? Number.NEGATIVE_INFINITY : leftS;
    }
    const spare = this.spares.sort();
    const likeliest = (untilReserveS[this.count] as number) - this.buffer.wholeS(this.count);
    return Math.max(0, Math.min(likeliest, spare[this.maxFailures] ?? likeliest));
  }

  capacity(pack: Pack, state: PackState, weather: number): Capacity {
    return this.capacities.of(pack, state, weather);
  }

  /** Weathers that are computed; what lies between two of them takes no less than in the better one. */
  get ownWeathers(): number[] {
    const { weathers, rowWeathers } = this.problem;
    const own = weathers.flatMap((one, weather) => (one && !this.rowsAround(weather) ? [weather] : []));
    return [...own, ...rowWeathers.map((_, row) => weathers.length + row)];
  }

  /** The rows that a quarter of an hour lies between, and how far from the first to the second; in the likeliest world it is computed itself. */
  private rowsAround(weather: number): { readonly row: number; readonly share: number } | null {
    const { weathers, rowWeathers } = this.problem;
    if (this.count === 0 || weather >= weathers.length) return null;
    const middleS = (weather + 0.5) * quarterS;
    const after = rowWeathers.findIndex(({ atS }) => atS > middleS);
    const [one, other] = [rowWeathers[after - 1], rowWeathers[after]];
    if (!one || !other || !weathers[weather]) return null;
    return { row: after - 1, share: (middleS - one.atS) / (other.atS - one.atS) };
  }

  /** Draw by draw exactly for each row of the weather, straight between; in the likeliest world always, since clock times are its. */
  flightsOf(kind: number, weather: number): Stretches {
    const { weathers, rowWeathers } = this.problem;
    const key = kind * (weathers.length + rowWeathers.length) + weather;
    return getOrCreate(this.flights, key, () => {
      const around = this.rowsAround(weather);
      const ofRow = (row: number) => this.flightsOf(kind, weathers.length + row);
      const itself = new EquivalentSeconds(this.fleet, kind, weather, this.withLikeliest);
      return around
        ? new StretchesBetween(ofRow(around.row), ofRow(around.row + 1), around.share, itself)
        : itself;
    });
  }
}

/** Takes of a shot are alike. */
function keyOf(kind: number, weather: number, takes: readonly Take[]): string {
  let key = `${kind}|${weather}`;
  for (const { shotIndex } of takes) key += `,${shotIndex}`;
  return key;
}

/** To the degree and a thousandth of the charge. */
function exactKey({ pack, state, weather, takes }: Departure): string {
  const charge = state.asKept ? 'kept' : state.charge.toFixed(3);
  return `${pack.index} ${charge} ${Math.floor(state.temperatureC)} ${keyOf(pack.kind, weather, takes)}`;
}
