import { type Estimate, timeAtCharge } from '@acorn-tally/core';
import { eventOf } from '../charts/flightLines';
import type { TallySpans } from '../charts/tally';

/** Who takes which seconds of the box, for the tally strip. What is held back lasts until the gauge is empty. */
export function spansOf(estimate: Estimate, boxS: number): TallySpans {
  const spendS = estimate.usableS.p50;
  const homeS = estimate.touchdownS.p50 - spendS;
  const touchdown = eventOf(estimate, 'touch-down');
  const heldS = Math.max(0, emptyS(estimate) - (timeAtCharge(estimate.curve, touchdown.charge) ?? 0));
  return { spendS, homeS, heldS, boxS };
}

function emptyS(estimate: Estimate): number {
  return (estimate.events.find(({ kind }) => kind === 'empty') ?? eventOf(estimate, 'motors-out')).timeS;
}
