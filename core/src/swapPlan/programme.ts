import { type Departure, isSure } from './exactFlight';
import { asKept, type Fleet } from './fleet';
import type { Pack, Problem, Take } from './problem';
import type { Draft, DraftFlight } from './schedule';
import type { Verdicts } from './verdicts';

/** What may be looked at before a request is left to the search. */
const mostSequences = 120_000;
const mostTakesFree = 13;
const mostPacksKept = 14;
const mostPacksShort = 8;
/** Rounds of doing without flights that sums held for sure and that are not. */
const mostRounds = 20;

/** Weighs take-offs before torn takes before seconds, in one number. */
const takeoffCost = 1e9;
const tornCost = 1e6;

/**
 * The best plan there is, found by looking at all: where nothing depends on when a flight takes off, and there are few takes or
 * their order is kept. Null where it does, or where that is too much; then it is searched for.
 */
export function bestOfAll(verdicts: Verdicts, fleet: Fleet): Draft | null {
  const { problem } = verdicts;
  if (!isTimeless(problem)) return null;
  const sure = new Sure(verdicts, fleet);
  try {
    for (let round = 0; round < mostRounds; round++) {
      const best = bestBySums(sure, problem);
      if (!best || sure.forbidden(best) === 0) return best;
    }
    return null;
  } catch (error) {
    if (error instanceof TooMuch) return null;
    throw error;
  }
}

function bestBySums(sure: Sure, { takes, packs, kept }: Problem): Draft | null {
  const isShort = takes.length <= mostTakesFree;
  if (!kept) return isShort ? bestPartition(sure) : null;
  if (isShort && packs.length <= mostPacksShort) return bestRising(sure);
  return packs.length <= mostPacksKept ? bestCuts(sure) : null;
}

/** All flights there are, for a bench. */
export function allColumns(verdicts: Verdicts, fleet: Fleet): Columns[] {
  return columnsOfAll(new Sure(verdicts, fleet));
}

class TooMuch extends Error {}

/** Whether a flight is the same at any hour and after any other. */
function isTimeless({ chargingPlaces, weathers, takes, packs, flown, request, grounded }: Problem): boolean {
  return (
    chargingPlaces.length === 0 &&
    grounded.size === 0 &&
    weathers.length === 1 &&
    flown.length === 0 &&
    (request.locks ?? []).length === 0 &&
    new Set(takes.map(({ placeIndex }) => placeIndex)).size <= 1 &&
    takes.every(({ windows, after, shot }) => windows === null && after.length === 0 && !shot.pin) &&
    packs.every(({ startC, waitingC }) => Math.abs(startC - waitingC) < 0.01)
  );
}

/** Which flights are sure, at the brim by flying them; each asked once for packs that are alike. */
class Sure {
  private readonly answers = new Map<string, boolean>();
  private readonly alike: readonly string[];
  private asked = 0;

  constructor(
    readonly verdicts: Verdicts,
    private readonly fleet: Fleet,
  ) {
    this.alike = verdicts.problem.packs.map(({ battery, kind }) => {
      const isLearned = verdicts.problem.beliefs.some(({ basis }) => basis.source === 'fit');
      return JSON.stringify([
        kind,
        { ...battery, id: isLearned ? battery.id : '', label: '', cycles: battery.cycles ?? 0 },
      ]);
    });
  }

  isAlike(one: Pack, other: Pack): boolean {
    return this.alike[one.index] === this.alike[other.index];
  }

  flies(pack: Pack, takes: readonly Take[]): boolean {
    const key = this.keyOf(pack, takes);
    const held = this.answers.get(key);
    if (held !== undefined) return held;
    if (++this.asked > mostSequences) throw new TooMuch();
    const state = asKept(pack);
    const answer =
      this.verdicts.surely(pack, state, 0, takes) ?? this.flown({ pack, takes, weather: 0, state });
    this.answers.set(key, answer);
    return answer;
  }

  /** How many flights of a draft are not sure when flown in all draws; they are done without from then on. */
  forbidden(draft: Draft): number {
    const failing = draft.filter(({ pack: index, takes }) => {
      const pack = this.verdicts.problem.packs[index] as Pack;
      return !isSure(this.fleet, { pack, takes, weather: 0, state: asKept(pack) });
    });
    for (const { pack, takes } of failing)
      this.answers.set(this.keyOf(this.verdicts.problem.packs[pack] as Pack, takes), false);
    return failing.length;
  }

  private keyOf(pack: Pack, takes: readonly Take[]): string {
    return `${this.alike[pack.index]} ${takes.map(({ index }) => index).join()}`;
  }

  private flown(departure: Departure): boolean {
    const answer = isSure(this.fleet, departure, this.verdicts.foreseen(departure));
    this.verdicts.showed(answer, departure, 1);
    return answer;
  }

  costOf(pack: Pack, takes: readonly Take[]): number {
    const shots = new Set(takes.map(({ shotIndex }) => shotIndex)).size;
    const seconds = this.verdicts.times(pack.kind, 0, takes).touchdownS + this.verdicts.problem.swapS;
    return takeoffCost + shots * tornCost + seconds;
  }
}

/** The flights a pack can do: sets of takes as bits, each in its quickest order, with what it costs. */
export type Columns = ReadonlyMap<number, { readonly takes: readonly Take[]; readonly cost: number }>;

function bestPartition(sure: Sure): Draft {
  return cheapestPartition(sure.verdicts.problem.takes, columnsOfAll(sure));
}

/** By pack; those that are alike have the same. */
function columnsOfAll(sure: Sure): Columns[] {
  const { packs } = sure.verdicts.problem;
  const columns: Columns[] = [];
  for (const pack of packs) {
    const alike = packs.find((other) => sure.isAlike(other, pack)) as Pack;
    columns.push(columns[alike.index] ?? columnsOf(sure, pack));
  }
  return columns;
}

/**
 * Free order: pack by pack the cheapest way to have done any set of takes, from the flights each can do; 3ⁿ steps for each pack
 * at most.
 */
export function cheapestPartition(takes: readonly Take[], columns: readonly Columns[]): Draft {
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
  const flights: DraftFlight[] = [];
  let set = bestSet(takes, cheapest);
  for (let pack = columns.length - 1; pack >= 0; pack--) {
    const flight = chosen[pack]?.[set] ?? 0;
    if (flight === 0) continue;
    flights.unshift({ pack, takes: columns[pack]?.get(flight)?.takes ?? [] });
    set &= ~flight;
  }
  return flights;
}

/** The sets of takes a pack can fly, each in its quickest order. */
function columnsOf(sure: Sure, pack: Pack): Columns {
  const { takes, kept } = sure.verdicts.problem;
  const columns = new Map<number, { takes: readonly Take[]; cost: number }>();
  const extend = (sequence: readonly Take[], set: number): void => {
    for (const take of takes) {
      if (set & (1 << take.index) || !isNextOfAlike(takes, take, set)) continue;
      if (kept && take.index < (sequence.at(-1)?.index ?? 0)) continue;
      if (take.aircraftIndex !== null && take.aircraftIndex !== pack.aircraftIndex) continue;
      const longer = [...sequence, take];
      if (!sure.flies(pack, longer)) continue;
      const cost = sure.costOf(pack, longer);
      const larger = set | (1 << take.index);
      if (cost < (columns.get(larger)?.cost ?? Number.POSITIVE_INFINITY))
        columns.set(larger, { takes: longer, cost });
      extend(longer, larger);
    }
  };
  extend([], 0);
  return columns;
}

/** Takes of one shot are alike: only in their order. */
function isNextOfAlike(takes: readonly Take[], { shotIndex, index }: Take, set: number): boolean {
  // Within one flight the earlier take of a shot comes first; which of them it is, others decide.
  return takes.every(
    (other) => other.shotIndex !== shotIndex || other.index <= index || !(set & (1 << other.index)),
  );
}

/** With most musts, then most nices, then cheapest. */
function bestSet(takes: readonly Take[], cheapest: Float64Array): number {
  let [best, bestWorth] = [0, Number.NEGATIVE_INFINITY];
  for (let set = 0; set < cheapest.length; set++) {
    const cost = cheapest[set] as number;
    if (cost === Number.POSITIVE_INFINITY) continue;
    const placed = takes.filter(({ index }) => set & (1 << index));
    const worth = worthOf(placed) - cost;
    if (worth > bestWorth) [best, bestWorth] = [set, worth];
  }
  return best;
}

interface Rising {
  readonly worth: number;
  readonly flights: readonly DraftFlight[];
}

/**
 * Order kept, and few takes: flights are rising sequences of them, each beginning after the last has ended; what lies between is
 * left out. Over where the next flight may begin and which packs are used.
 */
function bestRising(sure: Sure): Draft {
  const { takes, packs } = sure.verdicts.problem;
  const columns = columnsOfAll(sure);
  const known = new Map<number, Rising>();
  const from = (at: number, used: number): Rising => {
    const key = at * 1024 + used;
    const held = known.get(key);
    if (held) return held;
    let best: Rising = { worth: 0, flights: [] };
    for (const pack of packs) {
      if (used & (1 << pack.index) || !isFirstOfAlike(sure, packs, pack, used)) continue;
      for (const column of (columns[pack.index] as Columns).values()) {
        if ((column.takes[0] as Take).index < at) continue;
        const rest = from((column.takes.at(-1) as Take).index + 1, used | (1 << pack.index));
        const worth = worthOf(column.takes) - column.cost + rest.worth;
        if (worth > best.worth)
          best = { worth, flights: [{ pack: pack.index, takes: column.takes }, ...rest.flights] };
      }
    }
    known.set(key, best);
    return best;
  };
  return takes.length === 0 ? [] : from(0, 0).flights;
}

/** A must outweighs all nices, and any take all that flights cost. */
function worthOf(placed: readonly Take[]): number {
  const musts = placed.filter(({ must }) => must).length;
  return (musts * 100 + (placed.length - musts)) * 1e11;
}

/**
 * Order kept: where to cut the list into flights, over what is flown and which packs are used. Null where not all takes have a
 * place: which to leave out is another matter.
 */
function bestCuts(sure: Sure): Draft | null {
  const { takes, packs } = sure.verdicts.problem;
  interface Way {
    readonly cost: number;
    readonly flight: DraftFlight | null;
    readonly from: number;
  }
  const ways: Map<number, Way>[] = takes.map(() => new Map());
  ways.unshift(new Map([[0, { cost: 0, flight: null, from: 0 }]]));
  for (let at = 0; at < takes.length; at++) {
    for (const [used, { cost }] of ways[at] as Map<number, Way>) {
      for (const pack of packs) {
        if (used & (1 << pack.index) || !isFirstOfAlike(sure, packs, pack, used)) continue;
        for (let end = at + 1; end <= takes.length; end++) {
          const flight = takes.slice(at, end);
          const wanted = flight.at(-1)?.aircraftIndex ?? null;
          if ((wanted !== null && wanted !== pack.aircraftIndex) || !sure.flies(pack, flight)) break;
          const total = cost + sure.costOf(pack, flight);
          const now = used | (1 << pack.index);
          const there = ways[end] as Map<number, Way>;
          if (total < (there.get(now)?.cost ?? Number.POSITIVE_INFINITY))
            there.set(now, { cost: total, flight: { pack: pack.index, takes: flight }, from: used });
        }
      }
    }
  }
  const ends = [...(ways[takes.length] as Map<number, Way>)].sort((a, b) => a[1].cost - b[1].cost);
  const [last] = ends;
  if (!last) return null;
  const flights: DraftFlight[] = [];
  for (let [used, at] = [last[0], takes.length]; at > 0; ) {
    const way = ways[at]?.get(used) as Way & { readonly flight: DraftFlight };
    flights.unshift(way.flight);
    at -= way.flight.takes.length;
    used = way.from;
  }
  return flights;
}

/** Of packs that are alike the first unused one will do. */
function isFirstOfAlike(sure: Sure, packs: readonly Pack[], pack: Pack, used: number): boolean {
  return packs.every(
    (other) => other.index >= pack.index || used & (1 << other.index) || !sure.isAlike(other, pack),
  );
}
