import { type Sentence, sentence } from '../../units/sentence';
import { exactFlight, lastTake } from '../physics/exactFlight';
import { asKept } from '../physics/fleet';
import { type Pack, type Problem, quarterS, type Take } from '../request/problem';
import type { PlanRequest } from '../request/request';
import type { Planner } from '../search/planner';
import { type BlockReason, isScheduled, Scheduler } from '../search/schedule';
import type { Candidate } from '../search/search';
import type { ChangeCode, UnplacedCode, UnplacedTake } from './answer';
import { placedTakes } from './describe';
import {
  type Beliefs,
  type Change,
  endLater,
  oneMoreBattery,
  oneMoreCharger,
  otherLaunchPlaces,
  type PlanInHand,
  plannerFor,
  resoughtBy,
  shorterTakes,
  startEarlier,
  warmPacks,
  withShot,
} from './whatIf';

/** Of a request's work the search and the reasons may take so much; the rest is for whether the plan would still do. */
const reasonsShare = 0.8;

/** Takes that are in no flight: why, and the smallest change that would place each, found by trying. */
export function unplacedTakes(plan: PlanInHand, beliefs: Beliefs): UnplacedTake[] {
  const { problem } = plan.planner;
  const has = placedTakes(problem, plan.found);
  const left = problem.takes.filter(({ index }) => !has.has(index));
  if (left.length === 0) return [];
  const alternatives = new Alternatives(plan, has, beliefs);
  // Takes of a shot are alike: what is true of one that is left is true of the others.
  const ofShot = new Map<string, Pick<UnplacedTake, 'reason' | 'remedy'>>();
  return left.map((take) => {
    const { id } = take.shot;
    const told = ofShot.get(id) ?? {
      reason: whyNot(plan, take, has, alternatives),
      remedy: alternatives.remedyFor(take),
    };
    ofShot.set(id, told);
    return { shotId: id, take: take.number, ...told };
  });
}

type Why = Sentence<UnplacedCode>;

function whyNot(plan: PlanInHand, take: Take, has: ReadonlySet<number>, alternatives: Alternatives): Why {
  const { problem } = plan.planner;
  const packs = problem.packs.filter(
    ({ aircraftIndex }) => take.aircraftIndex === null || take.aircraftIndex === aircraftIndex,
  );
  if (packs.length === 0) return sentence('no-battery', 'No battery of its aircraft is at hand.');
  const before = take.after.find((index) => !has.has(index));
  if (before !== undefined) {
    const name = problem.takes[before]?.shot.name ?? '';
    return sentence('after-unplaced', 'It comes after {name}, which does not fit either.', { name });
  }
  const alone = packs.map((pack) => ({ pack, blocked: blockedAlone(plan.planner, pack, take) }));
  const could = alone.filter(({ blocked }) => blocked === null).map(({ pack }) => pack);
  if (could.length === 0) return whyNotAlone(plan.planner, take, alone);
  const unused = could.filter(({ index }) => !plan.found.draft.some(({ pack }) => pack === index));
  const names = could.map(({ battery }) => battery.label).join(', ');
  if (unused.length > 0) return whyNotThere(plan, take, alternatives);
  if (problem.chargingPlaces.length === 0)
    return sentence(
      'packs-flown',
      'No charged battery left for it; it would fit on {names}, flown already.',
      {
        names,
      },
    );
  if (isTooRoughAfter(plan, could, take)) return whyNotThere(plan, take, alternatives);
  return sentence('charging-too-slow', 'It would fit on {names}, but none is charged for it again in time.', {
    names,
  });
}

/** Whether after all flights of a plan, however full its pack is by then, it is the weather that keeps a take on the ground. */
function isTooRoughAfter({ planner, found }: PlanInHand, packs: readonly Pack[], take: Take): boolean {
  const scheduler = new Scheduler(planner.problem, planner.verdicts);
  return packs.every(({ index }) => {
    const after = scheduler.schedule([...found.draft, { pack: index, takes: [take] }], 'until-taken');
    return !isScheduled(after) && (after.reason === 'pack' || after.reason === 'weather');
  });
}

/** What of the request keeps a take out that some unused battery could fly: found by planning without it. */
function whyNotThere({ planner: { problem } }: PlanInHand, take: Take, alternatives: Alternatives): Why {
  const { request, work } = problem;
  const isFreed = (without: PlanRequest) => alternatives.places(without, take);
  if (take.shot.pin && isFreed(withShot(request, take.shot.id, (shot) => ({ ...shot, pin: null }))))
    return sentence('pinned', 'Where it is pinned there is no room for it.');
  if (request.order === 'kept' && isFreed(alternatives.inAnyOrder))
    return sentence('order', 'It does not fit in this order; in another it does.');
  if (request.endAt && isFreed(alternatives.withoutEnd))
    return sentence('crew-hours', 'The crew’s hours are over before it can be flown.');
  if (work.isSpent(reasonsShare))
    return sentence('search-stopped', 'The search ended before a place was found for it; there may be one.');
  return take.windows
    ? sentence('window', 'Others are in the air while its light or time lasts.')
    : sentence('window', 'Others are in the air while the weather is fair enough for it.');
}

/** What blocks a take that is the only one; null where nothing does. What it comes after is taken as flown. */
function blockedAlone({ problem, verdicts }: Planner, pack: Pack, take: Take): BlockReason | null {
  const only = { ...take, after: [], company: [], shot: { ...take.shot, pin: null } };
  const free = { ...problem, request: { ...problem.request, locks: null } };
  const schedule = new Scheduler(free, verdicts).schedule(
    [{ pack: pack.index, takes: [only] }],
    'until-taken',
  );
  return isScheduled(schedule) ? null : schedule.reason;
}

function whyNotAlone(
  planner: Planner,
  take: Take,
  alone: readonly { readonly pack: Pack; readonly blocked: BlockReason | null }[],
): Why {
  const has = (reason: BlockReason) => alone.some(({ blocked }) => blocked === reason);
  if (take.windows?.length === 0)
    return sentence('window', 'In these hours there is no such light or time that lasts as long as it.');
  if (has('until'))
    return sentence('crew-hours', 'It cannot be down again before the crew’s hours are over.');
  if (has('window')) return sentence('window', 'Its light or time is over before it can be flown.');
  if (has('charge')) return sentence('charging-too-slow', 'No battery is charged enough for it in time.');
  if (has('weather')) return sentence('no-weather', 'The weather of its hours is not known.');
  return whyNoPackLasts(
    planner,
    take,
    alone.map(({ pack }) => pack),
  );
}

/** How long it could last at most: on the best battery, in the calmest air. */
function whyNoPackLasts({ fleet, problem }: Planner, take: Take, packs: readonly Pack[]): Why {
  const weather = calmestWeather(problem, take);
  const [best] = packs
    .map((pack) => {
      const departure = { pack, takes: [take], weather, state: asKept(pack) };
      return { pack, possibleS: lastTake(fleet, departure, exactFlight(fleet, departure)).durationS };
    })
    .sort((a, b) => b.possibleS - a.possibleS);
  const label = best?.pack.battery.label ?? '';
  return best && best.possibleS >= 1
    ? sentence(
        'no-pack-lasts',
        'Takes {durationS} there; the best battery, {label}, has {possibleS} before it must turn back.',
        { durationS: take.shot.durationS, label, possibleS: best.possibleS },
      )
    : sentence(
        'out-of-reach',
        'In this wind no battery gets there and returns with the reserve in {confidenceFraction} of flights; the best is {label}.',
        { label, confidenceFraction: problem.confidence },
      );
}

/** The calmest of the quarters of an hour in which a take may be in the air. */
function calmestWeather({ weathers }: Problem, { windows }: Take): number {
  const isOpen = (quarter: number) =>
    windows === null ||
    weathers.length === 1 ||
    windows.some(({ fromS, untilS }) => fromS < (quarter + 1) * quarterS && untilS > quarter * quarterS);
  const known = weathers.flatMap((weather, at) => (weather && isOpen(at) ? [{ at, ...weather.wind }] : []));
  return known.sort((a, b) => a.speedMps - b.speedMps)[0]?.at ?? 0;
}

/** Whether the same shoot with one thing changed would have a place for what has none. */
class Alternatives {
  readonly withoutEnd: PlanRequest;
  readonly inAnyOrder: PlanRequest;
  /** From what costs the pilot least. */
  private readonly general: readonly Change[];
  /** What those placed that were sought to the end for a take in vain. */
  private readonly inVain = new Map<PlanRequest, ReadonlySet<number>>();
  private readonly placedShotIds: ReadonlySet<string>;

  constructor(
    private readonly plan: PlanInHand,
    private readonly has: ReadonlySet<number>,
    private readonly beliefs: Beliefs,
  ) {
    const { request, takes } = plan.planner.problem;
    this.placedShotIds = new Set([...has].map((index) => (takes[index] as Take).shot.id));
    this.withoutEnd = { ...request, endAt: null };
    this.inAnyOrder = { ...request, order: 'free' };
    const changes = [startEarlier, endLater, warmPacks, oneMoreCharger, oneMoreBattery];
    this.general = changes.flatMap((changesOf) => changesOf(request));
  }

  /** The first change that does. */
  remedyFor(take: Take): Sentence<ChangeCode> | null {
    const { request } = this.plan.planner.problem;
    const { shot } = take;
    const changes = [...otherLaunchPlaces(request, shot), ...this.general, ...shorterTakes(request, shot)];
    return changes.find((change) => this.places(change.request, take))?.sentence ?? null;
  }

  /** Also no where the work for it is spent. */
  places(request: PlanRequest, { index, shot }: Take): boolean {
    const known = this.inVain.get(request);
    if (known) return this.isEnough(known, index);
    if (this.plan.planner.problem.work.isSpent(reasonsShare)) return false;
    const planner = plannerFor(this.plan, this.wanting(shot.id, request), this.beliefs);
    const { problem } = planner;
    // What no pack could fly then either is not sought.
    if (problem.packs.every((pack) => blockedAlone(planner, pack, problem.takes[index] as Take)))
      return false;
    const placedBy = (found: Candidate) => placedTakes(problem, found);
    const { found } = resoughtBy(this.plan, planner, (one) => this.isEnough(placedBy(one), index));
    const placed = placedBy(found);
    if (this.isEnough(placed, index)) return true;
    this.inVain.set(request, placed);
    return false;
  }

  /** A take has a place, and none that had one loses it. */
  private isEnough(placed: ReadonlySet<number>, take: number): boolean {
    return placed.has(take) && [...this.has].every((index) => placed.has(index));
  }

  /** A request in which a shot has its place before others that have none either. */
  private wanting(id: string, request: PlanRequest): PlanRequest {
    const shots = request.shots.map((shot) => {
      const isWanted = shot.id === id || this.placedShotIds.has(shot.id);
      return { ...shot, need: isWanted ? ('must' as const) : ('nice' as const) };
    });
    return { ...request, shots };
  }
}
