import type { ChartData, ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { Scatter } from 'react-chartjs-2';
import { token } from '../charts/setup';
import styles from './AllFlights.module.css';
import type { TestRow } from './useTests';

/** Flown minutes against estimated ones, a point a test; on the slanting line both are the same. */
export function AgainstFlown({ rows }: { readonly rows: readonly TestRow[] }) {
  const { data, options } = useMemo(() => chartOf(rows), [rows]);
  return (
    <div className={styles.plot}>
      <Scatter
        data={data}
        options={options}
        aria-label="Flown minutes against estimated minutes; the table beside it has the figures"
      />
    </div>
  );
}

function chartOf(rows: readonly TestRow[]) {
  const points = (counts: boolean) =>
    rows.flatMap(({ record, comparison, counts: own }) =>
      own === counts && comparison.estimatedS !== null
        ? [{ x: comparison.estimatedS / 60, y: record.test.durationS / 60 }]
        : [],
    );
  const all = [...points(true), ...points(false)].flatMap(({ x, y }) => [x, y]);
  const most = Math.ceil(Math.max(10, ...all) / 5) * 5;
  const least = Math.max(0, Math.floor(Math.min(most, ...all) / 5) * 5 - 5);
  const spend = token('spend');
  const data: ChartData<'scatter'> = {
    datasets: [
      { label: 'test', data: points(true), backgroundColor: spend, borderColor: spend, pointRadius: 4.5 },
      {
        label: 'left out',
        data: points(false),
        backgroundColor: 'transparent',
        borderColor: spend,
        pointRadius: 4.5,
      },
    ],
  };
  const axis = (text: string) => ({
    min: least,
    max: most,
    grid: { color: token('line-faint') },
    ticks: { stepSize: 5, color: token('ink-soft') },
    title: { display: true, text, color: token('ink-soft') },
  });
  const options: ChartOptions<'scatter'> = {
    animation: false,
    maintainAspectRatio: false,
    scales: { x: axis('estimated, min'), y: axis('flown, min') },
    plugins: {
      legend: { display: false },
      annotation: {
        annotations: {
          same: {
            type: 'line',
            xMin: least,
            xMax: most,
            yMin: least,
            yMax: most,
            borderColor: token('ink-soft'),
            borderDash: [4, 4],
            borderWidth: 1,
          },
        },
      },
    },
  };
  return { data, options };
}
