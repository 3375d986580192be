import { onPlane, type Place } from '@acorn-tally/core';

/** A point of the ground, m from the place. */
export interface OnTheGround {
  readonly eastM: number;
  readonly northM: number;
}

/** To a tenth of a metre. */
export function eastAndNorth(place: Place): OnTheGround {
  const { eastM, northM } = onPlane(place);
  return { eastM: Math.round(eastM * 10) / 10, northM: Math.round(northM * 10) / 10 };
}

/** As it is seen from the place itself, or from a launch place: to a metre and a degree. */
export function seenOnTheGround(
  { eastM, northM }: OnTheGround,
  from: OnTheGround = { eastM: 0, northM: 0 },
): Place {
  const [east, north] = [eastM - from.eastM, northM - from.northM];
  const bearingDeg = (Math.round((Math.atan2(east, north) * 180) / Math.PI) + 360) % 360;
  return { distanceM: Math.round(Math.hypot(east, north)), bearingDeg };
}

/** Where something lies that is seen from a launch place. */
export function groundOf(seen: Place, from: OnTheGround): OnTheGround {
  const { eastM, northM } = onPlane(seen);
  return { eastM: from.eastM + eastM, northM: from.northM + northM };
}
