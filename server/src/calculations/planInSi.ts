import { inSi, type SwapPlan, toldInSi } from '@acorn-tally/core';

/** A plan as programs get it: whatever it says, in SI. */
export function planInSi({ unplaced, cautions, ...plan }: SwapPlan) {
  return {
    ...plan,
    unplaced: unplaced.map(({ shotId, take, reason, remedy }) => ({
      shotId,
      take,
      code: reason.code,
      reason: toldInSi(reason),
      remedy: remedy && `${toldInSi(remedy)}.`,
    })),
    cautions: cautions.map(inSi),
  };
}
