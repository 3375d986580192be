import { type Place, type PlanePoint, toCartesian, toPolar } from '@acorn-tally/core';

const place: PlanePoint = { eastM: 0, northM: 0 };

/** To a tenth of a metre. */
export function eastAndNorth(seen: Place): PlanePoint {
  const { eastM, northM } = toCartesian(seen);
  return { eastM: Math.round(eastM * 10) / 10, northM: Math.round(northM * 10) / 10 };
}

/** As it is seen from the place itself, or from a launch place: to a metre and a degree. */
export function seenOnTheGround({ eastM, northM }: PlanePoint, from: PlanePoint = place): Place {
  const { distanceM, bearingDeg } = toPolar({ eastM: eastM - from.eastM, northM: northM - from.northM });
  return { distanceM: Math.round(distanceM), bearingDeg: Math.round(bearingDeg) % 360 };
}

/** Where something lies that is seen from a launch place. */
export function groundOf(seen: Place, from: PlanePoint): PlanePoint {
  const { eastM, northM } = toCartesian(seen);
  return { eastM: from.eastM + eastM, northM: from.northM + northM };
}
