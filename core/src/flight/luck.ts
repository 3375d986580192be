import type { Assumed } from '../units/assumed';

/** A flight's own luck: what no law knows and no test removes. */
export const luckPriors = {
  flightPowerRatio: {
    value: 1,
    spread: 0.04,
    kind: 'relative',
    scope: 'flight',
    because:
      'assumed: two flights of one aircraft, pack and style take some 4 % more or less power than each other (common practice)',
    betterBy: null,
  },
} as const satisfies Record<string, Assumed>;
