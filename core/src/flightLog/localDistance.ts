/** A place on the earth, where a sample says it. */
export interface WithCoordinates {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
}

/** One degree of a great circle on a sphere of the earth's mean radius, 6,371,009 m (IUGG). */
const metresPerDegree = 111_195;

/** Metres east and north of a place: flat, which over a flight's kilometres is right to some thousandths. */
export function eastAndNorthOf(
  from: WithCoordinates,
  to: WithCoordinates,
): { readonly eastM: number; readonly northM: number } {
  const shrink = Math.cos((to.latitudeDeg * Math.PI) / 180);
  return {
    eastM: (to.longitudeDeg - from.longitudeDeg) * metresPerDegree * shrink,
    northM: (to.latitudeDeg - from.latitudeDeg) * metresPerDegree,
  };
}

export function localDistanceM(from: WithCoordinates, to: WithCoordinates): number {
  const { eastM, northM } = eastAndNorthOf(from, to);
  return Math.hypot(eastM, northM);
}

/** Those samples that say where they were. */
export function withCoordinates<Sample extends Partial<WithCoordinates>>(
  samples: readonly Sample[],
): (Sample & WithCoordinates)[] {
  return samples.filter(
    (one): one is Sample & WithCoordinates => one.latitudeDeg !== undefined && one.longitudeDeg !== undefined,
  );
}
