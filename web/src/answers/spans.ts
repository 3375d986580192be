import { type Estimate, type FlightEvent, type PlannedFigures, timeAtCharge } from '@acorn-tally/core';
import type { TallySpans } from '../charts/tally';

/**
 * Who takes which seconds of the box, for the tally strip. What is planned is to spend; what the middle flight has beyond it is
 * kept for doubt. What is held back lasts until the gauge is empty.
 */
export function spansOf(estimate: Estimate, planned: PlannedFigures | null, boxS: number): TallySpans {
  const { usableS, touchdownS, touchdownCharge, curve } = estimate;
  const spendS = planned?.usableS ?? 0;
  const homeS = touchdownS.p50 - usableS.p50;
  const heldS = Math.max(0, emptyS(estimate) - (timeAtCharge(curve, touchdownCharge.p50) ?? 0));
  return { spendS, doubtS: Math.max(0, usableS.p50 - spendS), homeS, heldS, boxS };
}

function emptyS({ events }: Estimate): number {
  const at = (kind: FlightEvent['kind']) => events.find((event) => event.kind === kind);
  return (at('empty') ?? at('motors-out'))?.timeS ?? 0;
}
