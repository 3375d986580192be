import { type Sentence, sentence } from '../units/sentence';
import type { Battery } from './battery';
import { daysToStorageOf, daysUntilStorage, type StandingCoefficients, takeoffCharge } from './selfDischarge';

export interface StorageAdvice
  extends Sentence<'stored' | 'sheds-itself' | 'full-too-long' | 'nearly-empty' | 'ready' | 'part-charged'> {
  /** Whether something should be done. */
  readonly act: boolean;
}

/** Above it a cell ages by standing full; below the least it may be drained for good. Common practice. */
const fullCharge = 0.8;
const minCharge = 0.2;
const storedFrom = 0.4;
const storedTo = 0.65;
/** A full pack should not stand longer than this (common practice: a few days). */
const fullDays = 3;

/**
 * What to do with a pack that is not flown at once: about 60 % to store it, not full for days, not nearly empty (common
 * practice).
 */
export function storageAdvice(pack: Battery, coefficients: StandingCoefficients): StorageAdvice {
  const charge = takeoffCharge(pack, coefficients);
  const untilStorage = daysUntilStorage(charge, daysToStorageOf(pack));
  if (charge < minCharge)
    return act(
      sentence('nearly-empty', 'At {nowCharge}: charge it to about 60 % soon', { nowCharge: charge }),
    );
  if (charge <= storedTo && charge >= storedFrom) return leave(sentence('stored', 'At storage charge'));
  if (charge < storedFrom)
    return act(
      sentence('part-charged', 'At {nowCharge}: bring it to about 60 % to store it', { nowCharge: charge }),
    );
  if (charge > fullCharge && untilStorage === null && (pack.daysSinceCharge ?? 0) >= fullDays)
    return act(sentence('full-too-long', 'Full for days: fly it, or bring it to about 60 %'));
  if (untilStorage !== null && untilStorage > 0) {
    return leave(sentence('sheds-itself', 'Self-discharges to storage level'));
  }
  return leave(sentence('ready', 'Charged: fly it within days, or bring it to about 60 %'));
}

const act = (said: Sentence<StorageAdvice['code']>): StorageAdvice => ({ ...said, act: true });
const leave = (said: Sentence<StorageAdvice['code']>): StorageAdvice => ({ ...said, act: false });

/** When a pack will have brought itself to storage charge, in days from now; null if it never does, 0 if it is there. */
export function storageInDays(pack: Battery, coefficients: StandingCoefficients): number | null {
  return daysUntilStorage(takeoffCharge(pack, coefficients), daysToStorageOf(pack));
}
