import type { FlightResult } from '@acorn-tally/core';
import type { ChartData, ChartDataset, ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { Scatter } from 'react-chartjs-2';
import { token } from '../charts/setup';
import styles from './Taught.module.css';

interface Props {
  readonly flights: readonly FlightResult[];
  /** What to call a flight where it is pointed at. */
  readonly nameOf: (id: string) => string;
}

/** Flown minutes against those foretold by the other flights, with their bands, and from the box alone; on the slanting line both are the same. */
export function TaughtPlot({ flights, nameOf }: Props) {
  const { data, options } = useMemo(() => chartOf(flights, nameOf), [flights, nameOf]);
  return (
    <div className={styles.plot}>
      <Scatter
        data={data}
        options={options}
        aria-label="Flown minutes against estimated minutes, from the other flights and from the box alone; the table beside it has the figures"
      />
    </div>
  );
}

interface Point {
  readonly x: number;
  readonly y: number;
  readonly name?: string;
}

function chartOf(flights: readonly FlightResult[], nameOf: (id: string) => string) {
  const [spend, soft, ink] = [token('spend'), token('spend-soft'), token('ink-soft')];
  const counted = flights.filter(({ counts }) => counts);
  const minute = (seconds: number) => seconds / 60;
  const after = counted.flatMap(({ id, flownS, leftOut }): Point[] =>
    leftOut ? [{ x: minute(leftOut.estimatedS), y: minute(flownS), name: nameOf(id) }] : [],
  );
  const before = counted.flatMap(({ id, flownS, before: box }): Point[] =>
    box ? [{ x: minute(box.estimatedS), y: minute(flownS), name: nameOf(id) }] : [],
  );
  const left = flights.flatMap(({ id, counts, flownS, leftOut, before: box }): Point[] => {
    const told = leftOut ?? box;
    return !counts && told ? [{ x: minute(told.estimatedS), y: minute(flownS), name: nameOf(id) }] : [];
  });
  // A stroke for each band, with gaps between them.
  const bands = counted.flatMap(({ flownS, leftOut }) =>
    leftOut
      ? [
          { x: minute(leftOut.p10S), y: minute(flownS) },
          { x: minute(leftOut.p90S), y: minute(flownS) },
          { x: Number.NaN, y: Number.NaN },
        ]
      : [],
  );
  const all = [...after, ...before, ...left].flatMap(({ x, y }) => [x, y]);
  const ends = [...all, ...bands.map(({ x }) => x).filter(Number.isFinite)];
  const most = Math.ceil(Math.max(10, ...ends) / 5) * 5;
  const least = Math.max(0, Math.floor(Math.min(most, ...ends) / 5) * 5);
  const hollow = (label: string, points: readonly Point[], colour: string): ChartDataset<'scatter'> => ({
    label,
    data: [...points],
    backgroundColor: 'transparent',
    borderColor: colour,
    pointRadius: 4,
  });
  const data: ChartData<'scatter'> = {
    datasets: [
      {
        label: 'by the other flights',
        data: after,
        backgroundColor: spend,
        borderColor: spend,
        pointRadius: 4.5,
      },
      hollow('from the box alone', before, ink),
      hollow('left out', left, soft),
      {
        label: '8 in 10',
        data: bands,
        showLine: true,
        spanGaps: false,
        borderColor: soft,
        borderWidth: 5,
        pointRadius: 0,
        pointHitRadius: 0,
      },
    ],
  };
  const axis = (text: string) => ({
    min: least,
    max: most,
    grid: { color: token('line-faint') },
    ticks: { stepSize: 5, color: ink },
    title: { display: true, text, color: ink },
  });
  const options: ChartOptions<'scatter'> = {
    animation: false,
    maintainAspectRatio: false,
    scales: { x: axis('estimated, min'), y: axis('flown, min') },
    plugins: {
      legend: { display: false },
      tooltip: {
        filter: ({ datasetIndex }) => datasetIndex < 3,
        callbacks: { label: ({ raw, dataset }) => `${(raw as Point).name ?? ''}, ${dataset.label}` },
      },
      annotation: {
        annotations: {
          same: {
            type: 'line',
            xMin: least,
            xMax: most,
            yMin: least,
            yMax: most,
            borderColor: token('ink-soft'),
            borderWidth: 1,
            borderDash: [4, 4],
          },
        },
      },
    },
  };
  return { data, options };
}
