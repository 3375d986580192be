import {
  type FrozenEstimate,
  minutesAndSeconds,
  readingsOf,
  straightLine,
  type TestFlight,
} from '@acorn-tally/core';
import type { ChartData, ChartOptions } from 'chart.js';
import { useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import { chargeAxes } from '../charts/axes';
import { bandDatasets } from '../charts/bandDatasets';
import { ChartKey } from '../charts/ChartKey';
import styles from '../charts/chart.module.css';
import { gaugeTooltip, readDataset } from '../charts/gauge';
import { token } from '../charts/setup';
import { percent } from '../fields/percent';
import { signWords } from './signWords';

interface Props {
  readonly test: TestFlight;
  readonly estimate: FrozenEstimate;
}

/** The estimated curve, what was read at the start and the end, and the straight line through both. */
export function TestChart({ test, estimate }: Props) {
  const { data, options, words } = useMemo(() => chartOf(test, estimate), [test, estimate]);
  return (
    <>
      <ChartKey
        lines={[
          { words: 'read from the gauge', colour: 'spend', as: 'diamond' },
          { words: 'estimated, 8 in 10', colour: 'home' },
          { words: 'straight line', colour: 'ink-soft', as: 'dashed' },
        ]}
      />
      <div className={styles.chart}>
        <Line data={data} options={options} aria-label={words} />
      </div>
    </>
  );
}

function chartOf(test: TestFlight, estimate: FrozenEstimate) {
  const minutes = (seconds: number) => seconds / 60;
  const start = { x: 0, y: test.startCharge * 100 };
  const end = { x: minutes(test.durationS), y: test.endCharge * 100 };
  const zero = { x: minutes(straightLine(test).toZeroS), y: 0 };
  const estimated = (estimate.answer?.curve ?? [])
    .filter((point) => point.charge >= 0)
    .map((point) => ({ x: minutes(point.timeS), y: point.charge * 100 }));
  const lastMinute = Math.max(zero.x, estimated[estimated.length - 1]?.x ?? 0);
  const between = readingsOf(test)
    .slice(1, -1)
    .map(({ timeS, charge }) => ({ x: minutes(timeS), y: charge * 100 }));
  const data: ChartData<'line'> = {
    datasets: [
      readDataset([start, ...between, end]),
      line('straight line', [start, zero], token('ink-soft'), 1.3, [5, 4]),
      line('estimated', estimated, token('home'), 2.4, []),
      ...bandDatasets(estimate.answer?.curveBand ?? [], 'band-home'),
    ],
  };
  const options: ChartOptions<'line'> = {
    animation: false,
    maintainAspectRatio: false,
    layout: { padding: { top: 8, right: 12 } },
    scales: chargeAxes(lastMinute),
    interaction: { mode: 'nearest', axis: 'x', intersect: false },
    plugins: {
      legend: { display: false },
      tooltip: gaugeTooltip,
      annotation: {
        annotations: {
          ...signsOf(test),
          landed: words(
            `landed ${minutesAndSeconds(test.durationS)} at ${percent(test.endCharge)}`,
            end,
            'spend-ink',
          ),
        },
      },
    },
  };
  const said = `Gauge against time: ${percent(test.startCharge)} at lift-off, ${percent(test.endCharge)} after ${minutesAndSeconds(test.durationS)}; the straight line through both reaches 0 % at ${minutesAndSeconds(zero.x * 60)}.`;
  return { data, options, words: said };
}

function line(
  label: string,
  data: { x: number; y: number }[],
  colour: string,
  width: number,
  dash: number[],
) {
  return {
    label,
    data,
    borderColor: colour,
    borderWidth: width,
    borderDash: dash,
    pointRadius: 0,
    pointHitRadius: 8,
  };
}

/** What the aircraft did, beside its reading. */
function signsOf({ checkpoints }: TestFlight) {
  const signs = (checkpoints ?? []).flatMap(({ kind, charge, timeS }) => {
    const read = kind === 'empty' ? 0 : charge;
    if (!kind || read == null) return [];
    return [[kind, words(signWords[kind], { x: timeS / 60, y: read * 100 }, 'ink')] as const];
  });
  return Object.fromEntries(signs);
}

function words(content: string, at: { x: number; y: number }, colour: string) {
  return {
    type: 'label' as const,
    xValue: at.x,
    yValue: at.y,
    xAdjust: 8,
    yAdjust: -14,
    position: { x: 'start', y: 'center' } as const,
    content,
    color: token(colour),
    font: { size: 12, weight: 'bold' as const },
  };
}
