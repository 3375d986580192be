/** What a test that stopped early promises for a whole charge, by straight line. */
export interface StraightLine {
  /** To 0 % from the charge it began with. */
  readonly toZeroS: number;
  /** From 100 % to 0 %: time over charge spent. */
  readonly fullGaugeS: number;
  /** The same with the common slip of taking the start for 100 %. */
  readonly forgottenStartS: number;
}

/**
 * Straight line through start and end, T / (s0 − s1). The true start counts: 98 → 20 % is 78 % spent, not 80.
 * Charges are gauge fractions, start above end; common practice.
 * Example: 98 → 20 % in 15:21 → 19:41 for all of it; with the slip 19:11.
 */
export function straightLine(test: {
  readonly startCharge: number;
  readonly endCharge: number;
  readonly durationS: number;
}): StraightLine {
  const fullGaugeS = test.durationS / (test.startCharge - test.endCharge);
  return {
    toZeroS: fullGaugeS * test.startCharge,
    fullGaugeS,
    forgottenStartS: test.durationS / (1 - test.endCharge),
  };
}
