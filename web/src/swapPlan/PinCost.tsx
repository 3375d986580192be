import type { Outlook, SwapPlan } from '@acorn-tally/core';
import { Note } from '../parts/Note';
import { againstInWords } from './planWords';

/** What pins and kept batteries cost: the same shoot planned without them. */
export function PinCost({ plan }: { readonly plan: SwapPlan }) {
  if (!plan.withoutPins) return null;
  return <Note status>What you pinned costs {costInWords(plan, plan.withoutPins)}.</Note>;
}

/** "one take-off more, 6 min later", against the plan without pins. */
export function costInWords({ figures }: SwapPlan, free: Outlook): string {
  const { mustsPlaced, nicesPlaced, takeoffs, endAt } = figures;
  const pinned = { takesPlaced: mustsPlaced + nicesPlaced, takeoffs, endAt };
  const lost = free.takesPlaced - pinned.takesPlaced;
  const minutes = Date.parse(endAt) - Date.parse(free.endAt);
  // Pinned as it is, it is also a plan without pins: one that is found and is no better says nothing.
  return (lost || takeoffs - free.takeoffs || minutes) <= 0 ? 'nothing' : againstInWords(pinned, free);
}
