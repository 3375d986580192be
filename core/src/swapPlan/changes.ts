import type { LaunchPlace } from '../air/site';
import { offPlane, seenFrom } from '../reserve/plane';
import { airAtStartC } from './problem';
import type { PlanBattery, PlanCharger, PlanRequest } from './request';
import type { Shot } from './shot';

/** What a pilot may change to get more of a plan, as other requests. */

/** A room, or an inner pocket that is worn (see `battery/keeping`). */
export const warmC = 20;

export interface More<Thing> {
  readonly like: Thing;
  readonly request: PlanRequest;
}

/** Another charger like the first; null where there is none to be like. */
export function withChargerMore(request: PlanRequest): More<PlanCharger> | null {
  const [like] = request.chargers ?? [];
  if (!like) return null;
  const more = { ...like, id: `${like.id} again` };
  return { like, request: { ...request, chargers: [...(request.chargers ?? []), more] } };
}

/** Another battery like the one with most charge, full. */
export function withBatteryMore(request: PlanRequest): More<PlanBattery> | null {
  const [like] = [...request.batteries].sort((a, b) => b.startCharge - a.startCharge);
  if (!like) return null;
  const more = { ...like, id: `${like.id} again`, startCharge: 1, daysSinceCharge: null };
  return { like, request: { ...request, batteries: [...request.batteries, more] } };
}

/** All batteries as warm as a room, which some are not; null where all are. */
export function withWarmPacks(request: PlanRequest): PlanRequest | null {
  const airC = airAtStartC(request);
  const isCold = ({ startTemperatureC, waitingTemperatureC }: PlanBattery) =>
    (startTemperatureC ?? airC) < warmC || (waitingTemperatureC ?? warmC) < warmC;
  if (!request.batteries.some(isCold)) return null;
  const batteries = request.batteries.map((one) => ({
    ...one,
    startTemperatureC: Math.max(warmC, one.startTemperatureC ?? airC),
    waitingTemperatureC: Math.max(warmC, one.waitingTemperatureC ?? warmC),
  }));
  return { ...request, batteries };
}

/** Whether it makes a difference when a shoot begins, and may still be asked. */
export function hangsOnTheHour({ hours, shots, endAt, flown }: PlanRequest): boolean {
  if (flown?.length) return false;
  return (
    (hours?.length ?? 0) > 1 ||
    endAt != null ||
    shots.some(({ light, earliestAt, latestAt }) => light || earliestAt || latestAt)
  );
}

/** A shot at the same point, flown from another launch place. */
export function fromPlace(shot: Shot, place: LaunchPlace, places: readonly LaunchPlace[]): Shot {
  const here = places.find(({ id }) => id === shot.launchPlaceId) ?? places[0];
  if (!here || here.id === place.id) return { ...shot, launchPlaceId: place.id };
  const moved = offPlane({ eastM: place.eastM - here.eastM, northM: place.northM - here.northM });
  return { ...seenFrom(moved, shot), launchPlaceId: place.id };
}

/** The request with one of its shots otherwise. */
export function withShot(request: PlanRequest, id: string, change: (shot: Shot) => Shot): PlanRequest {
  return { ...request, shots: request.shots.map((shot) => (shot.id === id ? change(shot) : shot)) };
}
