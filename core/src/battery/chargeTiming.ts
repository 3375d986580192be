import type { Quantity } from '../units/quantity';
import { chargingTimeS } from './charging';

/** A gauge read while a pack charged: seconds from the first reading. */
export interface ChargeMark {
  readonly timeS: number;
  readonly charge: number;
}

export const chargeMarkRanges = {
  timeS: {
    label: 'Time of a reading',
    unit: 'min',
    siPerUnit: 60,
    min: 0,
    max: 86_400,
    step: 1,
    clock: true,
  },
  charge: { label: 'Gauge', unit: '%', siPerUnit: 0.01, min: 0, max: 1, step: 1 },
} as const satisfies Record<string, Quantity>;

/** A charge needs two readings in order of time, none lower than the one before; null when it has them. */
export function chargeMarksProblem(marks: readonly ChargeMark[]): string | null {
  if (marks.length < 2) return 'A timed charge needs two readings.';
  const isBack = marks.some(({ timeS, charge }, i) => {
    const before = marks[i - 1];
    return before !== undefined && (timeS < before.timeS || charge < before.charge);
  });
  return isBack ? 'While a pack charges neither its time nor its gauge goes back.' : null;
}

/** What several timed charges tell of one charger: the mean of their minutes from empty to full, s; null where none tells. */
export function timedMean(charges: readonly { readonly marks: readonly ChargeMark[] }[]): {
  readonly emptyToFullS: number;
  readonly charges: number;
} | null {
  const told = charges.flatMap(({ marks }) => emptyToFullFrom(marks) ?? []);
  if (told.length === 0) return null;
  return { emptyToFullS: told.reduce((sum, one) => sum + one, 0) / told.length, charges: told.length };
}

/**
 * Minutes from empty to full that a timed charge tells of its charger, s: the law's own time for each stretch from the first mark
 * (constant current, then taper; see `charging`) is proportional to it, so it is the least-squares ratio of the times read to
 * those of a charger of one second. Null without two different charges.
 */
export function emptyToFullFrom(marks: readonly ChargeMark[]): number | null {
  const first = marks[0];
  if (!first) return null;
  const pairs = marks
    .filter(({ timeS, charge }) => timeS > first.timeS && charge > first.charge)
    .map(({ timeS, charge }) => ({
      readS: timeS - first.timeS,
      unit: chargingTimeS(first.charge, charge, 1),
    }));
  const squares = pairs.reduce((sum, { unit }) => sum + unit * unit, 0);
  return squares > 0 ? pairs.reduce((sum, { readS, unit }) => sum + readS * unit, 0) / squares : null;
}
