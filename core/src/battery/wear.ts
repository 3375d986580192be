import { type Assumed, nominal, type ValuesOf } from '../units/assumed';
import type { Battery } from './battery';

export const wearPriors = {
  wearPerCycle: {
    value: 0.2 / 300,
    spread: 0.4,
    kind: 'relative',
    because: 'assumed: about 20 % of the capacity by 300 cycles; packs differ widely',
    betterBy: 'pack-test',
  },
  capacityRatio: {
    value: 1,
    spread: 0.03,
    kind: 'relative',
    because: 'assumed: cell data sheets give a least and a typical capacity some 3 % apart (from memory)',
    betterBy: 'pack-test',
  },
} as const satisfies Record<string, Assumed>;

const leastHealth = 0.4;

export type WearCoefficients = ValuesOf<typeof wearPriors>;

/**
 * Capacity left as a fraction of the label: measured where it was, else what a new pack has over its label, less wear
 * per cycle × cycles; 0.4 at least.
 */
export function healthOf(
  battery: Pick<Battery, 'health' | 'cycles'>,
  { wearPerCycle, capacityRatio }: WearCoefficients,
): number {
  return battery.health ?? Math.max(leastHealth, capacityRatio - wearPerCycle * (battery.cycles ?? 0));
}

/** The health assumed of a pack from its cycles alone. */
export function usualHealth(cycles: number): number {
  return healthOf({ cycles }, nominal(wearPriors));
}
