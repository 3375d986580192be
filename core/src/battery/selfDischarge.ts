import type { Assumed, ValuesOf } from '../units/assumed';
import type { Battery } from './battery';
import { chemistryOf, type PackLabel } from './openCircuit';

export const standingPriors = {
  standingLossRatio: {
    value: 1,
    spread: 0.3,
    kind: 'relative',
    scope: 'aircraft',
    because: 'assumed: packs differ in when they begin to shed charge and how fast (common practice)',
    betterBy: 'charge-read',
  },
} as const satisfies Record<string, Assumed>;

export type StandingCoefficients = ValuesOf<typeof standingPriors>;

/** Where a smart pack stops shedding charge (common practice), and when, where its sheet does not say. */
export const storageCharge = 0.6;
const smartDaysToStorage = 5;

/** What stands for an empty field: a plain pack has no electronics to shed charge with, others do (common practice). */
export function defaultDaysToStorage(battery: PackLabel): number {
  return chemistryOf(battery) === 'lithium-polymer' ? 0 : smartDaysToStorage;
}

/** Days in which a pack brings itself to storage charge; 0 where it never does. */
export function daysToStorageOf(battery: Battery): number {
  return battery.daysToStorage ?? defaultDaysToStorage(battery);
}

/** What a full pack shows at take-off: start-up and the wait for satellites cost a percent or two (common practice). */
export const chargedFull = 0.99;

const firstDayLoss = 0.04;
/** Self-discharge of the cell itself: 2 to 3 % a month for lithium cells (from memory). */
const cellLossPerDay = 0.001;

/**
 * A smart pack sheds charge by itself: about 4 % on the first day, then evenly down to storage charge at the day its
 * sheet names, then only what the cell itself loses. A pack that was not full joins where its charge lies on that line.
 * Charges are gauge fractions 0–1. Common practice. Example: full → 96 % after 1 day, 60 % after 5.
 */
export function chargeAfterStanding(charge: number, days: number, daysToStorage: number): number {
  const sheds = daysToStorage > 0 && charge > storageCharge;
  const joinsAtDay = sheds ? dayAtCharge(charge, daysToStorage) : 0;
  const shed = sheds ? chargeAtDay(Math.min(joinsAtDay + days, daysToStorage), daysToStorage) : charge;
  const idleDays = sheds ? Math.max(0, joinsAtDay + days - daysToStorage) : days;
  return Math.max(0, shed - cellLossPerDay * idleDays);
}

/** The line a full pack follows, and its inverse. Shorter than a day to storage, it is straight. */
function chargeAtDay(day: number, daysToStorage: number): number {
  const first = Math.min(1, daysToStorage);
  const knee = kneeCharge(daysToStorage);
  if (day <= first) return 1 - ((1 - knee) * day) / first;
  return knee - ((knee - storageCharge) * (day - first)) / (daysToStorage - first);
}

function dayAtCharge(charge: number, daysToStorage: number): number {
  const first = Math.min(1, daysToStorage);
  const knee = kneeCharge(daysToStorage);
  if (charge >= knee) return (first * (1 - charge)) / (1 - knee);
  return first + ((knee - charge) / (knee - storageCharge)) * (daysToStorage - first);
}

function kneeCharge(daysToStorage: number): number {
  return daysToStorage > 1 ? 1 - firstDayLoss : storageCharge;
}

/** Days until a pack that sheds charge by itself is at storage charge; null for one that does not, 0 for one already there. */
export function daysUntilStorage(charge: number, daysToStorage: number): number | null {
  if (daysToStorage <= 0) return null;
  return charge <= storageCharge ? 0 : daysToStorage - dayAtCharge(charge, daysToStorage);
}

/** The gauge at take-off: as entered, less what it lost standing since the charge. */
export function takeoffCharge(battery: Battery, { standingLossRatio }: StandingCoefficients): number {
  const days = battery.daysSinceCharge ?? 0;
  if (!(days > 0)) return battery.startCharge;
  return chargeAfterStanding(battery.startCharge, days * standingLossRatio, daysToStorageOf(battery));
}
