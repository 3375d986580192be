import type { SwapPlan } from './answer';
import { type Bound, boundOf } from './bound';
import { cautionsOf } from './cautions';
import { isSure } from './exactFlight';
import { Fleet } from './fleet';
import { lanesOf } from './lanes';
import type { Problem, Take } from './problem';
import { bestOfAll } from './programme';
import { isBetter } from './rank';
import { type PlanEffort, planEfforts } from './request';
import { inTurn, isScheduled, scheduled, type TimedFlight } from './schedule';
import { adapted, type Found, firstPlan, foundOf, improved, polished, repaired } from './search';
import { instantAt, toldFlight } from './tell';
import { Verdicts } from './verdicts';
import { searchShare } from './work';

/** Draws that a plan is sought with; it is told with all of them. */
export const drawsOfSearch = 64;
/** Tries of the search by effort: for each take, and at least; and how often it may fly a flight that sums are unsure of. */
const efforts: Readonly<
  Record<PlanEffort, { readonly forTake: number; readonly least: number; readonly judged: number }>
> = {
  quick: { forTake: 4, least: 40, judged: 10 },
  usual: { forTake: 6, least: 240, judged: 60 },
  long: { forTake: 300, least: 3000, judged: 600 },
};
/** A problem of more takes than that is tried less often the more there are, since each try costs more. */
const manyTakes = 40;
/** Of half as many takes or fewer a search is begun more than once: where it ends hangs on how it begins. */
const fewTakes = 20;
/** And so often again where what was found was not sure. */
const mostAgain = 2;
/** Rounds of finding that a flight is not sure when flown step by step, and seeking on without it. */
const maxRounds = 12;
/** By so much more a flight weighs that was found not to be sure. */
const handicap = 1.01;
/** And by so much where only packs are exchanged: there is always the plan that was. */
const ofPacks = 1.05;

/** More placed, or as much with fewer take-offs: what is worth showing on the way. */
function placesMore({ rank }: Found, { rank: shown }: Found): boolean {
  return isBetter(rank.slice(0, 3), shown.slice(0, 3));
}

/** In takes; weather that changes makes each flight twice the work. */
export function weightOf({ takes, weathers }: Problem): number {
  return takes.length * (weathers.length > 1 ? 2 : 1);
}

function triesFor(takes: number, effort: PlanEffort): number {
  const { forTake, least } = efforts[effort];
  return takes <= manyTakes
    ? Math.max(least, forTake * takes)
    : Math.ceil((forTake * manyTakes ** 2) / takes);
}

function seedOf({ takes, packs }: Problem): number {
  return takes.length + 1000 * packs.length;
}

/** One problem with what is known of its flights. */
export class Planner {
  readonly verdicts: Verdicts;
  /** Of all draws, as the verdicts of the search are of some. */
  readonly fine: Verdicts;
  readonly fleet: Fleet;
  private readonly sure = new Map<string, boolean>();
  private isBest = false;

  constructor(
    readonly problem: Problem,
    private readonly effort: PlanEffort = problem.request.effort ?? 'usual',
  ) {
    const draws = Math.min(...problem.beliefs.map((belief) => belief.draws.length));
    this.verdicts = new Verdicts(problem, Math.min(draws, drawsOfSearch));
    this.fine = new Verdicts(problem, draws);
    this.fleet = this.fine.fleet;
    this.verdicts.mayFly(efforts.quick.judged, this.fine);
  }

  /** The best plan this effort finds. */
  best(): Found {
    let last: Found | null = null;
    for (const found of this.better()) last = found;
    return last as Found;
  }

  /** Plans that are sure, each better than the one before; and how far the search is, as a share of its tries. */
  *better(onTry?: (share: number) => void): Generator<Found, void> {
    const exact = this.ofAll();
    if (exact) {
      this.isBest = true;
      yield exact;
      return;
    }
    let shown = this.assured(firstPlan(this.verdicts), true);
    yield shown;
    if (this.problem.takes.length === 0) return;
    const passes = planEfforts.slice(0, planEfforts.indexOf(this.effort) + 1);
    for (const [pass, effort] of passes.entries()) {
      const sought = (share: number) => onTry?.((pass + share) / passes.length);
      for (shown of this.pass(shown, effort, sought)) yield shown;
    }
    const last = this.withBestPacks(this.verdicts, shown);
    if (last !== shown) yield last;
  }

  /** The same flights with the packs that make the plan best, each flight sure; the plan itself where none does. */
  private withBestPacks(verdicts: Verdicts, from: Found): Found {
    for (let round = 0; round < maxRounds; round++) {
      const better = polished(verdicts, from);
      const failing = better.schedule.flights.filter((flight) => !this.isSure(flight));
      if (failing.length === 0) return better;
      for (const flight of failing) verdicts.showed(false, flight, ofPacks);
    }
    return from;
  }

  /** What is found with the tries of one effort, from the best there is; more effort goes through those of less before. */
  private *pass(from: Found, effort: PlanEffort, sought: (share: number) => void): Generator<Found, void> {
    const tries = triesFor(weightOf(this.problem), effort);
    this.verdicts.mayFly(efforts[effort].judged, this.fine);
    let shown = from;
    let starts = effort === 'quick' ? Math.max(1, Math.floor(fewTakes / this.problem.takes.length)) : 1;
    const most = starts + mostAgain;
    for (let start = 0; start < starts && !this.problem.work.isSpent(searchShare); start++) {
      const onTry = (share: number) => sought((start + share) / starts);
      let last = shown;
      for (const better of improved(
        this.verdicts,
        shown,
        tries,
        seedOf(this.problem) + start,
        onTry,
        searchShare,
      )) {
        last = better;
        if (!placesMore(better, shown) || better.schedule.flights.some((flight) => !this.isSure(flight)))
          continue;
        shown = better;
        yield shown;
      }
      const sure = this.assured(polished(this.verdicts, last));
      if (isBetter(sure.rank, shown.rank)) {
        shown = sure;
        yield shown;
      }
      // What was found is not sure in all draws; that is known now, and another may be.
      if (placesMore(last, shown)) starts = Math.min(most, starts + 1);
    }
  }

  /** A plan that was told, as the search has one. */
  asTold({ flights }: SwapPlan): Found {
    const { packs, takes, flown } = this.problem;
    const draft = flights.slice(flown.length).map(({ batteryId, shots }) => ({
      pack: packs.findIndex(({ battery }) => battery.id === batteryId),
      takes: shots.map(
        ({ shotId, take }) => takes.find(({ shot, number }) => shot.id === shotId && number === take) as Take,
      ),
    }));
    return adapted(this.verdicts, draft, 0);
  }

  /** The best of some plans that were met otherwise, if it is sure and better than one; null where none is. */
  betterOf(met: readonly Found[], than: Found): Found | null {
    if (this.problem.work.isSpent()) return null;
    const best = met.reduce((best, one) => (isBetter(one.rank, best.rank) ? one : best), than);
    if (best === than || this.isBest) return null;
    const made = this.assured(adapted(this.verdicts, best.draft, 0));
    return isBetter(made.rank, than.rank) ? made : null;
  }

  private ofAll(): Found | null {
    const best = bestOfAll(this.fine, this.fleet);
    if (!best) return null;
    const draft = inTurn(this.problem, best);
    const schedule = scheduled(this.fine, draft, 'until-taken');
    if (!isScheduled(schedule) || schedule.flights.some((flight) => !this.isSure(flight))) return null;
    // Which flights there are is proved; which pack flies which is for the rank to say.
    return this.withBestPacks(this.fine, foundOf(this.fine, draft, schedule));
  }

  /** A plan whose every flight is sure: those that are not weigh more, and are sought anew; a first plan whatever that costs. */
  private assured(found: Found, isFirst = false): Found {
    let now = found;
    for (let round = 0; ; round++) {
      const failing = now.schedule.flights.filter((flight) => !this.isSure(flight));
      if (failing.length === 0) return now;
      for (const flight of failing) this.verdicts.showed(false, flight, handicap);
      now = repaired(
        this.verdicts,
        now,
        failing.map(({ takes }) => takes),
        round < maxRounds && (isFirst || !this.problem.work.isSpent(searchShare)),
      );
    }
  }

  private isSure(flight: TimedFlight): boolean {
    const { pack, takes, weather, state } = flight;
    const key = `${pack.index} ${weather} ${state.asKept} ${state.charge} ${state.temperatureC} ${takes.map(({ index }) => index).join()}`;
    const held = this.sure.get(key);
    if (held !== undefined) return held;
    const answer = isSure(this.fleet, flight);
    this.sure.set(key, answer);
    return answer;
  }

  /** A plan that better ones may follow: how few take-offs there can be is asked of the last one alone. */
  toldOnTheWay(found: Found): SwapPlan {
    return this.told(
      found,
      this.isBest ? this.boundOf(found) : { takeoffs: Math.min(1, found.draft.length), by: 'packing' },
    );
  }

  told(found: Found, bound = this.boundOf(found)): SwapPlan {
    const { problem } = this;
    const { flown, takes, request } = problem;
    const { schedule, draft } = found;
    const flights = [
      ...flown,
      ...schedule.flights.map((flight, i) => toldFlight(this.fleet, flight, flown.length + i + 1)),
    ];
    const placed = new Set([
      ...draft.flatMap((flight) => flight.takes.map(({ index }) => index)),
      ...problem.flownTakes,
    ]);
    return {
      flights,
      lanes: lanesOf(problem, schedule, flights),
      unplaced: [],
      figures: {
        takeoffs: flights.length,
        takeoffsBound: flown.length + bound.takeoffs,
        boundBy: bound.by,
        proved: this.isBest || (placed.size === takes.length && bound.takeoffs === schedule.flights.length),
        batteriesFlown: new Set(flights.map(({ batteryId }) => batteryId)).size,
        endAt: flights.length > 0 ? instantAt(problem, schedule.endS) : request.startAt,
        mustsPlaced: takes.filter(({ must, index }) => must && placed.has(index)).length,
        nicesPlaced: takes.filter(({ must, index }) => !must && placed.has(index)).length,
      },
      robustness: [],
      packs: [],
      complete: false,
      cautions: cautionsOf(problem, schedule),
    };
  }

  private boundOf({ draft }: Found): Bound {
    if (this.isBest) return { takeoffs: draft.length, by: 'columns' };
    const takes = draft.flatMap((flight) => flight.takes);
    return takes.length === 0 ? { takeoffs: 0, by: 'packing' } : boundOf(this.fine, takes, draft.length);
  }
}
