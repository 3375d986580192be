import type { Departure, ExactFlight } from '../physics/exactFlight';
import type { Fleet } from '../physics/fleet';
import type { Verdicts } from '../physics/verdicts';
import { type Problem, type Take, withOverrides } from '../request/problem';
import type { PlanEffort } from '../request/request';
import { packsShare, searchShare } from '../request/work';
import { type Bound, boundOf, packingBoundOf } from './bound';
import { Certainty, type Draws } from './certainty';
import type { PlanDraft } from './draft';
import { doubtTries, efforts, type Passes, searchWeightOf } from './efforts';
import { bestOfAll } from './exactPlan';
import { SearchProgress } from './progress';
import { isBetter, placesMore } from './rank';
import type { TimedFlight } from './schedule';
import { type Candidate, Search, type Tries, warmth } from './search';

/** Rounds of mending a plan whose flights were not sure, before what is not sure is left out. */
const maxRounds = 30;

function seedOf({ takes, packs }: Problem): number {
  return takes.length + 1000 * packs.length;
}

/** Whether a plan does for what is asked, so that none better need be sought. */
export type IsEnough = (found: Candidate) => boolean;
/** Plans that are better than one, each better than the one before. */
type Step = (from: Candidate) => Iterable<Candidate>;

/** Looks for the best plan of a problem; each it names is sure in every flight. */
export class Planner {
  readonly search: Search;
  /** Whether the best was found by looking at all there are. */
  isProved = false;

  constructor(
    readonly problem: Problem,
    private readonly effort: PlanEffort = problem.request.effort ?? 'usual',
    private readonly certainty: Certainty = Certainty.of(problem),
    private readonly draws: Draws = 'all draws',
  ) {
    this.search = new Search(problem, certainty.verdicts);
  }

  /** The search for the plan leaves some work for what is asked of it. */
  private get workShare(): number {
    return this.draws === 'all draws' ? searchShare : 1;
  }

  get fleet(): Fleet {
    return this.certainty.fleet;
  }

  get verdicts(): Verdicts {
    return this.certainty.verdicts;
  }

  /** For the same request with other packs or chargers at hand, sought as well as this one. */
  inCircumstances(problem: Problem): Planner {
    return new Planner(problem, this.effort, this.certainty, 'hardest draws');
  }

  /** For another request with the same beliefs, sought as well. */
  forAnother(problem: Problem): Planner {
    const certainty = Certainty.of(problem, this.certainty.order);
    return new Planner(problem, this.effort, certainty, 'hardest draws');
  }

  /** The best plan this effort finds. */
  best(): Candidate {
    let last: Candidate | null = null;
    for (const found of this.better()) last = found;
    return last as Candidate;
  }

  /** Plans that are sure, each better than the one before; and how far the search is, as a share. */
  *better(onShare?: (share: number) => void): Generator<Candidate, void> {
    const exact = new Planner(this.problem, this.effort, this.certainty.ofAllDraws()).ofAll();
    if (exact) {
      this.isProved = true;
      yield exact;
      return;
    }
    const first = this.verified(this.search.first());
    yield first;
    if (this.problem.takes.length > 0) yield* this.sought(first, () => false, onShare);
  }

  /** From what is left of another plan, or from nothing where that is better; sought on until it is enough. */
  resought(draft: PlanDraft, isEnough: IsEnough): Candidate {
    const left = this.verified(this.search.filled(this.search.prefixes(draft)));
    if (isEnough(left) || this.problem.takes.length === 0) return left;
    const fresh = this.verified(this.search.first());
    let best = isBetter(fresh.rank, left.rank) ? fresh : left;
    if (isEnough(best)) return best;
    for (best of this.sought(best, isEnough)) if (isEnough(best)) break;
    return best;
  }

  /** Step by step, each going on from the best before it. */
  private *sought(
    from: Candidate,
    isEnough: IsEnough,
    onShare?: (share: number) => void,
  ): Generator<Candidate, void> {
    let best = from;
    for (const step of this.steps(isEnough, new SearchProgress(onShare)))
      for (const better of step(best)) {
        best = better;
        yield best;
      }
  }

  private steps(isEnough: IsEnough, progress: SearchProgress): Step[] {
    const passes = efforts[this.effort].map((one) => ({
      isOfDetails: one.warmth === warmth.details,
      step: (from: Candidate) => this.passes(from, one, isEnough, progress),
    }));
    // Of what would be otherwise it is told what is placed, and not what charges.
    if (this.draws === 'hardest draws') return passes.flatMap((one) => (one.isOfDetails ? [] : [one.step]));
    return [
      ...passes.flatMap(({ isOfDetails, step }) => (isOfDetails ? [this.unplugged, step] : [step])),
      this.withBestPacks,
    ];
  }

  /** Passes until nothing better came for as long as it took to find the best, or until nothing better can come. */
  private *passes(
    from: Candidate,
    passes: Passes,
    isEnough: IsEnough,
    progress: SearchProgress,
  ): Generator<Candidate, void> {
    const weight = searchWeightOf(this.problem);
    const tries = passes.tries(weight);
    let [best, crowded]: [Candidate, Candidate | null] = [from, null];
    for (let i = 0; i < passes.max && tries > 0; i++) {
      const isDoubtful = this.leavesOut(best);
      const isAfresh = isDoubtful && i % 2 === 1;
      for (const better of this.pass(best, { tries, isAfresh, warmth: passes.warmth }, progress)) {
        best = better;
        yield best;
      }
      if (this.problem.work.isSpent(this.workShare)) break;
      const roomier = isDoubtful && best !== crowded ? this.withRoomMade(best) : null;
      const isSettled = progress.isSettled(isDoubtful ? Math.max(tries, doubtTries(weight)) : tries);
      if (roomier) {
        best = roomier;
        progress.found();
        yield best;
      } else crowded = best;
      if (isSettled || this.isAtItsBound(best) || isEnough(best)) break;
    }
  }

  /** One pass, of plans that place more; and at its end the best it met. */
  private *pass(
    from: Candidate,
    how: Pick<Tries, 'tries' | 'isAfresh' | 'warmth'>,
    progress: SearchProgress,
  ): Generator<Candidate, void> {
    let [best, last, lastAt] = [from, from, 0];
    const candidates = this.search.improved(from, {
      ...how,
      seed: seedOf(this.problem) + progress.passes,
      share: this.workShare,
      holds: ({ schedule }) => this.certainty.unsureOf(schedule.flights, 'hardest draws').length === 0,
      onTry: (now) => progress.at(now, how.tries),
    });
    for (const { candidate, tries } of candidates) {
      [last, lastAt] = [candidate, tries];
      if (!placesMore(candidate.rank, best.rank) || !this.isAllSure(candidate)) continue;
      best = candidate;
      progress.found(tries);
      yield best;
    }
    const sure = this.betterThan(best, this.search.withBestPacks(last, this.workShare));
    // What was found may not be sure in all draws; that is known now, and another may be.
    if (sure ? this.counts(sure, best) : placesMore(last.rank, best.rank)) progress.found(lastAt);
    progress.passed(how.tries);
    if (sure) yield sure;
  }

  /** Whether a better plan is reason to seek on: where it is what would be otherwise, only one that places more, or as much in fewer flights. */
  private counts({ rank }: Candidate, than: Candidate): boolean {
    return this.draws === 'all draws' || placesMore(rank, than.rank);
  }

  /** A better plan without a charge, of other flights, where one charges and none need be. */
  private readonly unplugged: Step = (plan) => {
    const { packs, excludedPacks } = this.problem;
    const isUnplugged = plan.schedule.flights.every(({ charging }) => charging.length === 0);
    if (isUnplugged || plan.draft.length > packs.length - excludedPacks.size) return [];
    const problem = withOverrides(this.problem, { chargingPlaces: [] });
    const without = new Planner(problem, this.effort, this.certainty, this.draws);
    const { draft } = without.resought(plan.draft, (one) => !isBetter(plan.rank, one.rank));
    const found = this.search.candidate(draft);
    const better = found && this.betterThan(plan, found);
    return better ? [better] : [];
  };

  /** The same flights with the packs that make the plan best, each flight sure. */
  private readonly withBestPacks: Step = (from) => {
    const share = this.draws === 'all draws' ? packsShare : 1;
    for (let round = 0; round < maxRounds; round++) {
      const better = this.search.withBestPacks(from, share);
      if (better === from) return [];
      if (this.isAllSure(better)) return [better];
    }
    return [];
  };

  /** A plan that was met otherwise, if it is sure and better than one; null where it is not. */
  betterOf(met: readonly Candidate[], than: Candidate): Candidate | null {
    if (this.isProved || this.problem.work.isSpent()) return null;
    const best = met.reduce((best, one) => (isBetter(one.rank, best.rank) ? one : best), than);
    const again = best === than ? null : this.search.candidate(best.draft);
    return again && this.betterThan(than, again);
  }

  /** A plan once it is sure, if it is then still better than another; all draws are flown only where the decisive ones let it be. */
  private betterThan(than: Candidate, found: Candidate): Candidate | null {
    const nearly = this.verified(found, 'hardest draws');
    if (!isBetter(nearly.rank, than.rank)) return null;
    const sure = this.verified(nearly);
    return isBetter(sure.rank, than.rank) ? sure : null;
  }

  /** Whether the same flights come to as much, down in the same minute, with the crew there only some time later. */
  isAsGoodBegunLater({ draft, rank }: Candidate, laterS: number): boolean {
    const { chargingPlaces } = this.problem;
    const later = new Planner(
      {
        ...this.problem,
        beginS: laterS,
        chargingPlaces: chargingPlaces.map((place) => ({ ...place, fromS: Math.max(place.fromS, laterS) })),
      },
      'quick',
      this.certainty,
    );
    const found = later.search.candidate(draft);
    return found !== null && !isBetter(rank.slice(0, 6), found.rank.slice(0, 6)) && later.isAllSure(found);
  }

  /** The best plan there is, where all can be looked at; what is proved is proved in all draws. */
  private ofAll(): Candidate | null {
    const draft = bestOfAll(this.problem, this.verdicts, (departure) =>
      this.certainty.isSure(departure, this.draws),
    );
    const found = draft && this.search.candidate(draft);
    if (!found || !this.isAllSure(found)) return null;
    // Which flights there are is proved; which pack flies which is for the rank to say.
    const [better = found] = this.withBestPacks(found);
    return better;
  }

  /**
   * A plan whose every flight is sure. What was not is known then: the same flights are timed anew, with packs charged for longer, say;
   * where they cannot be, flights lose their last takes, which find another place.
   */
  private verified(found: Candidate, draws = this.draws): Candidate {
    let now = found;
    for (let round = 0; ; round++) {
      const unsure = this.certainty.unsureOf(now.schedule.flights, draws);
      if (unsure.length === 0) return now;
      now = round < maxRounds ? this.mended(now) : this.without(now, unsure);
    }
  }

  private mended({ draft }: Candidate): Candidate {
    return this.search.candidate(draft) ?? this.search.filled(this.search.prefixes(draft));
  }

  private without({ draft, schedule: { flights } }: Candidate, unsure: readonly TimedFlight[]): Candidate {
    return this.search.prefixes(draft.filter((_, i) => !unsure.includes(flights[i] as TimedFlight)));
  }

  private isAllSure({ schedule }: Candidate): boolean {
    return this.certainty.unsureOf(schedule.flights, this.draws).length === 0;
  }

  /** A flight in every draw; null where it is not sure. */
  flown(departure: Departure): ExactFlight | null {
    return this.certainty.flown(departure);
  }

  /** The same with room for something that is left out; null where none can be made. */
  private withRoomMade(plan: Candidate): Candidate | null {
    const found = this.search.withRoomMade(plan, this.workShare);
    return found && this.betterThan(plan, found);
  }

  /** Whether something is in no flight that some pack could fly. */
  private leavesOut({ draft }: Candidate): boolean {
    return this.search.outside(draft).some((take) => this.search.couldBeFlown(take));
  }

  /** Whether all that any pack could fly is placed, with as few take-offs as its takes weigh. */
  private isAtItsBound(found: Candidate): boolean {
    if (this.leavesOut(found)) return false;
    const { draft } = found;
    const takes = draft.flatMap((flight) => flight.takes);
    return packingBoundOf(this.problem, this.certainty.hardest, takes, draft.length) >= draft.length;
  }

  /** How few take-offs there can be for what a plan places. */
  bound({ draft }: Candidate): Bound & { readonly isBest: boolean } {
    const takes = draft.flatMap((flight) => flight.takes);
    if (this.isProved) return { takeoffs: draft.length, by: 'columns', isBest: true };
    return { ...this.boundFor(takes, draft.length), isBest: false };
  }

  /** The same for any takes, as far as it is less than a number of flights that is known to do. */
  boundFor(takes: readonly Take[], known: number): Bound {
    if (takes.length === 0) return { takeoffs: 0, by: 'packing' };
    return boundOf(this.problem, this.certainty.hardest, takes, known);
  }
}
