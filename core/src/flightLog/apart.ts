/** A place on the earth, where a sample says it. */
export interface Placed {
  readonly latitudeDeg: number;
  readonly longitudeDeg: number;
}

/** One degree of a great circle on a sphere of the earth's mean radius, 6,371,009 m (IUGG). */
const metresPerDegree = 111_195;

/** Metres east and north of a place: flat, which over a flight's kilometres is right to some thousandths. */
export function eastAndNorthOf(
  from: Placed,
  to: Placed,
): { readonly eastM: number; readonly northM: number } {
  const shrink = Math.cos((to.latitudeDeg * Math.PI) / 180);
  return {
    eastM: (to.longitudeDeg - from.longitudeDeg) * metresPerDegree * shrink,
    northM: (to.latitudeDeg - from.latitudeDeg) * metresPerDegree,
  };
}

export function apartM(from: Placed, to: Placed): number {
  const { eastM, northM } = eastAndNorthOf(from, to);
  return Math.hypot(eastM, northM);
}

/** Those samples that say where they were. */
export function placed<Sample extends Partial<Placed>>(samples: readonly Sample[]): (Sample & Placed)[] {
  return samples.filter(
    (one): one is Sample & Placed => one.latitudeDeg !== undefined && one.longitudeDeg !== undefined,
  );
}
