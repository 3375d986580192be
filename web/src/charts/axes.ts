import type { ChartOptions } from 'chart.js';
import { token } from './setup';

/** Axes of every charge-against-time chart: minutes along, the gauge in per cent up. */
export function chargeAxes(lastMinute: number, lowest = 0): NonNullable<ChartOptions<'line'>['scales']> {
  const grid = { color: token('line-faint'), tickColor: 'transparent' };
  const ticks = { color: token('ink-soft') };
  return {
    x: {
      type: 'linear',
      min: 0,
      max: Math.ceil((lastMinute + 3) / 5) * 5,
      grid: { display: false },
      border: { color: token('ink-soft') },
      ticks: { ...ticks, stepSize: 5 },
      title: { display: true, text: 'minutes in the air', align: 'end', color: token('ink-soft') },
    },
    y: {
      type: 'linear',
      min: lowest,
      max: 100,
      grid,
      border: { display: false },
      ticks: { ...ticks, callback: (value) => `${value} %` },
      afterBuildTicks: (axis) => {
        axis.ticks = [0, 20, 40, 60, 80, 100].map((value) => ({ value }));
      },
    },
  };
}
