import type { Battery } from './battery';
import { daysUntilStorage, takeoffCharge, usualDaysToStorage } from './standing';

export interface StorageAdvice {
  readonly code: 'stored' | 'sheds-itself' | 'full-too-long' | 'nearly-empty' | 'ready' | 'part-charged';
  readonly message: string;
  /** Whether something should be done. */
  readonly act: boolean;
}

/** Above it a cell ages by standing full; below the least it may be drained for good. Common practice. */
const fullCharge = 0.8;
const leastCharge = 0.2;
const storedFrom = 0.4;
const storedTo = 0.65;
/** A full pack should not stand longer than this (common practice: a few days). */
const fullDays = 3;

/**
 * What to do with a pack that is not flown at once: about 60 % to store it, not full for days, not nearly empty (common
 * practice).
 */
export function storageAdvice(pack: Battery): StorageAdvice {
  const charge = takeoffCharge(pack);
  const percent = `${Math.round(charge * 100)} %`;
  const daysToStorage = pack.daysToStorage ?? usualDaysToStorage;
  const untilStorage = daysUntilStorage(charge, daysToStorage);
  if (charge < leastCharge)
    return { code: 'nearly-empty', act: true, message: `At ${percent}: charge it to about 60 % soon` };
  if (charge <= storedTo && charge >= storedFrom)
    return { code: 'stored', act: false, message: 'At storage charge' };
  if (charge < storedFrom)
    return { code: 'part-charged', act: true, message: `At ${percent}: bring it to about 60 % to store it` };
  if (charge > fullCharge && untilStorage === null && (pack.daysSinceCharge ?? 0) >= fullDays)
    return { code: 'full-too-long', act: true, message: 'Full for days: fly it, or bring it to about 60 %' };
  if (untilStorage !== null && untilStorage > 0) {
    return { code: 'sheds-itself', act: false, message: 'Sheds charge by itself down to storage' };
  }
  return { code: 'ready', act: false, message: 'Charged: fly it within days, or bring it to about 60 %' };
}

/** When a pack will have brought itself to storage charge, in days from now; null if it never does, 0 if it is there. */
export function storageInDays(pack: Battery): number | null {
  return daysUntilStorage(takeoffCharge(pack), pack.daysToStorage ?? usualDaysToStorage);
}
