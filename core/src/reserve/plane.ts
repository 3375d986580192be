/** A place on the ground seen from another: distance in m, bearing in degrees true. */
export interface Place {
  readonly distanceM: number;
  readonly bearingDeg: number;
}

/** Distance and track from one place to another, both given from the same point, on the local plane. */
export function track(from: Place, to: Place): { readonly distanceM: number; readonly trackDeg: number } {
  const [a, b] = [toCartesian(from), toCartesian(to)];
  const { distanceM, bearingDeg } = toPolar({ eastM: b.eastM - a.eastM, northM: b.northM - a.northM });
  return { distanceM, trackDeg: bearingDeg };
}

/** Anything that has a place, as it is seen from another home; both are given from the first one. */
export function relativeTo<Thing extends Place>(home: Place, thing: Thing): Thing {
  const { distanceM, trackDeg: bearingDeg } = track(home, thing);
  return { ...thing, distanceM, bearingDeg };
}

/** Where the first home lies, seen from the other. */
export function reverseBearing({ distanceM, bearingDeg }: Place): Place {
  return { distanceM, bearingDeg: (bearingDeg + 180) % 360 };
}

/** A point of the local plane, m from where it is seen from. */
export interface PlanePoint {
  readonly eastM: number;
  readonly northM: number;
}

export function toCartesian({ distanceM, bearingDeg }: Place): PlanePoint {
  const angle = (bearingDeg * Math.PI) / 180;
  return { eastM: distanceM * Math.sin(angle), northM: distanceM * Math.cos(angle) };
}

/** And back. */
export function toPolar({ eastM, northM }: PlanePoint): Place {
  const degrees = (Math.atan2(eastM, northM) * 180) / Math.PI;
  return { distanceM: Math.hypot(eastM, northM), bearingDeg: (degrees + 360) % 360 };
}
