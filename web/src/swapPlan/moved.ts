import { type FlightOfPlan, fromPlace, type LaunchPlace, type Shot, shotRanges } from '@acorn-tally/core';

/**
 * The shots of a shoot with one moved into a flight of its plan: it goes with the company it finds there, whichever flight that comes to
 * be, and is flown from where that takes off, to the same point on the ground.
 */
export function movedInto(
  shots: readonly Shot[],
  shotId: string,
  { shots: there, launchPlaceId }: Pick<FlightOfPlan, 'shots' | 'launchPlaceId'>,
  places: readonly LaunchPlace[],
): Shot[] {
  const company = there.find((one) => one.shotId !== shotId);
  if (!company) return [...shots];
  const pin = { batteryId: null, flightNumber: null, withShotId: company.shotId };
  return shots.map((shot) => {
    if (shot.id === shotId) return { ...flownFrom(shot, launchPlaceId, places), pin };
    // Two that each go with the other would be asked for twice.
    return shot.id === company.shotId && shot.pin?.withShotId === shotId
      ? { ...shot, pin: { ...shot.pin, withShotId: null } }
      : shot;
  });
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
