import type { CurvePoint } from '../estimate/estimate';
import type { TestFlight } from './testFlight';

/** A test held against what was estimated for it. Misses are fractions: estimated over flown, minus one. */
export interface Comparison {
  /** Null when the estimate never reaches the charge the test ended with. */
  readonly estimatedS: number | null;
  readonly missFraction: number | null;
  /** Flown minutes, projected straight to 0 % from a full gauge, over the minutes on the box. */
  readonly boxFraction: number;
}

export function compareTest(
  test: Pick<TestFlight, 'startCharge' | 'endCharge' | 'durationS'>,
  curve: readonly CurvePoint[],
  advertisedFlightTimeS: number,
): Comparison {
  const estimatedS = timeAtCharge(curve, test.endCharge);
  return {
    estimatedS,
    missFraction: estimatedS === null ? null : estimatedS / test.durationS - 1,
    boxFraction: test.durationS / (test.startCharge - test.endCharge) / advertisedFlightTimeS,
  };
}

/** When a flight's gauge passes a charge, straight between the points of its curve; null when it never does. */
export function timeAtCharge(curve: readonly CurvePoint[], charge: number): number | null {
  const after = curve.findIndex((point) => point.charge <= charge);
  const [before, at] = [curve[after - 1], curve[after]];
  if (!at) return null;
  if (!before) return at.timeS;
  const share = (before.charge - charge) / (before.charge - at.charge);
  return before.timeS + share * (at.timeS - before.timeS);
}
