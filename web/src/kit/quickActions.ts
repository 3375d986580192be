import { type BatteryContent, chargedFull, defaultReserveCharge, storageCharge } from '@acorn-tally/core';

type Part = Pick<BatteryContent, 'pack' | 'keeping'>;

/** What a pilot does to packs again and again, as what it changes of one at an instant. */
export const quickActions = {
  charged: {
    name: 'Charged now',
    done: 'charging',
    change: ({ pack, keeping }: Part, now: string): Part => standsAt({ pack, keeping }, chargedFull, now),
  },
  stored: {
    name: 'Put to storage',
    done: 'putting to storage',
    change: ({ pack, keeping }: Part, now: string): Part => standsAt({ pack, keeping }, storageCharge, now),
  },
  flown: {
    name: 'Flown',
    done: 'a flight',
    change: ({ pack, keeping }: Part, now: string): Part =>
      standsAt({ pack: { ...pack, cycles: (pack.cycles ?? 0) + 1 }, keeping }, defaultReserveCharge, now),
  },
} as const;
export type QuickAction = keyof typeof quickActions;

/** Its gauge read this much just now; what was typed of days before no longer holds. */
function standsAt({ pack, keeping }: Part, startCharge: number, now: string): Part {
  return {
    pack: { ...pack, startCharge, daysSinceCharge: null },
    keeping: { ...keeping, chargedAt: now },
  };
}
