import { type Assumed, because } from '../units/assumed';

export const coldPriors = {
  capacityLossPerK: {
    value: 0.005,
    spread: 0.4,
    kind: 'relative',
    scope: 'aircraft',
    because: because(
      'assumed: cells give about 90 % of their charge at {coolC} and 80 % at {coldC} at moderate current (from memory)',
      { coolC: 0, coldC: -20 },
    ),
    betterBy: 'cold-test',
  },
} as const satisfies Record<string, Assumed>;

/** At and above this the cell gives its whole capacity. */
const wholeAboveC = 20;

/**
 * A cold cell gives less of its charge, beside its higher resistance: the share that can be had falls by about half a
 * per cent for each degree below 20 °C, from −30 °C. Without it a frosty day would *add* minutes, since cold air is
 * dense. Common practice is that it costs 5 to 15 % with packs kept warm and much more with cold ones; this law gives the
 * direction, and with the pack's own temperature the mild end of that (docs/ACCURACY.md, what is still thin).
 * Example: 0 °C → 0.90.
 */
export function coldCapacityFraction(temperatureC: number, lossPerK: number): number {
  return 1 - lossPerK * Math.max(0, wholeAboveC - temperatureC);
}
