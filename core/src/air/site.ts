import type { Quantity } from '../units/quantity';
import type { GroundBelow, LandingPlace, Obstacle } from './obstacle';
import type { Coordinates } from './sun';

/** What stands at a place and what is allowed there, besides its weather. */
export interface Site {
  /** For the sun's times; null where the pilot gave none. */
  readonly coordinates?: Coordinates | null;
  /** IANA name of the zone its clocks go by; by its coordinates where absent. */
  readonly timeZone?: string | null;
  /** Height of the tallest thing within the working area, m above the ground. */
  readonly tallestM?: number | null;
  /** Greatest height allowed there, as the pilot read it in the local rules, m above the ground. */
  readonly ceilingM?: number | null;
  /** What stands on the way home. */
  readonly obstacles?: readonly Obstacle[] | null;
  readonly landingPlaces?: readonly LandingPlace[] | null;
  /** Where home is when it is not where the aircraft takes off: a landing place, or where the pilot then stands. */
  readonly home?: LandingPlace | null;
  /** What lies under the flight. */
  readonly below?: GroundBelow | null;
}

/** A spot to take off from, seen from the place itself. */
export interface LaunchPlace {
  readonly id: string;
  readonly name: string;
  readonly eastM: number;
  readonly northM: number;
}

/** Height of the tallest thing that is known of at a place, m; null where nothing is. */
export function tallestThingM({ tallestM, obstacles }: Pick<Site, 'tallestM' | 'obstacles'>): number | null {
  const heights = [
    ...(tallestM == null ? [] : [tallestM]),
    ...(obstacles ?? []).map(({ heightM }) => heightM),
  ];
  return heights.length === 0 ? null : Math.max(...heights);
}

export const siteRanges = {
  latitudeDeg: { label: 'Latitude', unit: '°', siPerUnit: 1, min: -90, max: 90, step: 0.1 },
  longitudeDeg: { label: 'Longitude', unit: '°', siPerUnit: 1, min: -180, max: 180, step: 0.1 },
  tallestM: { label: 'Tallest obstacle', unit: 'm', siPerUnit: 1, min: 0, max: 500, step: 1 },
  ceilingM: { label: 'Local ceiling', unit: 'm', siPerUnit: 1, min: 0, max: 1000, step: 10 },
} as const satisfies Record<string, Quantity>;

/** Shown where the pilot gave none, as "check your local rule": many countries have it, not all (common practice). */
export const defaultCeilingM = 120;
