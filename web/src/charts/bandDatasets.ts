import type { Band } from '@acorn-tally/core';
import type { ChartDataset } from 'chart.js';
import { bandOutline, type LinePoint } from './flightLines';
import { token } from './setup';

/** The band of a charge curve as a filled shape; nothing until it is computed. */
export function bandDatasets(curve: Band['curve'], colour: string): ChartDataset<'line'>[] {
  return shapeDatasets(bandOutline(curve), colour);
}

/** A filled shape in the colour of a token. */
export function shapeDatasets(outline: readonly LinePoint[], colour: string): ChartDataset<'line'>[] {
  return [
    {
      label: bandLabel,
      data: [...outline],
      fill: 'shape',
      backgroundColor: token(colour),
      borderWidth: 0,
      pointRadius: 0,
      pointHitRadius: 0,
    },
  ];
}

/** A shape has no reading of its own in a tooltip. */
export const bandLabel = '8 in 10 flights';
