import { minutesAndSeconds, type OwnReturn, type ReturnBand } from '@acorn-tally/core';
import { inHundred, percent } from '../fields/percent';

/** Surely too late, or surely in time: in nine draws of ten. */
const surely = 0.9;

/** When its automatic return starts against the turn back that is planned; it is accused only as far as its margin is known. */
export function ownCallInWords(
  { charge, isMarginKnown }: OwnReturn,
  { lateByS, chanceOwnLate }: ReturnBand,
): { readonly says: string; readonly isLate: boolean } | null {
  if (lateByS === null || chanceOwnLate === null) return null;
  const starts = `Its automatic return starts at ${isMarginKnown ? '' : 'about '}${percent(charge)}:`;
  if (chanceOwnLate <= 1 - surely) return { says: `${starts} early enough`, isLate: false };
  return chanceOwnLate >= surely && lateByS > 0
    ? { says: `${starts} about ${minutesAndSeconds(lateByS)} too late in this wind`, isLate: true }
    : { says: `${starts} too late in ${inHundred(chanceOwnLate)}`, isLate: true };
}
