import { randomNumbers, shuffled } from '../statistics/random';
import { atItsBest } from './fleet';
import type { Pack, Problem, Take } from './problem';
import { costOf, isBetter, type Rank, rankOf } from './rank';
import { Ruin, withPack } from './ruin';
import {
  type ChargingRule,
  chargingRules,
  type Draft,
  type DraftFlight,
  inTurn,
  isScheduled,
  type Schedule,
  scheduled,
} from './schedule';
import type { Verdicts } from './verdicts';

/** A plan as the search has it. */
export interface Found {
  readonly draft: Draft;
  readonly schedule: Schedule;
  readonly rule: ChargingRule;
  readonly rank: Rank;
  readonly cost: number;
}

/** Places tried for one take before it stays out. */
const mostTried = 40;
/** Beginning and end of the annealing, in units of cost where a take-off is 100. */
const warmest = 60;
const coldest = 0.5;

/**
 * Ruin and recreate: some takes, or whole flights, are taken out of a plan and put back where they cost least; what is not much
 * worse is gone on from, and less so as time goes on (Schrimpf and others, Journal of Computational Physics 2000; Christiaens and
 * Vanden Berghe, Transportation Science 2020). The sequence of flights is what is sought; `scheduled` gives it times.
 * Yields each plan that is better than all before; ends early when a share of the request's work is spent.
 */
export function* improved(
  verdicts: Verdicts,
  start: Found,
  tries: number,
  seed: number,
  onTry: (share: number) => void = () => {},
  share = 1,
): Generator<Found, Found> {
  const search = new Search(verdicts, randomNumbers(seed));
  let [now, best] = [start, start];
  for (let i = 0; i < tries; i++) {
    if (verdicts.problem.work.isSpent(share)) break;
    onTry(i / tries);
    const warmth = warmest * (coldest / warmest) ** (i / tries);
    const next = search.step(now);
    if (!next) continue;
    if (isBetter(next.rank, best.rank)) {
      best = next;
      now = next;
      yield best;
    } else if (next.cost < now.cost - warmth * Math.log(search.random())) now = next;
  }
  return best;
}

/** A first plan: takes in their order, musts before nices, each where it costs least. */
export function firstPlan(verdicts: Verdicts): Found {
  const search = new Search(verdicts, () => 0.5);
  const empty = search.found([]) as Found;
  return search.filled(empty, search.outside([]));
}

/** A plan for a draft and the times it has. */
export function foundOf(verdicts: Verdicts, draft: Draft, schedule: Schedule): Found {
  const rank = rankOf(verdicts, draft, schedule);
  return {
    draft,
    schedule,
    rule: 'until-taken',
    rank,
    cost: costOf(verdicts.problem, rank, schedule.endS, 0),
  };
}

/** A plan without some of its flights, and what they took put where there is place; left out where it may not be sought on. */
export function repaired(
  verdicts: Verdicts,
  { draft }: Found,
  without: readonly (readonly Take[])[],
  seeksOn: boolean,
): Found {
  const search = new Search(verdicts, () => 0.5);
  const rest = draft.filter(({ takes }) => !without.includes(takes));
  const base = search.found(rest) ?? search.salvaged(rest);
  return seeksOn ? filledAndImproved(verdicts, base, triesOfRepair) : base;
}
const triesOfRepair = 20;

/** The same flights, with the packs that make the plan best by its rank. */
export function polished(verdicts: Verdicts, from: Found): Found {
  const search = new Search(verdicts, () => 0.5);
  let now = from;
  for (let round = 0; round < mostPolished; round++) {
    const better = search.withBetterPacks(now);
    if (!better) break;
    now = better;
  }
  return now;
}
const mostPolished = 12;

/** What is left of a plan where things are otherwise, and made whole again as far as may be. */
export function adapted(verdicts: Verdicts, draft: Draft, tries: number): Found {
  return filledAndImproved(verdicts, new Search(verdicts, () => 0.5).salvaged(draft), tries);
}

function filledAndImproved(verdicts: Verdicts, from: Found, tries: number): Found {
  const search = new Search(verdicts, () => 0.5);
  let best = search.filled(from, search.outside(from.draft));
  for (const better of improved(verdicts, best, tries, from.draft.length)) best = better;
  return best;
}

class Search {
  private readonly problem: Problem;
  private readonly rules: readonly ChargingRule[];
  private readonly ruin: Ruin;

  constructor(
    private readonly verdicts: Verdicts,
    readonly random: () => number,
  ) {
    this.problem = verdicts.problem;
    this.ruin = new Ruin(this.problem, random);
    this.rules = this.problem.chargingPlaces.length > 0 ? chargingRules : ['until-taken'];
  }

  found(given: Draft, rules = this.rules): Found | null {
    const draft = inTurn(this.problem, given);
    let best: Found | null = null;
    for (const rule of rules) {
      const schedule = scheduled(this.verdicts, draft, rule);
      if (!isScheduled(schedule)) {
        // What no rule of charging mends is told by the first.
        if (schedule.hindrance === 'pinned' || schedule.hindrance === 'after') return null;
        continue;
      }
      const rank = rankOf(this.verdicts, draft, schedule);
      if (!isBetter(rank, best?.rank ?? null)) continue;
      const cost = costOf(this.problem, rank, schedule.endS, this.uneven(draft));
      best = { draft, schedule, rule, rank, cost };
    }
    return best;
  }

  /** Full flights beside empty ones are nearer to one flight less: the sum of squares of takes' minutes. */
  private uneven(draft: Draft): number {
    const minutes = draft.map(({ takes }) => takes.reduce((sum, { shot }) => sum + shot.durationS, 0) / 60);
    return minutes.reduce((sum, one) => sum + one * one, 0) / 20;
  }

  step(now: Found): Found | null {
    const ruined = this.ruin.of(now.draft);
    const base = this.found(ruined);
    if (!base) return null;
    const out = this.outside(ruined);
    return this.filled(base, this.random() < 0.5 ? out : shuffled(out, this.random));
  }

  /** Of each flight as many of its first takes as can still be flown. */
  salvaged(draft: Draft): Found {
    let now = this.found([]) as Found;
    for (const { pack, takes } of draft) {
      if (this.problem.grounded.has(pack)) continue;
      for (let count = takes.length; count > 0; count--) {
        const next = this.found([...now.draft, { pack, takes: takes.slice(0, count) }]);
        if (!next) continue;
        now = next;
        break;
      }
    }
    return now;
  }

  /** Takes that are in no flight. */
  outside(draft: Draft): Take[] {
    const inside = new Set(draft.flatMap(({ takes }) => takes.map(({ index }) => index)));
    return this.problem.takes.filter(
      ({ index }) => !inside.has(index) && !this.problem.flownTakes.has(index),
    );
  }

  filled(from: Found, takes: readonly Take[]): Found {
    const ordered = [...takes.filter(({ must }) => must), ...takes.filter(({ must }) => !must)];
    let now = from;
    let waiting = ordered;
    // What must come after another, or into the third flight, may have a place once others have.
    for (let placed = true; placed && waiting.length > 0; ) {
      placed = false;
      const still: Take[] = [];
      for (const take of waiting) {
        const next = this.with(now, take);
        if (next) {
          now = next;
          placed = true;
        } else still.push(take);
      }
      waiting = still;
    }
    // With the charging of the plan it came from so far.
    return this.rules.length > 1 ? (this.found(now.draft) ?? now) : now;
  }

  /** The cheapest place for a take; null where there is none. */
  private with(now: Found, take: Take): Found | null {
    const places = [...this.within(now, take), ...this.alone(now, take)].sort((a, b) => a.cost - b.cost);
    for (const { draft } of places.slice(0, mostTried)) {
      const next = this.found(draft, [now.rule]);
      if (next) return next;
    }
    return null;
  }

  private within({ draft, schedule }: Found, take: Take) {
    const places: { draft: Draft; cost: number }[] = [];
    draft.forEach((flight, f) => {
      const pack = this.problem.packs[flight.pack] as Pack;
      const timed = schedule.flights[f] as Schedule['flights'][number];
      const first = flight.takes[0] as Take;
      if (first.placeIndex !== take.placeIndex || !mayFly(pack, take)) return;
      for (let at = 0; at <= flight.takes.length; at++) {
        if (this.problem.kept && !isBetween(draft, f, at, take)) continue;
        const takes = [...flight.takes.slice(0, at), take, ...flight.takes.slice(at)];
        if (!this.couldFly(pack, timed.weather, takes)) continue;
        const times = this.verdicts.times(pack.kind, timed.weather, takes);
        const isApart = !flight.takes.some(({ shotIndex }) => shotIndex === take.shotIndex);
        const cost = times.touchdownS - timed.times.touchdownS + (isApart ? 20 : 0);
        places.push({
          draft: draft.with(f, { pack: flight.pack, takes }),
          cost: cost * (0.8 + 0.4 * this.random()),
        });
      }
    });
    return places;
  }

  private alone({ draft }: Found, take: Take) {
    const places: { draft: Draft; cost: number }[] = [];
    const used = new Set(draft.map(({ pack }) => pack));
    const flown = new Set(this.problem.flown.map(({ batteryId }) => batteryId));
    const charges = this.problem.chargingPlaces.length > 0;
    for (const pack of this.problem.packs) {
      const isUsed = used.has(pack.index) || flown.has(pack.battery.id);
      if (this.problem.grounded.has(pack.index) || !mayFly(pack, take) || (isUsed && !charges)) continue;
      const weather = this.problem.weathers.findIndex((one) => one !== null);
      if (this.problem.weathers.length === 1 && !this.couldFly(pack, weather, [take])) continue;
      for (let at = draft.length; at >= 0; at--) {
        if (this.problem.kept && !isBetween(draft, at, null, take)) continue;
        const flight: DraftFlight = { pack: pack.index, takes: [take] };
        const cost = 10_000 + (isUsed ? 300 : 0) + (draft.length - at) * 10 - this.strength(pack) * 100;
        places.push({ draft: draft.toSpliced(at, 0, flight), cost: cost + 200 * this.random() });
      }
    }
    return places;
  }

  private strength({ startCharge, battery }: Pack): number {
    return startCharge * (battery.health ?? 1) * (1 - (battery.cycles ?? 0) / 2000);
  }

  /** With all it could ever have; in some weather, where that changes. */
  private couldFly(pack: Pack, weather: number, takes: readonly Take[]): boolean {
    const { weathers, weatherKnots, chargingPlaces } = this.problem;
    const states = atItsBest(pack, chargingPlaces.length > 0);
    if (states.some((state) => this.verdicts.fits(pack, state, weather, takes))) return true;
    if (weathers.length === 1) return false;
    return [weather, ...weatherKnots].some((one) =>
      states.some((state) => weathers[one] && !this.verdicts.isHopeless(pack, state, one, takes)),
    );
  }

  /** The best that comes of one flight with another pack, or of two flights that exchange theirs; null where nothing is better. */
  withBetterPacks(now: Found): Found | null {
    let best: Found | null = null;
    const consider = (draft: Draft) => {
      const next = this.found(draft);
      if (next && isBetter(next.rank, best?.rank ?? now.rank)) best = next;
    };
    now.draft.forEach(({ pack }, at) => {
      for (const { index } of this.problem.packs)
        if (index !== pack && !this.problem.grounded.has(index))
          consider(withPack(this.problem, now.draft, at, index));
      for (let other = at + 1; other < now.draft.length; other++) {
        const theirs = now.draft[other] as DraftFlight;
        if (theirs.pack === pack) continue;
        consider(
          now.draft
            .with(at, { ...(now.draft[at] as DraftFlight), pack: theirs.pack })
            .with(other, { ...theirs, pack }),
        );
      }
    });
    return best;
  }
}

function mayFly({ aircraftIndex, battery }: Pack, { aircraftIndex: wanted, shot }: Take): boolean {
  if (shot.pin?.batteryId != null && shot.pin.batteryId !== battery.id) return false;
  return wanted === null || wanted === aircraftIndex;
}

/** Whether a take would stand between its neighbours, in the order of the request: at a place of a flight, or as a new one there. */
function isBetween(draft: Draft, flight: number, at: number | null, { index }: Take): boolean {
  const before =
    (at !== null && at > 0 ? draft[flight]?.takes[at - 1] : undefined) ?? draft[flight - 1]?.takes.at(-1);
  const after =
    at === null ? draft[flight]?.takes[0] : (draft[flight]?.takes[at] ?? draft[flight + 1]?.takes[0]);
  return (!before || before.index < index) && (!after || after.index > index);
}
