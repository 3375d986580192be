import { type FieldProblem, repeatedIds } from '../../units/fieldProblem';
import { compareInstants } from '../../units/instant';
import { dayS, longestShootS, maxPlanned, type PlanRequest } from './request';
import type { Shot } from './shot';
import { windowsOf } from './windows';

/** All that contradicts in a request, field by field; nothing where it can be planned. */
export function contradictions(request: PlanRequest): FieldProblem[] {
  const named = [...ofNames(request), ...ofShoot(request)];
  return named.length > 0 ? named : [...ofTimes(request), ...ofOrder(request)];
}

function ofShoot(request: PlanRequest): FieldProblem[] {
  const { aircraft, batteries, conditions, hours, startAt, endAt, shots, swap } = request;
  const found: FieldProblem[] = [];
  const say = (path: string, message: string, received?: unknown) => found.push({ path, message, received });
  if (aircraft.length === 0) say('aircraft', 'A plan needs an aircraft.', aircraft);
  if (batteries.length === 0) say('batteries', 'A plan needs a battery.', batteries);
  if (!conditions && !hours?.length)
    say('conditions', 'The weather is needed: conditions for all of it, or hours.');
  if (conditions && hours?.length) say('hours', 'Give conditions or hours, not both.');
  if (endAt != null && compareInstants(endAt, startAt) <= 0)
    say('endAt', 'The end must come after the start.', endAt);
  if (endAt != null && Date.parse(endAt) - Date.parse(startAt) > longestShootS * 1000)
    say('endAt', 'A shoot lasts two days at most.', endAt);
  const { landToLiftOffS, ...parts } = swap;
  const isInParts = [parts.landS, parts.changeS, parts.satellitesS].some((one) => one != null);
  if (landToLiftOffS == null && !isInParts)
    say('swap', 'The swap time is needed: as a whole, or in its parts.');
  if (landToLiftOffS != null && isInParts)
    say('swap.landToLiftOffS', 'Give the swap time as a whole or in parts, not both.', landToLiftOffS);
  const takes = shots.reduce((sum, shot) => sum + (shot.takes ?? 1), 0);
  if (takes > maxPlanned.takes)
    say('shots', `At most ${maxPlanned.takes} takes are planned at once, not ${takes}.`);
  return found;
}

function ofNames(request: PlanRequest): FieldProblem[] {
  const { aircraft, batteries, chargers, launchPlaces, shots, locks, flown } = request;
  const ids = {
    aircraft: aircraft.map(({ id }) => id),
    batteries: batteries.map(({ id }) => id),
    chargers: (chargers ?? []).map(({ id }) => id),
    launchPlaces: (launchPlaces ?? []).map(({ id }) => id),
    shots: shots.map(({ id }) => id),
  };
  const found: FieldProblem[] = Object.entries(ids).flatMap(([list, all]) => repeatedIds(list, all));
  const known = (list: keyof typeof ids, id: string | null | undefined, path: string, noun: string) => {
    if (id != null && !ids[list].includes(id))
      found.push({ path, message: `There is no such ${noun} in the request.`, received: id });
  };
  batteries.forEach(({ aircraftId }, i) => {
    known('aircraft', aircraftId, `batteries.${i}.aircraftId`, 'aircraft');
  });
  shots.forEach((shot, i) => {
    known('aircraft', shot.aircraftId, `shots.${i}.aircraftId`, 'aircraft');
    known('launchPlaces', shot.launchPlaceId, `shots.${i}.launchPlaceId`, 'launch place');
    known('batteries', shot.pin?.batteryId, `shots.${i}.pin.batteryId`, 'battery');
    known('shots', shot.pin?.withShotId, `shots.${i}.pin.withShotId`, 'shot');
    (shot.after ?? []).forEach((id, j) => {
      known('shots', id, `shots.${i}.after.${j}`, 'shot');
    });
  });
  (locks ?? []).forEach(({ batteryId }, i) => {
    known('batteries', batteryId, `locks.${i}.batteryId`, 'battery');
  });
  const numbers = (locks ?? []).map(({ flightNumber }) => flightNumber);
  numbers.forEach((number, i) => {
    if (numbers.indexOf(number) < i)
      found.push({
        path: `locks.${i}.flightNumber`,
        message: 'This flight is locked twice.',
        received: number,
      });
  });
  (flown ?? []).forEach(({ batteryId, shots: done }, i) => {
    known('batteries', batteryId, `flown.${i}.batteryId`, 'battery');
    done.forEach(({ shotId, take }, j) => {
      known('shots', shotId, `flown.${i}.shots.${j}.shotId`, 'shot');
      const count = shots.find(({ id }) => id === shotId)?.takes ?? 1;
      if (take > count)
        found.push({
          path: `flown.${i}.shots.${j}.take`,
          message: 'That shot has no such take.',
          received: take,
        });
    });
  });
  return found;
}

function ofTimes(request: PlanRequest): FieldProblem[] {
  const { shots, coordinates, batteries, chargers, launchPlaces } = request;
  const found: FieldProblem[] = [];
  if (!coordinates && shots.some(({ light }) => light))
    shots.forEach(({ light }, i) => {
      if (light)
        found.push({ path: `shots.${i}.light`, message: 'Light needs coordinates.', received: light });
    });
  (chargers ?? []).forEach(({ fromAt, untilAt }, i) => {
    if (fromAt != null && untilAt != null && compareInstants(untilAt, fromAt) <= 0)
      found.push({
        path: `chargers.${i}.untilAt`,
        message: 'Its power must end after it begins.',
        received: untilAt,
      });
  });
  shots.forEach((shot, i) => {
    const problem = windowProblem(shot, request);
    if (problem)
      found.push({
        path: `shots.${i}.${problem.field}`,
        message: problem.message,
        received: shot[problem.field],
      });
    const apart = apartFrom(shot, shots, launchPlaces?.[0]?.id);
    if (apart)
      found.push({ path: `shots.${i}.pin.withShotId`, message: apart, received: shot.pin?.withShotId });
    const { aircraftId, pin } = shot;
    const pinned = batteries.find(({ id }) => id === pin?.batteryId);
    if (aircraftId != null && pinned && pinned.aircraftId !== aircraftId)
      found.push({
        path: `shots.${i}.pin.batteryId`,
        message: 'This battery is of another aircraft.',
        received: pinned.id,
      });
  });
  return found;
}

/** Why a shot can be in no flight with the one it is pinned to go with; null where it can. */
function apartFrom(shot: Shot, shots: readonly Shot[], homeId: string | undefined): string | null {
  const other = shots.find(({ id }) => id === shot.pin?.withShotId);
  if (!other) return null;
  if (other === shot) return 'A shot goes with itself anyway: name another.';
  const placeOf = ({ launchPlaceId }: Shot) => launchPlaceId ?? homeId;
  if (placeOf(shot) !== placeOf(other)) return `${other.name} is flown from another launch place.`;
  if (shot.aircraftId != null && other.aircraftId != null && shot.aircraftId !== other.aircraftId)
    return `${other.name} is flown by another aircraft.`;
  if ((shot.addedMassKg ?? 0) !== (other.addedMassKg ?? 0))
    return `${other.name} is flown with other accessories.`;
  return null;
}

function windowProblem(
  shot: Shot,
  { startAt, endAt, coordinates }: PlanRequest,
): { readonly field: 'latestAt' | 'earliestAt' | 'light'; readonly message: string } | null {
  const { earliestAt, latestAt, light, durationS } = shot;
  const room = (from: string, until: string) => (Date.parse(until) - Date.parse(from)) / 1000;
  if (earliestAt != null && latestAt != null && room(earliestAt, latestAt) < durationS)
    return { field: 'latestAt', message: 'Between earliest and latest there is no room for one take.' };
  if (endAt != null && earliestAt != null && room(earliestAt, endAt) < durationS)
    return { field: 'earliestAt', message: 'From then on there is no room for one take before the end.' };
  if (latestAt != null && room(startAt, latestAt) < durationS)
    return { field: 'latestAt', message: 'Until then there is no room for one take after the start.' };
  if (light == null || !coordinates) return null;
  const untilS = endAt != null ? room(startAt, endAt) : dayS;
  const windows = windowsOf(shot, Date.parse(startAt), untilS, coordinates);
  return windows?.length === 0
    ? { field: 'light', message: 'In these hours there is no such light that lasts as long as one take.' }
    : null;
}

/** Cycles in "after", and what the kept order or the windows of two shots forbid. */
function ofOrder({ shots, order }: PlanRequest): FieldProblem[] {
  const found: FieldProblem[] = [];
  const indexOf = (id: string) => shots.findIndex((shot) => shot.id === id);
  shots.forEach((shot, i) => {
    (shot.after ?? []).forEach((id, j) => {
      const path = `shots.${i}.after.${j}`;
      const before = shots[indexOf(id)] as Shot;
      const say = (message: string) => found.push({ path, message, received: id });
      if (reaches(shots, id, shot.id)) say('These shots each wait for the other.');
      else if (order === 'kept' && indexOf(id) > i)
        say('The order is kept, and that shot stands later in it.');
      else if (before.earliestAt != null && shot.latestAt != null) {
        const minS = before.durationS * (before.takes ?? 1) + shot.durationS;
        const hasRoom = (Date.parse(shot.latestAt) - Date.parse(before.earliestAt)) / 1000 >= minS;
        if (!hasRoom) say('Its own latest time leaves no room after the earliest time of that shot.');
      }
    });
  });
  return found;
}

/** Whether following "after" from one shot comes to another. */
function reaches(shots: readonly Shot[], from: string, to: string): boolean {
  const seen = new Set<string>();
  const open = [from];
  for (let id = open.pop(); id !== undefined; id = open.pop()) {
    if (id === to) return true;
    if (seen.has(id)) continue;
    seen.add(id);
    open.push(...(shots.find((shot) => shot.id === id)?.after ?? []));
  }
  return false;
}
