import type { Style } from '../aircraft/aircraft';
import { positionRanges } from '../reserve/returnHome';
import type { Quantity } from '../units/quantity';

/** One thing to film: how long, how flown, and where from home. SI. */
export interface Shot {
  readonly id: string;
  readonly name: string;
  readonly durationS: number;
  readonly style: Style;
  readonly distanceM: number;
  readonly bearingDeg: number;
  readonly heightM: number;
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
  distanceM: positionRanges.distanceM,
  bearingDeg: positionRanges.bearingDeg,
  heightM: positionRanges.heightM,
} as const satisfies Record<string, Quantity>;

export const mostShots = 500;
export const mostBatteriesOfShoot = 200;

export const shootRanges = {
  swapTimeS: { label: 'Swap time', unit: 'min', siPerUnit: 60, min: 0, max: 3600, step: 0.5, clock: true },
} as const satisfies Record<string, Quantity>;
