import type { Assumed } from '../units/assumed';

export const gaugePriors = {
  hiddenCharge: {
    value: 0.05,
    spread: 0.03,
    kind: 'absolute',
    scope: 'aircraft',
    min: 0,
    max: 0.12,
    because:
      'assumed: aircraft stayed up from 9 s to nearly 3 min after the gauge read 0 % (common practice)',
    betterBy: 'zero-test',
  },
} as const satisfies Record<string, Assumed>;

/** A gauge shows whole per cent: the deviation of what lies between, 1/√12 of one. */
export const roundingCharge = 0.01 / Math.sqrt(12);

/** How the gauge of one flight is bent against its cell. */
export const bendPriors = {
  gaugeBendRatio: {
    value: 1,
    spread: 0.015,
    kind: 'relative',
    scope: 'flight',
    because: 'assumed: what a gauge counts down for a charge differs by some 1.5 % from flight to flight',
    betterBy: null,
  },
} as const satisfies Record<string, Assumed>;

/**
 * What the aircraft shows is not the cell: it keeps something below 0 %, gauge = (charge − hidden) / (1 − hidden).
 * The gauge goes below zero by what is hidden. That margin is for emergencies and never planned.
 */
export function gaugeOf(cellCharge: number, hidden: number): number {
  return (cellCharge - hidden) / (1 - hidden);
}

export function cellChargeOf(gauge: number, hidden: number): number {
  return hidden + gauge * (1 - hidden);
}
