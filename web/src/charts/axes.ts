import type { ChartOptions } from 'chart.js';
import { token } from './setup';

type Scales = NonNullable<ChartOptions<'line'>['scales']>;

/** Axes of every charge-against-time chart: minutes along, the gauge in per cent up. */
export function chargeAxes(lastMinute: number, lowest = 0): Scales {
  return {
    x: minuteAxis(lastMinute),
    y: {
      ...upAxis(lowest, 100),
      ticks: { color: token('ink-soft'), callback: (value) => `${value} %` },
      afterBuildTicks: (axis) => {
        axis.ticks = [0, 20, 40, 60, 80, 100].map((value) => ({ value }));
      },
    },
  };
}

/** Minutes along, the voltage of a cell under load up. */
export function voltageAxes(lastMinute: number, lowestV: number, highestV: number): Scales {
  return {
    x: minuteAxis(lastMinute),
    y: {
      ...upAxis(lowestV, highestV),
      ticks: {
        color: token('ink-soft'),
        stepSize: 0.2,
        callback: (value) => `${Number(value).toFixed(1)} V`,
      },
    },
  };
}

function minuteAxis(lastMinute: number) {
  return {
    type: 'linear',
    min: 0,
    max: Math.ceil((lastMinute + 3) / 5) * 5,
    grid: { display: false },
    border: { color: token('ink-soft') },
    ticks: { color: token('ink-soft'), stepSize: 5 },
    title: { display: true, text: 'minutes in the air', align: 'end', color: token('ink-soft') },
  } as const;
}

function upAxis(min: number, max: number) {
  const grid = { color: token('line-faint'), tickColor: 'transparent' };
  return { type: 'linear', min, max, grid, border: { display: false } } as const;
}
