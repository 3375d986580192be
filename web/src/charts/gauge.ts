import { minutesAndSeconds } from '@acorn-tally/core';
import type { ChartDataset, ChartOptions } from 'chart.js';
import { bandLabel } from './bandDatasets';
import type { Point } from './flightLines';
import { token } from './setup';

/** What was read from a gauge: a diamond each. */
export function readDataset(points: readonly Point[]): ChartDataset<'line'> {
  const spend = token('spend');
  return {
    label: 'read from the gauge',
    data: [...points],
    showLine: false,
    clip: 8,
    pointStyle: 'rectRot',
    pointRadius: 6,
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
