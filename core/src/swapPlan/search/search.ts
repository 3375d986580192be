import { randomNumbers, shuffled } from '../../statistics/random';
import { getOrCreate } from '../../units/getOrCreate';
import { atItsBest } from '../physics/fleet';
import type { Verdicts } from '../physics/verdicts';
import type { Pack, Problem, Take } from '../request/problem';
import { type FlightDraft, inTurn, type PlanDraft } from './draft';
import { costOf, isBetter, type Rank, rankOf } from './rank';
import { Ruin, withPack } from './ruin';
import {
  type ChargingRule,
  chargingRules,
  isScheduled,
  type Schedule,
  Scheduler,
  type TimedFlight,
} from './schedule';

/** A plan as the search has it. */
export interface Candidate {
  readonly draft: PlanDraft;
  readonly schedule: Schedule;
  readonly rule: ChargingRule;
  readonly rank: Rank;
  readonly cost: number;
}

/** Places tried for one take before it stays out: so many in flights there are, and so many in one flight more. */
const maxTried = 40;
/** Where it counts when a flight takes off, so many at most of those that seem best are timed, now more and now fewer, and the best is taken. */
const maxCompared = 6;
/** Beginning and end of the annealing, in units of cost where a take-off is 100: for which flights there are, and then for what counts less. */
export const warmth = { flights: [60, 0.5], details: [6, 0.05] } as const;
/** A take that joins a flight without others of its shot is taken as so much longer, s. */
const apartS = 20;
/** Room is made for so many shots at most. */
const maxRoomFor = 4;
/** So often a flight more begins on a weak pack. */
const weakFirst = 0.3;
/** Places are weighed with so much chance up or down, so that each try is another. */
const chance = 0.2;

/** How a plan is improved. */
export interface Tries {
  readonly tries: number;
  /** Whether it begins with nothing, and not with the plan that it is to better. */
  readonly isAfresh: boolean;
  readonly warmth: readonly [number, number];
  readonly seed: number;
  /** Of the request's work. */
  readonly share: number;
  readonly holds: (candidate: Candidate) => boolean;
  readonly onTry: (tries: number) => void;
}

/** Plans of a problem with its packs and chargers as they are. */
export class Search {
  private readonly scheduler: Scheduler;
  private readonly rules: readonly ChargingRule[];
  private readonly possible = new Map<string, boolean>();
  private readonly isTimed: boolean;
  private random: () => number = () => 0.5;

  constructor(
    readonly problem: Problem,
    readonly verdicts: Verdicts,
  ) {
    this.scheduler = new Scheduler(problem, verdicts);
    this.isTimed = problem.weathers.length > 1 || problem.takes.some(({ windows }) => windows !== null);
    this.rules = problem.chargingPlaces.length > 0 ? chargingRules : ['until-taken'];
  }

  /** A draft with the times it has under the rule of charging that is best for it; null where it has none. */
  candidate(given: PlanDraft, rules = this.rules): Candidate | null {
    const draft = inTurn(this.problem, given);
    let best: Candidate | null = null;
    for (const rule of rules) {
      const schedule = this.scheduler.schedule(draft, rule);
      if (!isScheduled(schedule)) {
        // What no rule of charging mends is known by the first.
        if (schedule.reason === 'pinned' || schedule.reason === 'after') return null;
        continue;
      }
      const rank = rankOf(this.problem, draft, schedule);
      if (!isBetter(rank, best?.rank ?? null)) continue;
      best = { draft, schedule, rule, rank, cost: costOf(this.problem, rank) - uneven(draft) };
    }
    return best;
  }

  /** Takes in their order, musts before nices, each where it costs least. */
  first(): Candidate {
    return this.filled(this.candidate([]) as Candidate);
  }

  /**
   * Ruin and recreate: some takes, or whole flights, are taken out of a plan and put back where they cost least; what is not much
   * worse is gone on from, and less so as time goes on (Schrimpf and others, Journal of Computational Physics 2000; Christiaens and
   * Vanden Berghe, Transportation Science 2020). The sequence of flights is what is sought; the scheduler gives it times.
   * Yields each plan that is better than all before and holds when it is looked at more closely, and how many tries it took; ends
   * where a share of the request's work is spent.
   */
  *improved(
    start: Candidate,
    { tries, isAfresh, warmth: [warmest, coldest], seed, share, holds, onTry }: Tries,
  ) {
    this.random = randomNumbers(seed);
    const ruin = new Ruin(this.problem, this.random);
    let [now, best] = [isAfresh ? (this.candidate([]) as Candidate) : start, start];
    for (let i = 0; i < tries && !this.problem.work.isSpent(share); i++) {
      onTry(i);
      const warmth = warmest * (coldest / warmest) ** (i / tries);
      const next = this.recreated(ruin.of(now.draft));
      if (!next) continue;
      if (isBetter(next.rank, best.rank)) {
        if (!holds(next)) continue;
        best = next;
        now = next;
        yield { candidate: best, tries: i + 1 };
      } else if (next.cost < now.cost - warmth * Math.log(this.random())) now = next;
    }
    this.random = () => 0.5;
  }

  private recreated(ruined: PlanDraft): Candidate | null {
    const base = this.candidate(ruined);
    if (!base) return null;
    const out = this.outside(ruined);
    return this.filled(base, this.random() < 0.5 ? mustsFirst(out) : shuffled(out, this.random));
  }

  /** Of each flight as many of its first takes as can still be flown. */
  prefixes(draft: PlanDraft): Candidate {
    let now = this.candidate([]) as Candidate;
    for (const { pack, takes } of draft) {
      if (this.problem.excludedPacks.has(pack)) continue;
      for (let count = takes.length; count > 0; count--) {
        const next = this.candidate([...now.draft, { pack, takes: takes.slice(0, count) }]);
        if (!next) continue;
        now = next;
        break;
      }
    }
    return now;
  }

  /** Takes that are in no flight. */
  outside(draft: PlanDraft): Take[] {
    const inside = new Set(draft.flatMap(({ takes }) => takes.map(({ index }) => index)));
    return this.problem.takes.filter(
      ({ index }) => !inside.has(index) && !this.problem.flownTakes.has(index),
    );
  }

  /** With the takes that are in no flight put where there is place. */
  filled(from: Candidate, takes = mustsFirst(this.outside(from.draft))): Candidate {
    let now = from;
    let waiting = takes;
    // What must come after another, or into the third flight, may have a place once others have.
    for (let placed = true; placed && waiting.length > 0; ) {
      placed = false;
      const still: Take[] = [];
      for (const take of waiting) {
        const next = this.withTake(now, take);
        if (next) {
          now = next;
          placed = true;
        } else still.push(take);
      }
      waiting = still;
    }
    // With the charging of the plan it came from so far.
    return this.rules.length > 1 ? (this.candidate(now.draft) ?? now) : now;
  }

  /** The cheapest place for a take; null where there is none. */
  private withTake(now: Candidate, take: Take): Candidate | null {
    const places = [this.placesWithin(now, take), this.placesAlone(now, take)].flatMap((some) =>
      some.sort((a, b) => a.cost - b.cost).slice(0, maxTried),
    );
    let best: Candidate | null = null;
    const enough = this.isTimed ? 1 + Math.floor(this.random() * maxCompared) : 1;
    let compared = 0;
    for (const { draft } of places) {
      const next = this.candidate(draft, [now.rule]);
      if (!next) continue;
      if (!best || next.cost < best.cost) best = next;
      if (++compared >= enough) break;
    }
    return best;
  }

  private placesWithin({ draft, schedule }: Candidate, take: Take) {
    const places: { draft: PlanDraft; cost: number }[] = [];
    draft.forEach((flight, f) => {
      const pack = this.problem.packs[flight.pack] as Pack;
      const timed = schedule.flights[f] as TimedFlight;
      const first = flight.takes[0] as Take;
      if (first.placeIndex !== take.placeIndex || !canFly(pack, take)) return;
      for (let at = 0; at <= flight.takes.length; at++) {
        if (this.problem.kept && !isBetween(draft, f, at, take)) continue;
        const takes = [...flight.takes.slice(0, at), take, ...flight.takes.slice(at)];
        if (!this.couldFly(pack, takes)) continue;
        const times = this.verdicts.times(pack.kind, timed.weather, takes);
        const isApart = !flight.takes.some(({ shotIndex }) => shotIndex === take.shotIndex);
        const longerS = times.touchdownS - timed.times.touchdownS + (isApart ? apartS : 0);
        const cost = longerS * (1 + chance * (2 * this.random() - 1));
        places.push({ draft: draft.with(f, { pack: flight.pack, takes }), cost });
      }
    });
    return places;
  }

  /**
   * A flight more: only where no other has place for it, those that need no charging before the rest, late rather than early; on a strong
   * pack, which may take more later, and now and then on the weakest that flies it, which leaves the strong ones to others.
   */
  private placesAlone({ draft }: Candidate, take: Take) {
    const places: { draft: PlanDraft; cost: number }[] = [];
    const used = new Set([...draft, ...this.problem.flown].map(({ pack }) => pack));
    const charges = this.problem.chargingPlaces.length > 0;
    const perStrength = this.random() < weakFirst ? 100 : -100;
    for (const pack of this.problem.packs) {
      const isUsed = used.has(pack.index);
      if (this.problem.excludedPacks.has(pack.index) || !canFly(pack, take) || (isUsed && !charges)) continue;
      if (!this.couldFly(pack, [take])) continue;
      for (let at = draft.length; at >= 0; at--) {
        if (this.problem.kept && !isBetween(draft, at, null, take)) continue;
        const flight: FlightDraft = { pack: pack.index, takes: [take] };
        const cost = 10_000 + (isUsed ? 300 : 0) + (draft.length - at) * 10 + perStrength * strength(pack);
        places.push({ draft: draft.toSpliced(at, 0, flight), cost: cost + 200 * this.random() });
      }
    }
    return places;
  }

  /** Whether there is a pack that flies a take by itself, at its best. */
  couldBeFlown(take: Take): boolean {
    const { packs, excludedPacks } = this.problem;
    return packs.some(
      (pack) => !excludedPacks.has(pack.index) && canFly(pack, take) && this.couldFly(pack, [take]),
    );
  }

  /** Whether a pack flies some takes with all it could ever have, in the weather there is or in one of those worth waiting for. */
  private couldFly(pack: Pack, takes: readonly Take[]): boolean {
    const key = `${pack.index} ${takes.map(({ shotIndex }) => shotIndex).join()}`;
    return getOrCreate(this.possible, key, () => {
      const { weathers, weatherKnots, chargingPlaces } = this.problem;
      const states = atItsBest(pack, chargingPlaces.length > 0);
      if (weathers.length === 1) return states.some((state) => this.verdicts.fits(pack, state, 0, takes));
      const first = weathers.findIndex((one) => one !== null);
      return [first, ...weatherKnots].some(
        (weather) =>
          weathers[weather] && states.some((state) => !this.verdicts.isHopeless(pack, state, weather, takes)),
      );
    });
  }

  /**
   * A take without a place put where another was that has a place elsewhere, its flight on whichever pack; null where none can be, or
   * a share of the request's work is spent.
   */
  withRoomMade(from: Candidate, share: number): Candidate | null {
    const { packs, excludedPacks } = this.problem;
    const left = this.outside(from.draft).filter(
      (take, i, all) => this.couldBeFlown(take) && all[i - 1]?.shotIndex !== take.shotIndex,
    );
    for (const take of left.slice(0, maxRoomFor)) {
      for (const [at, { takes }] of from.draft.entries())
        for (const moved of takes) {
          const draft = without(from.draft, at, moved);
          const onOthers = packs
            .filter(({ index }) => draft.length === from.draft.length && !excludedPacks.has(index))
            .map(({ index }) => withPack(this.problem, draft, at, index));
          for (const room of [draft, ...onOthers]) {
            if (this.problem.work.isSpent(share)) return null;
            const now = this.candidate(room);
            const next = now && this.withTake(now, take);
            const both = next && this.withTake(next, moved);
            if (both && isBetter(both.rank, from.rank)) return both;
          }
        }
    }
    return null;
  }

  /**
   * The same flights with packs so good that neither another for one flight nor an exchange between two makes the plan better by its rank;
   * not all are tried where a share of the request's work is spent.
   */
  withBestPacks(from: Candidate, share: number): Candidate {
    let [now, isBest] = [from, false];
    while (!isBest) {
      isBest = true;
      for (let at = 0; at < now.draft.length; at++)
        for (const draft of this.withOtherPacks(now.draft, at)) {
          if (this.problem.work.isSpent(share)) return now;
          const next = this.candidate(draft);
          if (next && isBetter(next.rank, now.rank)) [now, isBest] = [next, false];
        }
    }
    return now;
  }

  /** One flight with each other pack, and in exchange with each flight after it. */
  private *withOtherPacks(draft: PlanDraft, at: number): Generator<PlanDraft, void> {
    const flight = draft[at] as FlightDraft;
    for (const { index } of this.problem.packs)
      if (index !== flight.pack && !this.problem.excludedPacks.has(index))
        yield withPack(this.problem, draft, at, index);
    for (let other = at + 1; other < draft.length; other++) {
      const theirs = draft[other] as FlightDraft;
      if (theirs.pack !== flight.pack)
        yield draft.with(at, { ...flight, pack: theirs.pack }).with(other, { ...theirs, pack: flight.pack });
    }
  }
}

function mustsFirst(takes: readonly Take[]): readonly Take[] {
  return [...takes.filter(({ must }) => must), ...takes.filter(({ must }) => !must)];
}

/** A take less in a flight, and no flight that has none. */
function without(draft: PlanDraft, at: number, take: Take): PlanDraft {
  const { pack, takes } = draft[at] as FlightDraft;
  const others = takes.filter((one) => one !== take);
  return others.length > 0 ? draft.with(at, { pack, takes: others }) : draft.toSpliced(at, 1);
}

/** Full flights beside empty ones are nearer to one flight less: the sum of squares of takes' minutes. */
function uneven(draft: PlanDraft): number {
  const minutes = draft.map(({ takes }) => takes.reduce((sum, { shot }) => sum + shot.durationS, 0) / 60);
  return minutes.reduce((sum, one) => sum + one * one, 0) / 20;
}

function strength({ startCharge, battery }: Pack): number {
  return startCharge * (battery.health ?? 1) * (1 - (battery.cycles ?? 0) / 2000);
}

function canFly({ aircraftIndex, battery }: Pack, { aircraftIndex: wanted, shot }: Take): boolean {
  if (shot.pin?.batteryId != null && shot.pin.batteryId !== battery.id) return false;
  return wanted === null || wanted === aircraftIndex;
}

/** Whether a take would stand between its neighbours, in the order of the request: at a place of a flight, or as a new one there. */
function isBetween(draft: PlanDraft, flight: number, at: number | null, { index }: Take): boolean {
  const before =
    (at !== null && at > 0 ? draft[flight]?.takes[at - 1] : undefined) ?? draft[flight - 1]?.takes.at(-1);
  const after =
    at === null ? draft[flight]?.takes[0] : (draft[flight]?.takes[at] ?? draft[flight + 1]?.takes[0]);
  return (!before || before.index < index) && (!after || after.index > index);
}
