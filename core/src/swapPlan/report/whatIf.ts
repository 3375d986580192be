import type { Conditions } from '../../air/conditions';
import type { LaunchPlace } from '../../air/site';
import type { Belief } from '../../belief/belief';
import { relativeTo, toPolar } from '../../reserve/plane';
import { type Sentence, sentence } from '../../units/sentence';
import { airAtStartC, type Problem, problemOf, type Take, withOverrides } from '../request/problem';
import type { PlanBattery, PlanRequest } from '../request/request';
import { type Shot, shotRanges } from '../request/shot';
import type { PlanDraft } from '../search/draft';
import type { IsEnough, Planner } from '../search/planner';
import { placesMore } from '../search/rank';
import type { Candidate } from '../search/search';
import type { ChangeCode, Outlook } from './answer';
import { placedTakes } from './describe';
import { instantAt } from './instant';

export type Beliefs = Readonly<Record<string, Belief>>;

/** A request with one thing changed, and what that is. */
export interface Change {
  readonly sentence: Sentence<ChangeCode>;
  readonly request: PlanRequest;
}

/** A plan, and what it is asked of. */
export interface PlanInHand {
  readonly planner: Planner;
  readonly found: Candidate;
}

/** What becomes of a plan if things were otherwise. */
export interface Otherwise extends PlanInHand {
  /** Whether the search stopped at the limit of its work. */
  readonly atLeast: boolean;
}

/** A plan with its request changed, beginning with what is left of it, sought until it is enough. */
export function ifRequested(
  plan: PlanInHand,
  request: PlanRequest,
  beliefs: Beliefs,
  isEnough?: IsEnough,
): Otherwise {
  return resoughtBy(plan, plannerFor(plan, request, beliefs), isEnough);
}

export function plannerFor({ planner }: PlanInHand, request: PlanRequest, beliefs: Beliefs): Planner {
  return planner.forAnother(problemOf(request, beliefs, planner.problem.work));
}

/** What another planner makes of a plan, beginning with what is left of it. */
export function resoughtBy({ planner, found }: PlanInHand, other: Planner, isEnough?: IsEnough): Otherwise {
  return soughtAnew(other, draftFor(planner.problem, other.problem, found.draft), isEnough);
}

/** A plan with other packs or chargers at hand. */
export function ifAtHand(
  { planner, found }: PlanInHand,
  overrides: Parameters<typeof withOverrides>[1],
  isEnough: IsEnough,
): Otherwise {
  const other = planner.inCircumstances(withOverrides(planner.problem, overrides));
  return soughtAnew(other, found.draft, isEnough);
}

function soughtAnew(planner: Planner, draft: PlanDraft, isEnough: IsEnough = () => false): Otherwise {
  const found = planner.resought(draft, isEnough);
  return { planner, found, atLeast: planner.problem.work.isSpent() };
}

/** As good as a plan that none with less at hand can pass. */
export function asGoodAs({ rank }: Candidate): IsEnough {
  return (one) => !placesMore(rank, one.rank);
}

/** The same takes are numbered alike; packs are found by their id. */
function draftFor({ packs }: Problem, there: Problem, draft: PlanDraft): PlanDraft {
  return draft.flatMap(({ pack, takes }) => {
    const id = packs[pack]?.battery.id;
    const same = there.packs.find(({ battery }) => battery.id === id);
    return same ? [{ pack: same.index, takes: takes.map(({ index }) => there.takes[index] as Take) }] : [];
  });
}

export function outlookOf({ planner: { problem }, found }: PlanInHand): Outlook {
  const takeoffs = problem.flown.length + found.draft.length;
  return {
    takesPlaced: placedTakes(problem, found).size,
    takeoffs,
    endAt: takeoffs > 0 ? instantAt(problem, found.schedule.endS) : problem.request.startAt,
  };
}

/** A room, or an inner pocket that is worn (see `battery/keeping`). */
const roomC = 20;

/** Another charger like the first. */
export function oneMoreCharger(request: PlanRequest): Change[] {
  const [like] = request.chargers ?? [];
  if (!like) return [];
  const chargers = [...(request.chargers ?? []), { ...like, id: `${like.id} again` }];
  const change = sentence('one-more-charger', 'Bring another charger like {name}', { name: like.name });
  return [{ sentence: change, request: { ...request, chargers } }];
}

/** Another battery like the one with most charge, full. */
export function oneMoreBattery(request: PlanRequest): Change[] {
  const [like] = [...request.batteries].sort((a, b) => b.startCharge - a.startCharge);
  if (!like) return [];
  const more = { ...like, id: `${like.id} again`, startCharge: 1, daysSinceCharge: null };
  const change = sentence('one-more-battery', 'Bring one more battery like {label}, charged', {
    label: like.label,
  });
  return [{ sentence: change, request: { ...request, batteries: [...request.batteries, more] } }];
}

/** All batteries as warm as a room, where some are not. */
export function warmPacks(request: PlanRequest): Change[] {
  const airC = airAtStartC(request);
  const isCold = ({ startTemperatureC, waitingTemperatureC }: PlanBattery) =>
    (startTemperatureC ?? airC) < roomC || (waitingTemperatureC ?? roomC) < roomC;
  if (!request.batteries.some(isCold)) return [];
  const batteries = request.batteries.map((one) => ({
    ...one,
    startTemperatureC: Math.max(roomC, one.startTemperatureC ?? airC),
    waitingTemperatureC: Math.max(roomC, one.waitingTemperatureC ?? roomC),
  }));
  const change = sentence('warm-packs', 'Keep the batteries at {warmC} until they fly', { warmC: roomC });
  return [{ sentence: change, request: { ...request, batteries } }];
}

/** Whether it makes a difference when a shoot begins, and may still be asked. */
export function dependsOnStartTime({ hours, shots, endAt, flown }: PlanRequest): boolean {
  if (flown?.length) return false;
  return (
    (hours?.length ?? 0) > 1 ||
    endAt != null ||
    shots.some(({ light, earliestAt, latestAt }) => light || earliestAt || latestAt)
  );
}

const stepsS = [1800, 3600, 7200];

export function startEarlier(request: PlanRequest): Change[] {
  if (!dependsOnStartTime(request)) return [];
  return stepsS.map((earlierSpanS) => ({
    sentence: sentence('start-earlier', 'Begin {earlierSpanS} earlier', { earlierSpanS }),
    request: { ...request, startAt: shifted(request.startAt, -earlierSpanS) },
  }));
}

export function endLater(request: PlanRequest): Change[] {
  const { endAt } = request;
  if (endAt == null) return [];
  return stepsS.map((longerSpanS) => ({
    sentence: sentence('end-later', 'Go on for {longerSpanS} longer', { longerSpanS }),
    request: { ...request, endAt: shifted(endAt, longerSpanS) },
  }));
}

export function shifted(at: string, seconds: number): string {
  return new Date(Date.parse(at) + seconds * 1000).toISOString();
}

/** The same point seen from each other launch place. */
export function otherLaunchPlaces(request: PlanRequest, shot: Shot): Change[] {
  const places = request.launchPlaces ?? [];
  const here = places.find(({ id }) => id === shot.launchPlaceId) ?? places[0];
  return places
    .filter((place) => place !== here)
    .map((place) => ({
      sentence: sentence('other-launch-place', 'Take off for it at {name}', { name: place.name }),
      request: withShot(request, shot.id, (one) => fromPlace(one, place, places)),
    }));
}

/** From each launch place that is not already the only one, by where it is. */
export function allFromOnePlace(request: PlanRequest): Change[] {
  const places = request.launchPlaces ?? [];
  const usedIds = new Set(request.shots.map(({ launchPlaceId }) => launchPlaceId ?? places[0]?.id));
  const used = places.filter(({ id }) => usedIds.has(id));
  const isUsed = (place: LaunchPlace) =>
    used.every(({ eastM, northM }) => Math.hypot(eastM - place.eastM, northM - place.northM) < 1);
  return places
    .filter((place) => !isUsed(place))
    .map((place) => ({
      sentence: sentence('all-from-place', 'Fly everything from {name}', { name: place.name }),
      request: { ...request, shots: request.shots.map((shot) => fromPlace(shot, place, places)) },
    }));
}

/** What is worth shortening a take to. */
const shorterShares = [0.8, 0.6, 0.4];

export function shorterTakes(request: PlanRequest, { id, durationS }: Shot): Change[] {
  return shorterShares.map((share) => {
    const shorterS = Math.max(shotRanges.durationS.min, Math.floor((durationS * share) / 5) * 5);
    return {
      sentence: sentence('shorter-takes', 'Shorten it to {durationS} min', { durationS: shorterS }),
      request: withShot(request, id, (shot) => ({ ...shot, durationS: shorterS })),
    };
  });
}

/** Null where nothing is pinned. */
export function withoutPins(request: PlanRequest): PlanRequest | null {
  const isPinned = request.shots.some(({ pin }) => pin) || (request.locks ?? []).length > 0;
  if (!isPinned) return null;
  return { ...request, locks: null, shots: request.shots.map((shot) => ({ ...shot, pin: null })) };
}

/** The request with one of its shots otherwise. */
export function withShot(request: PlanRequest, id: string, change: (shot: Shot) => Shot): PlanRequest {
  return { ...request, shots: request.shots.map((shot) => (shot.id === id ? change(shot) : shot)) };
}

/** A shot at the same point, flown from another launch place. */
export function fromPlace(shot: Shot, place: LaunchPlace, places: readonly LaunchPlace[]): Shot {
  const here = places.find(({ id }) => id === shot.launchPlaceId) ?? places[0];
  if (!here || here.id === place.id) return { ...shot, launchPlaceId: place.id };
  const moved = toPolar({ eastM: place.eastM - here.eastM, northM: place.northM - here.northM });
  return { ...relativeTo(moved, shot), launchPlaceId: place.id };
}

const windier = 4 / 3;
const longer = 3 / 2;

export function inStrongerWind(request: PlanRequest): PlanRequest {
  const stronger = <Weather extends Conditions>(weather: Weather): Weather => ({
    ...weather,
    wind: {
      ...weather.wind,
      speedMps: weather.wind.speedMps * windier,
      gustMps: weather.wind.gustMps == null ? null : weather.wind.gustMps * windier,
    },
  });
  const { conditions, hours } = request;
  return {
    ...request,
    conditions: conditions ? stronger(conditions) : null,
    hours: hours ? hours.map(stronger) : null,
  };
}

export function withLongerTakes(request: PlanRequest): PlanRequest {
  const lasts = (durationS: number) => Math.min(shotRanges.durationS.max, durationS * longer);
  return { ...request, shots: request.shots.map((shot) => ({ ...shot, durationS: lasts(shot.durationS) })) };
}
