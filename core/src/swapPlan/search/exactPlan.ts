import type { Departure } from '../physics/exactFlight';
import { asKept } from '../physics/fleet';
import type { Verdicts } from '../physics/verdicts';
import type { Pack, Problem, Take } from '../request/problem';
import type { FlightDraft, PlanDraft } from './draft';
import { shotsBegun } from './rank';

/** What may be looked at before a request is left to the search. */
const maxSequences = 120_000;
const maxTakesFree = 13;
const maxPacksKept = 8;
/** Rounds of doing without flights that sums held for sure and that are not. */
const maxRounds = 20;

/** A take-off weighs more than all torn takes, and those more than all minutes: the order of `rank`, in one number. */
const takeoffCost = 1e9;
const tornCost = 1e6;
/** A nice outweighs all that flights cost, and a must all nices. */
const niceWorth = 1e11;
const mustWorth = 100 * niceWorth;

/**
 * The flights of the best plan there is by all of its rank down to the minute of the end, found by looking at all: where nothing depends on
 * when a flight takes off, and there are few takes. Null where it does, or where that is too much; then it is searched for.
 * Which pack flies which of them is left to the rank.
 */
export function bestOfAll(
  problem: Problem,
  verdicts: Verdicts,
  isSure: (departure: Departure) => boolean,
): PlanDraft | null {
  const isFew =
    problem.takes.length <= maxTakesFree && (!problem.kept || problem.packs.length <= maxPacksKept);
  if (!isTimeless(problem) || !isFew) return null;
  const flights = new PossibleFlights(problem, verdicts);
  try {
    for (let round = 0; round < maxRounds; round++) {
      const columns = columnsOfAll(flights, problem);
      const best = problem.kept ? bestRising(problem, columns) : cheapestPartition(problem.takes, columns);
      const failing = best.filter((flight) => !isSure(flights.departure(flight)));
      if (failing.length === 0) return best;
      for (const flight of failing) flights.exclude(flight);
    }
    return null;
  } catch (error) {
    if (error instanceof TooMuch) return null;
    throw error;
  }
}

/** All flights there are, for a bench. */
export function allColumns(problem: Problem, verdicts: Verdicts): Columns[] {
  return columnsOfAll(new PossibleFlights(problem, verdicts), problem);
}

class TooMuch extends Error {}

/** Whether a flight is the same at any hour and after any other. */
function isTimeless({
  chargingPlaces,
  weathers,
  takes,
  packs,
  flown,
  request,
  excludedPacks,
}: Problem): boolean {
  return (
    chargingPlaces.length === 0 &&
    excludedPacks.size === 0 &&
    weathers.length === 1 &&
    flown.length === 0 &&
    (request.locks ?? []).length === 0 &&
    new Set(takes.map(({ placeIndex }) => placeIndex)).size <= 1 &&
    takes.every(({ windows, after, shot }) => windows === null && after.length === 0 && !shot.pin) &&
    packs.every(({ startC, waitingC }) => Math.abs(startC - waitingC) < 0.01)
  );
}

/** Which flights can be flown; each asked once for packs that are alike. */
class PossibleFlights {
  private readonly answers = new Map<string, boolean>();
  private readonly alike: readonly string[];

  constructor(
    private readonly problem: Problem,
    private readonly verdicts: Verdicts,
  ) {
    const isLearned = problem.beliefs.some(({ basis }) => basis.source === 'fit');
    this.alike = problem.packs.map(({ battery, kind }) => {
      const own = { id: isLearned ? battery.id : '', label: '', cycles: battery.cycles ?? 0 };
      return JSON.stringify([kind, { ...battery, ...own }]);
    });
  }

  /** The first of the packs that are like one. */
  firstAlike({ index }: Pack): number {
    return this.alike.indexOf(this.alike[index] as string);
  }

  departure({ pack: index, takes }: FlightDraft): Departure {
    const pack = this.problem.packs[index] as Pack;
    return { pack, takes, weather: 0, state: asKept(pack) };
  }

  has(flight: FlightDraft): boolean {
    const key = this.keyOf(flight);
    const held = this.answers.get(key);
    if (held !== undefined) return held;
    if (this.answers.size >= maxSequences) throw new TooMuch();
    const answer = this.verdicts.decide(this.departure(flight));
    this.answers.set(key, answer);
    return answer;
  }

  exclude(flight: FlightDraft): void {
    this.answers.set(this.keyOf(flight), false);
  }

  private keyOf({ pack, takes }: FlightDraft): string {
    return `${this.alike[pack]} ${takes.map(({ shotIndex }) => shotIndex).join()}`;
  }

  costOf({ pack, takes }: FlightDraft): number {
    const { kind } = this.problem.packs[pack] as Pack;
    const minutes = Math.ceil((this.verdicts.times(kind, 0, takes).touchdownS + this.problem.swapS) / 60);
    return takeoffCost + shotsBegun(takes) * tornCost + minutes;
  }
}

/** The flights a pack can do: sets of takes as bits, each in its cheapest order, with what it costs. */
export type Columns = ReadonlyMap<number, { readonly takes: readonly Take[]; readonly cost: number }>;

/** By pack; those that are alike have the same. */
function columnsOfAll(flights: PossibleFlights, problem: Problem): Columns[] {
  const columns: Columns[] = [];
  for (const pack of problem.packs)
    columns.push(columns[flights.firstAlike(pack)] ?? columnsOf(flights, problem, pack));
  return columns;
}

/** The sets of takes a pack can fly, each in its cheapest order. */
function columnsOf(flights: PossibleFlights, { takes, kept }: Problem, pack: Pack): Columns {
  const columns = new Map<number, { takes: readonly Take[]; cost: number }>();
  const extend = (sequence: readonly Take[], set: number): void => {
    for (const take of takes) {
      if (set & (1 << take.index) || !isNextOfAlike(takes, take, set)) continue;
      if (kept && take.index < (sequence.at(-1)?.index ?? 0)) continue;
      if (take.aircraftIndex !== null && take.aircraftIndex !== pack.aircraftIndex) continue;
      const longer = { pack: pack.index, takes: [...sequence, take] };
      if (!flights.has(longer)) continue;
      const cost = flights.costOf(longer);
      const larger = set | (1 << take.index);
      if (cost < (columns.get(larger)?.cost ?? Number.POSITIVE_INFINITY))
        columns.set(larger, { takes: longer.takes, cost });
      extend(longer.takes, larger);
    }
  };
  extend([], 0);
  return columns;
}

/** Takes of one shot are alike: within a flight the earlier comes first; which of them it is, others decide. */
function isNextOfAlike(takes: readonly Take[], { shotIndex, index }: Take, set: number): boolean {
  return takes.every(
    (other) => other.shotIndex !== shotIndex || other.index <= index || !(set & (1 << other.index)),
  );
}

/**
 * Free order: pack by pack the cheapest way to have done any set of takes, from the flights each can do; 3ⁿ steps for each pack
 * at most.
 */
export function cheapestPartition(takes: readonly Take[], columns: readonly Columns[]): PlanDraft {
  const all = 1 << takes.length;
  let cheapest = new Float64Array(all).fill(Number.POSITIVE_INFINITY);
  cheapest[0] = 0;
  const chosen: Int32Array[] = [];
  for (const flights of columns) {
    const next = cheapest.slice();
    const choice = new Int32Array(all);
    for (const [set, { cost }] of flights) {
      const rest = all - 1 - set;
      for (let done = rest; ; done = (done - 1) & rest) {
        const total = (cheapest[done] as number) + cost;
        if (total < (next[done | set] as number)) {
          next[done | set] = total;
          choice[done | set] = set;
        }
        if (done === 0) break;
      }
    }
    chosen.push(choice);
    cheapest = next;
  }
  const flights: FlightDraft[] = [];
  let set = bestSet(takes, cheapest);
  for (let pack = columns.length - 1; pack >= 0; pack--) {
    const flight = chosen[pack]?.[set] ?? 0;
    if (flight === 0) continue;
    flights.unshift({ pack, takes: columns[pack]?.get(flight)?.takes ?? [] });
    set &= ~flight;
  }
  return flights;
}

/** With most musts, then most nices, then cheapest. */
function bestSet(takes: readonly Take[], cheapest: Float64Array): number {
  let [best, bestWorth] = [0, Number.NEGATIVE_INFINITY];
  for (let set = 0; set < cheapest.length; set++) {
    const cost = cheapest[set] as number;
    if (cost === Number.POSITIVE_INFINITY) continue;
    const worth = worthOf(takes.filter(({ index }) => set & (1 << index))) - cost;
    if (worth > bestWorth) [best, bestWorth] = [set, worth];
  }
  return best;
}

interface Rising {
  readonly worth: number;
  readonly flights: PlanDraft;
}

/**
 * Order kept: flights are rising sequences of takes, each beginning after the last has ended; what lies between is
 * left out. Over where the next flight may begin and which packs are used.
 */
function bestRising({ packs }: Problem, columns: readonly Columns[]): PlanDraft {
  const known = new Map<number, Rising>();
  const from = (at: number, used: number): Rising => {
    const key = at * 1024 + used;
    const held = known.get(key);
    if (held) return held;
    let best: Rising = { worth: 0, flights: [] };
    for (const { index } of packs) {
      if (used & (1 << index)) continue;
      for (const { takes, cost } of (columns[index] as Columns).values()) {
        if ((takes[0] as Take).index < at) continue;
        const rest = from((takes.at(-1) as Take).index + 1, used | (1 << index));
        const worth = worthOf(takes) - cost + rest.worth;
        if (worth > best.worth) best = { worth, flights: [{ pack: index, takes }, ...rest.flights] };
      }
    }
    known.set(key, best);
    return best;
  };
  return from(0, 0).flights;
}

function worthOf(placed: readonly Take[]): number {
  return placed.reduce((sum, { must }) => sum + (must ? mustWorth : niceWorth), 0);
}
