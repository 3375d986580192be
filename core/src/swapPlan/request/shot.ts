import { aircraftRanges, type Style } from '../../aircraft/aircraft';
import type { Manner, StyleShare } from '../../flight/styles';
import { positionRanges } from '../../reserve/returnHome';
import type { Quantity } from '../../units/quantity';

export const shotNeeds = ['must', 'nice'] as const;
export type ShotNeed = (typeof shotNeeds)[number];

/** The light a shot wants, by the height of the sun's centre: −6° to sunrise or sunset, from there to 6°, above. */
export const lightWishes = ['civil-twilight', 'low-sun', 'day'] as const;
export type LightWish = (typeof lightWishes)[number];

/** Where the pilot wants a shot to be: with a battery, in a flight counted from 1, in one flight with another shot, or all of it. */
export interface ShotPin {
  readonly batteryId?: string | null;
  readonly flightNumber?: number | null;
  readonly withShotId?: string | null;
}

/**
 * One thing to film: how long, how flown, where from its launch place, and when. Each of its takes is a hover of `setUpS`
 * there and then `durationS` in its style; windows hold for the take itself. SI; times ISO 8601.
 */
export interface Shot extends Manner {
  readonly id: string;
  readonly name: string;
  readonly durationS: number;
  readonly style: Style;
  readonly distanceM: number;
  readonly bearingDeg: number;
  readonly heightM: number;
  /** What hangs on it for this shot beyond what the aircraft carries anyway: a filter, a light. Changed on the ground only. */
  readonly addedMassKg?: number | null;
  /** What recording draws in its takes; as the aircraft usually records where absent. */
  readonly recordingLoadW?: number | null;
  /** Any aircraft where absent. */
  readonly aircraftId?: string | null;
  /** The first one where absent. */
  readonly launchPlaceId?: string | null;
  /** One where absent. */
  readonly takes?: number | null;
  readonly setUpS?: number | null;
  /** A must where absent. */
  readonly need?: ShotNeed | null;
  readonly earliestAt?: string | null;
  readonly latestAt?: string | null;
  readonly light?: LightWish | null;
  /** Only once all takes of these shots are flown. */
  readonly after?: readonly string[] | null;
  readonly pin?: ShotPin | null;
}

/** All of a flight flown as a shot is. */
export function asShare({ style, airspeedMps, reversalsPerMin, circleRadiusM, handling }: Shot): StyleShare {
  return { style, share: 1, airspeedMps, reversalsPerMin, circleRadiusM, handling };
}

export const shotRanges = {
  durationS: {
    label: 'Minutes of the shot',
    unit: 'min',
    siPerUnit: 60,
    min: 5,
    max: 3600,
    step: 0.5,
    clock: true,
  },
  addedMassKg: aircraftRanges.addedMassKg,
  distanceM: positionRanges.distanceM,
  bearingDeg: positionRanges.bearingDeg,
  heightM: positionRanges.heightM,
  takes: { label: 'Takes', unit: '', siPerUnit: 1, min: 1, max: 20, step: 1, whole: true },
  setUpS: {
    label: 'Set-up in the air',
    unit: 'min',
    siPerUnit: 60,
    min: 0,
    max: 900,
    step: 0.25,
    clock: true,
  },
  flightNumber: { label: 'Flight', unit: '', siPerUnit: 1, min: 1, max: 500, step: 1, whole: true },
} as const satisfies Record<string, Quantity>;

export const maxShots = 500;
export const maxBatteriesOfShoot = 200;

export const shootRanges = {
  swapTimeS: { label: 'Swap time', unit: 'min', siPerUnit: 60, min: 0, max: 3600, step: 0.5, clock: true },
} as const satisfies Record<string, Quantity>;
