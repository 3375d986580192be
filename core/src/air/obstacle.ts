import type { Quantity } from '../units/quantity';

/** Something that stands there, seen from home: it begins at a distance in a direction and is so wide. */
export interface Obstacle {
  readonly name: string;
  readonly distanceM: number;
  /** Where it stands; null or absent for on every way. */
  readonly bearingDeg?: number | null;
  readonly widthM: number;
  readonly heightM: number;
}

/** A place to come down other than home, seen from home. */
export interface LandingPlace {
  readonly name: string;
  readonly distanceM: number;
  readonly bearingDeg: number;
}

/** What lies under the flight, as the pilot says. */
export const groundsBelow = ['open ground', 'water', 'people'] as const;
export type GroundBelow = (typeof groundsBelow)[number];

export const obstacleRanges = {
  distanceM: { label: 'Starts at', unit: 'm', siPerUnit: 1, min: 0, max: 10_000, step: 10 },
  widthM: { label: 'Width', unit: 'm', siPerUnit: 1, min: 0, max: 5000, step: 5 },
  heightM: { label: 'Obstacle height', unit: 'm', siPerUnit: 1, min: 0, max: 500, step: 1 },
} as const satisfies Record<string, Quantity>;

/** More are not looked through one by one by anybody; a file or a body with more is refused. */
export const maxObstacles = 500;
export const maxLandingPlaces = 100;

/** Kept clear above the tallest thing (common practice; pilots keep 10 m and more). */
export const clearanceM = 10;
const roundedToM = 5;

/** Height of the tallest thing before a distance; 0 where nothing stands. */
export function tallestWithinM(obstacles: readonly Obstacle[], distanceM: number): number {
  return Math.max(0, ...obstacles.filter((one) => one.distanceM <= distanceM).map(({ heightM }) => heightM));
}

/**
 * Return height: the tallest thing plus 10 m, rounded up to 5 m, never above the ceiling. Example: 31 m → 45 m. Where the
 * ceiling cuts into the clearance it says so.
 */
export function suggestedReturnHeight(
  tallestM: number,
  ceilingM: number,
): { readonly heightM: number; readonly isClear: boolean } {
  const wantedM = Math.ceil((tallestM + clearanceM) / roundedToM) * roundedToM;
  return { heightM: Math.min(wantedM, ceilingM), isClear: ceilingM >= tallestM + clearanceM };
}
