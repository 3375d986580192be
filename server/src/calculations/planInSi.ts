import { inSi, type SwapPlan, writeInSi } from '@acorn-tally/core';

/** A plan as programs get it: whatever it says, in SI. */
export function planInSi({ unplaced, cautions, ...plan }: SwapPlan) {
  return {
    ...plan,
    unplaced: unplaced.map(({ shotId, take, reason, remedy }) => ({
      shotId,
      take,
      code: reason.code,
      reason: writeInSi(reason),
      remedy: remedy && `${writeInSi(remedy)}.`,
    })),
    cautions: cautions.map(inSi),
  };
}
