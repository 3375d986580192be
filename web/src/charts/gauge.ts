import { minutesAndSeconds } from '@acorn-tally/core';
import type { ChartDataset, ChartOptions } from 'chart.js';
import { bandLabel } from './bandDatasets';
import type { LinePoint } from './flightLines';
import { token } from './setup';

/** So many diamonds stand beside each other; a logged gauge has a step for each per cent. */
const maxLarge = 24;

/** What was read from a gauge: a diamond each, small ones where there are many, so that what they lie on is seen. */
export function readDataset(points: readonly LinePoint[]): ChartDataset<'line'> {
  const spend = token('spend');
  return {
    label: 'read from the gauge',
    data: [...points],
    showLine: false,
    clip: 8,
    pointStyle: 'rectRot',
    pointRadius: points.length > maxLarge ? 2 : 6,
    backgroundColor: spend,
    borderColor: spend,
  };
}

/** "12:55 min: 50 % · estimated", under the pointer; a band has no reading of its own. */
export const gaugeTooltip: NonNullable<ChartOptions<'line'>['plugins']>['tooltip'] = {
  displayColors: false,
  filter: (item) => item.dataset.label !== bandLabel,
  callbacks: {
    title: (items) => `${minutesAndSeconds((items[0]?.parsed.x ?? 0) * 60)} min`,
    label: (item) => `${Math.round(item.parsed.y ?? 0)} % · ${item.dataset.label}`,
  },
};
