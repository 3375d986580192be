import type { Belief } from '../belief/belief';
import { type Sentence, sentence } from '../units/sentence';
import type { RemedyCode, UnplacedCode, UnplacedTake } from './answer';
import {
  fromPlace,
  hangsOnTheHour,
  warmC,
  withBatteryMore,
  withChargerMore,
  withShot,
  withWarmPacks,
} from './changes';
import { exactFlight, lastTake } from './exactFlight';
import { asKept } from './fleet';
import { placedTakes, plannedOtherwise } from './further';
import { type Pack, type Problem, quarterS, type Take } from './problem';
import type { PlanRequest } from './request';
import { type Hindrance, isScheduled, scheduled } from './schedule';
import type { Found } from './search';
import type { Planner } from './seek';

/** Takes that are in no flight: why, and the smallest change that would place each, found by trying. */
export function unplacedTakes(
  planner: Planner,
  found: Found,
  beliefs: Readonly<Record<string, Belief>>,
): UnplacedTake[] {
  const { problem } = planner;
  const has = placedTakes(problem, found);
  const left = problem.takes.filter(({ index }) => !has.has(index));
  if (left.length === 0) return [];
  const remedies = new Remedies(planner, found, has, beliefs);
  // Takes of a shot are alike: what is true of one that is left is true of the others.
  const ofShot = new Map<string, Pick<UnplacedTake, 'reason' | 'remedy'>>();
  return left.map((take) => {
    const { id } = take.shot;
    const told = ofShot.get(id) ?? {
      reason: whyNot(planner, found, take, has, beliefs),
      remedy: remedies.of(take),
    };
    ofShot.set(id, told);
    return { shotId: id, take: take.number, ...told };
  });
}

type Why = Sentence<UnplacedCode>;

function whyNot(
  planner: Planner,
  found: Found,
  take: Take,
  has: ReadonlySet<number>,
  beliefs: Readonly<Record<string, Belief>>,
): Why {
  const { problem } = planner;
  const packs = problem.packs.filter(
    ({ aircraftIndex }) => take.aircraftIndex === null || take.aircraftIndex === aircraftIndex,
  );
  if (packs.length === 0) return sentence('no-battery', 'No battery of its aircraft is at hand.');
  const before = take.after.find((index) => !has.has(index));
  if (before !== undefined) {
    const name = problem.takes[before]?.shot.name ?? '';
    return sentence('after-unplaced', 'It comes after {name}, which has no place either.', { name });
  }
  const alone = packs.map((pack) => ({ pack, hindrance: aloneHindrance(planner, pack, take) }));
  const could = alone.filter(({ hindrance }) => hindrance === null).map(({ pack }) => pack);
  if (could.length === 0) return whyNotAlone(planner, take, alone);
  const unused = could.filter(({ index }) => !found.draft.some(({ pack }) => pack === index));
  const names = could.map(({ battery }) => battery.label).join(', ');
  if (unused.length === 0) {
    return problem.chargingPlaces.length > 0
      ? sentence('charging-too-slow', 'It would fit on {names}, but none is charged for it again in time.', {
          names,
        })
      : sentence('packs-flown', 'No charged battery left for it; it would fit on {names}, flown already.', {
          names,
        });
  }
  return whyNotThere(planner, found, take, beliefs);
}

/** What of the request keeps a take out that some unused battery could fly: found by planning without it. */
function whyNotThere(
  planner: Planner,
  found: Found,
  take: Take,
  beliefs: Readonly<Record<string, Belief>>,
): Why {
  const { request, work } = planner.problem;
  const places = (other: PlanRequest) => {
    if (work.isSpent()) return false;
    const otherwise = plannedOtherwise(planner, found, other, beliefs);
    return placedTakes(otherwise.problem, otherwise.found).size > placedTakes(planner.problem, found).size;
  };
  if (take.shot.pin && places(withShot(request, take.shot.id, (shot) => ({ ...shot, pin: null }))))
    return sentence('pinned', 'Where it is pinned there is no room for it.');
  if (request.endAt && places({ ...request, endAt: null }))
    return sentence('crew-hours', 'The crew’s hours are over before it can be flown.');
  if (request.order === 'kept' && places({ ...request, order: 'free' }))
    return sentence('order', 'In this order there is no place for it; in another there is.');
  if (work.isSpent())
    return sentence('search-stopped', 'The search ended before a place was found for it; there may be one.');
  return take.windows
    ? sentence('window', 'Others are in the air while its light or time lasts.')
    : sentence('window', 'Others are in the air while the weather is fair enough for it.');
}

/** What hinders a take that is the only one; null where nothing does. What it comes after is taken as flown. */
function aloneHindrance({ verdicts }: Planner, pack: Pack, take: Take): Hindrance | null {
  const only = { ...take, after: [], shot: { ...take.shot, pin: null } };
  const schedule = scheduled(verdicts, [{ pack: pack.index, takes: [only] }], 'until-taken');
  return isScheduled(schedule) ? null : schedule.hindrance;
}

function whyNotAlone(
  planner: Planner,
  take: Take,
  alone: readonly { readonly pack: Pack; readonly hindrance: Hindrance | null }[],
): Why {
  const has = (hindrance: Hindrance) => alone.some((one) => one.hindrance === hindrance);
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
        'No battery gets there and back with the reserve so surely in this wind; the best is {label}.',
        { label },
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

interface Change {
  readonly remedy: Sentence<RemedyCode>;
  readonly request: PlanRequest;
}

const earlierS = [1800, 3600, 7200];
/** What is worth shortening a take to. */
const shorterShares = [0.8, 0.6, 0.4];

/** Changes tried one after the other, from what costs the pilot least; each is planned once. */
class Remedies {
  private readonly tried = new Map<Change, ReadonlySet<number>>();
  private readonly general: readonly Change[];

  constructor(
    private readonly planner: Planner,
    private readonly found: Found,
    private readonly has: ReadonlySet<number>,
    private readonly beliefs: Readonly<Record<string, Belief>>,
  ) {
    this.general = generalChanges(planner);
  }

  of(take: Take): Sentence<RemedyCode> | null {
    const changes = [...otherPlaces(this.planner, take), ...this.general, ...shorter(this.planner, take)];
    const { work } = this.planner.problem;
    return changes.find((change) => !work.isSpent() && this.places(change, take))?.remedy ?? null;
  }

  /** And no take that has a place loses it. */
  private places(change: Change, take: Take): boolean {
    const held = this.tried.get(change);
    const placed = held ?? this.planned(change);
    this.tried.set(change, placed);
    return placed.has(take.index) && [...this.has].every((index) => placed.has(index));
  }

  private planned({ request }: Change): ReadonlySet<number> {
    const { problem, found } = plannedOtherwise(this.planner, this.found, request, this.beliefs);
    return placedTakes(problem, found);
  }
}

function generalChanges({ problem }: Planner): Change[] {
  const { request, startMs } = problem;
  const changes: Change[] = [];
  if (hangsOnTheHour(request)) {
    for (const durationS of earlierS) {
      const startAt = new Date(startMs - durationS * 1000).toISOString();
      changes.push({
        remedy: sentence('start-earlier', 'Begin {durationS} min earlier.', { durationS }),
        request: { ...request, startAt },
      });
    }
  }
  if (request.endAt != null) {
    for (const durationS of earlierS) {
      const endAt = new Date(Date.parse(request.endAt) + durationS * 1000).toISOString();
      changes.push({
        remedy: sentence('end-later', 'Go on {durationS} min longer.', { durationS }),
        request: { ...request, endAt },
      });
    }
  }
  const [warm, charger, battery] = [
    withWarmPacks(request),
    withChargerMore(request),
    withBatteryMore(request),
  ];
  if (warm)
    changes.push({
      remedy: sentence('warm-packs', 'Keep the batteries at {warmC} until they fly.', { warmC }),
      request: warm,
    });
  if (charger)
    changes.push({
      remedy: sentence('one-more-charger', 'Bring another charger like {name}.', { name: charger.like.name }),
      request: charger.request,
    });
  if (battery)
    changes.push({
      remedy: sentence('one-more-battery', 'Bring one more battery like {label}, charged.', {
        label: battery.like.label,
      }),
      request: battery.request,
    });
  return changes;
}

/** The same point seen from each other launch place. */
function otherPlaces({ problem }: Planner, take: Take): Change[] {
  const { request, places } = problem;
  const here = places[take.placeIndex];
  if (!here) return [];
  return places
    .filter(({ id }) => id !== here.id)
    .map((place) => ({
      remedy: sentence('other-launch-place', 'Take off for it at {name}.', { name: place.name }),
      request: withShot(request, take.shot.id, (shot) => fromPlace(shot, place, places)),
    }));
}

function shorter({ problem }: Planner, take: Take): Change[] {
  return shorterShares.map((share) => {
    const durationS = Math.floor((take.shot.durationS * share) / 5) * 5;
    return {
      remedy: sentence('shorter-takes', 'Shorten it to {durationS}.', { durationS }),
      request: withShot(problem.request, take.shot.id, (shot) => ({
        ...shot,
        durationS: Math.max(5, durationS),
      })),
    };
  });
}
