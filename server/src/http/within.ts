import type { Quantity } from '@acorn-tally/core';

/** A plain number between two others, for fields that no person types. */
export function within(label: string, min: number, max: number): Quantity {
  return { label, unit: '', siPerUnit: 1, min, max, step: 1 };
}
