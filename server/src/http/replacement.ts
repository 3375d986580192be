import type { Quantity } from '@acorn-tally/core';

/** The version a replacement was made from. */
export const versionRange: Quantity = {
  label: 'Version',
  unit: '',
  siPerUnit: 1,
  min: 1,
  max: Number.MAX_SAFE_INTEGER,
  step: 1,
  whole: true,
};
