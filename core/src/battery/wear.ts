import type { Assumed } from '../units/assumed';
import type { Battery } from './battery';

export const wearPriors = {
  wearPerCycle: {
    value: 0.2 / 300,
    spread: 0.4,
    kind: 'relative',
    because: 'assumed: about 20 % of the capacity by 300 cycles; packs differ widely',
  },
} as const satisfies Record<string, Assumed>;

const leastHealth = 0.4;

/** Capacity left as a fraction of the label: measured where it was, else 1 − wear per cycle × cycles, 0.4 at least. */
export function healthOf(battery: Battery, wearPerCycle: number): number {
  return battery.health ?? Math.max(leastHealth, 1 - wearPerCycle * (battery.cycles ?? 0));
}
