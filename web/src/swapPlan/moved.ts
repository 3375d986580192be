import { type FlightOfPlan, fromPlace, type LaunchPlace, type Shot, shotRanges } from '@acorn-tally/core';

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
  const [home] = places;
  const to = places.find(({ id }) => id === placeId) ?? home;
  if (!to) return shot;
  const moved = fromPlace(shot, to, places);
  const distanceM = Math.min(shotRanges.distanceM.max, moved.distanceM);
  return { ...moved, distanceM, launchPlaceId: to === home ? null : to.id };
}
