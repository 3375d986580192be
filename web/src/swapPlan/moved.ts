import type { FlightOfPlan, LaunchPlace, Shot } from '@acorn-tally/core';
import { groundOf, seenAsShot } from './site';

/**
 * The shots of a shoot with one moved into a flight of its plan: pinned to it, and flown from where it takes off, to the same
 * point on the ground. A flight that had nothing else is gone, and later ones are counted without it.
 */
export function movedInto(
  shots: readonly Shot[],
  shotId: string,
  { number, launchPlaceId }: Pick<FlightOfPlan, 'number' | 'launchPlaceId'>,
  flights: readonly Pick<FlightOfPlan, 'number' | 'shots'>[],
  places: readonly LaunchPlace[],
): Shot[] {
  const emptied = flights.filter((one) => one.shots.every((shot) => shot.shotId === shotId));
  const flightNumber = number - emptied.filter((one) => one.number < number).length;
  return shots.map((shot) =>
    shot.id === shotId
      ? { ...flownFrom(shot, launchPlaceId, places), pin: { ...shot.pin, flightNumber } }
      : shot,
  );
}

/** The first of the places is home, which a shot does not name. */
function flownFrom(shot: Shot, placeId: string | null, places: readonly LaunchPlace[]): Shot {
  const placeOf = (id: string | null | undefined) => places.find((place) => place.id === id) ?? places[0];
  const [from, to] = [placeOf(shot.launchPlaceId), placeOf(placeId)];
  if (!from || !to || from.id === to.id) return shot;
  const launchPlaceId = to === places[0] ? null : to.id;
  return { ...shot, ...seenAsShot(groundOf(shot, from), to), launchPlaceId };
}
