import { readingsOf } from '@acorn-tally/core';
import type { ChartData, ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import { chargeAxes } from '../charts/axes';
import { ChartKey } from '../charts/ChartKey';
import styles from '../charts/chart.module.css';
import { gaugeTooltip } from '../charts/gauge';
import { token } from '../charts/setup';
import type { TestRow } from './useTests';
import { nameOf } from './words';

/** How each line is drawn, so that colour never stands alone. */
const strokes = [
  { colour: 'spend', dash: [], point: 'rectRot', as: 'diamond' },
  { colour: 'home', dash: [6, 3], point: 'circle', as: 'dashed' },
  { colour: 'leaf', dash: [], point: 'circle', as: 'point' },
  { colour: 'held', dash: [], point: 'line', as: undefined },
] as const;
const strokeOf = (i: number) => strokes[i % strokes.length] ?? strokes[0];

/** The readings of some flights in one plot. */
export function CompareChart({ rows }: { readonly rows: readonly TestRow[] }) {
  const { data, options } = useMemo(() => chartOf(rows), [rows]);
  return (
    <div>
      <ChartKey
        lines={rows.map((row, i) => ({
          words: nameOf(row),
          colour: strokeOf(i).colour,
          as: strokeOf(i).as,
        }))}
      />
      <div className={styles.chart}>
        <Line
          data={data}
          options={options}
          aria-label="Gauge against time of the compared flights; the table below has the figures"
        />
      </div>
    </div>
  );
}

function chartOf(rows: readonly TestRow[]) {
  const lastMinute = Math.max(...rows.map(({ record }) => record.test.durationS / 60));
  const data: ChartData<'line'> = {
    datasets: rows.map((row, i) => {
      const stroke = strokeOf(i);
      const colour = token(stroke.colour);
      return {
        label: nameOf(row),
        data: readingsOf(row.record.test).map(({ timeS, charge }) => ({ x: timeS / 60, y: charge * 100 })),
        borderColor: colour,
        backgroundColor: colour,
        borderDash: [...stroke.dash],
        borderWidth: 2,
        pointStyle: stroke.point,
        pointRadius: 4.5,
        clip: 8,
      };
    }),
  };
  const options: ChartOptions<'line'> = {
    animation: false,
    maintainAspectRatio: false,
    layout: { padding: { top: 4, right: 12 } },
    scales: chargeAxes(lastMinute),
    interaction: { mode: 'nearest', axis: 'x', intersect: false },
    plugins: {
      legend: { display: false },
      tooltip: gaugeTooltip,
    },
  };
  return { data, options };
}
