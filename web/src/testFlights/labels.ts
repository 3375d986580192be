import type { BatteryRecord } from '@acorn-tally/core';

/** What a battery is called, by its id. */
export const labelsOf = (batteries: readonly BatteryRecord[]) => (id: string) =>
  batteries.find((battery) => battery.id === id)?.label ?? 'a removed battery';
