import type { ChartData, ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import { bandDatasets } from '../charts/bandDatasets';
import { readDataset } from '../charts/gauge';
import { token } from '../charts/setup';
import styles from './ClockFace.module.css';
import type { ClockMark } from './events';
import { type Expected, expectedAt } from './expected';

interface Props {
  readonly expected: Expected | null;
  readonly startCharge: number;
  readonly stopCharge: number;
  readonly marks: readonly ClockMark[];
  readonly elapsedS: number;
}

/** What was read, over what was expected; a line tells where it is now. */
export function MarksPlot({ expected, startCharge, stopCharge, marks, elapsedS }: Props) {
  const nowMinute = Math.floor(elapsedS / 5) / 12;
  const { data, options } = useMemo(
    () => plotOf(expected, startCharge, stopCharge, marks, nowMinute),
    [expected, startCharge, stopCharge, marks, nowMinute],
  );
  const read = marks.filter(({ charge }) => charge !== null).length;
  return (
    <div className={styles.plot}>
      <Line data={data} options={options} aria-label={`Gauge against time, ${read} read so far`} />
    </div>
  );
}

function plotOf(
  expected: Expected | null,
  startCharge: number,
  stopCharge: number,
  marks: readonly ClockMark[],
  nowMinute: number,
) {
  const falls = stopCharge < startCharge;
  const [low, high] = falls ? [stopCharge, 1] : [0, 1];
  const within = (charge: number) => charge >= low - 0.02 && charge <= high;
  const stopS = expected && expectedAt(expected, stopCharge);
  const curve = (expected?.curve ?? []).filter(({ charge }) =>
    falls ? charge > stopCharge : charge < stopCharge,
  );
  if (stopS != null) curve.push({ timeS: stopS, charge: stopCharge });
  const lastS = Math.max(
    ...curve.map(({ timeS }) => timeS),
    ...(expected?.band ?? []).filter(({ charge }) => within(charge)).map(({ p90S }) => p90S),
    ...marks.map(({ timeS }) => timeS),
    nowMinute * 60,
    300,
  );
  const data: ChartData<'line'> = {
    datasets: [
      readDataset([
        { x: 0, y: startCharge * 100 },
        ...marks.flatMap(({ timeS, charge }) =>
          charge === null ? [] : [{ x: timeS / 60, y: charge * 100 }],
        ),
      ]),
      {
        label: 'expected',
        data: curve.map(({ timeS, charge }) => ({ x: timeS / 60, y: charge * 100 })),
        borderColor: token('home'),
        borderWidth: 2.4,
        pointRadius: 0,
      },
      ...bandDatasets(
        (expected?.band ?? []).filter(({ charge }) => within(charge)),
        'band-home',
      ),
    ],
  };
  const ticks = { color: token('ink'), font: { size: 12 } };
  const options: ChartOptions<'line'> = {
    animation: false,
    maintainAspectRatio: false,
    layout: { padding: { top: 6, right: 6 } },
    events: [],
    scales: {
      x: {
        type: 'linear',
        min: 0,
        max: lastS / 60,
        grid: { display: false },
        ticks: { ...ticks, callback: (value) => `${Math.round(Number(value))} min`, maxTicksLimit: 5 },
      },
      y: {
        min: low * 100,
        max: high * 100,
        grid: { color: token('line-faint') },
        ticks: { ...ticks, callback: (value) => `${value} %`, maxTicksLimit: 4 },
      },
    },
    plugins: {
      legend: { display: false },
      tooltip: { enabled: false },
      annotation: {
        annotations:
          nowMinute > 0
            ? {
                now: {
                  type: 'line',
                  xMin: nowMinute,
                  xMax: nowMinute,
                  borderColor: token('ink'),
                  borderWidth: 1,
                  borderDash: [3, 3],
                },
              }
            : {},
      },
    },
  };
  return { data, options };
}
