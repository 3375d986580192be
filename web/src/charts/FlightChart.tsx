import {
  type Band,
  chargeAtTouchdown,
  type Estimate,
  minutesAndSeconds,
  type Policy,
} from '@acorn-tally/core';
import type { ChartData, ChartOptions } from 'chart.js';
import type { AnnotationOptions } from 'chartjs-plugin-annotation';
import { memo, useMemo } from 'react';
import { Line } from 'react-chartjs-2';
import { chargeAxes } from './axes';
import { bandDatasets, bandLabel } from './bandDatasets';
import { type ChargeLines, chargeLines, type Mark } from './chargeChart';
import { hatching, token } from './setup';
import { useLater } from './useLater';

interface Props {
  readonly estimate: Estimate;
  /** Empty while it is being reckoned. */
  readonly band: Band['curve'];
  readonly policy: Policy;
  readonly forcedLandingCharge: number;
}

/** Charge against time: what is flown, the way home, what is held back, and what happens if it is flown on. */
export const ChargeChart = memo(function ChargeChart(props: Props) {
  const { estimate, band, policy, forcedLandingCharge } = useLater(props);
  const lines = useMemo(() => chargeLines(estimate), [estimate]);
  const heldPercent = chargeAtTouchdown(policy, forcedLandingCharge) * 100;
  const options = useMemo(() => optionsFor(lines, heldPercent), [lines, heldPercent]);
  const data = useMemo(() => dataFor(lines, band), [lines, band]);
  return (
    <div className="chart">
      <Line data={data} options={options} aria-label={inWords(lines)} />
    </div>
  );
});

function dataFor(lines: ChargeLines, band: Band['curve']): ChartData<'line'> {
  const line = (
    data: readonly { x: number; y: number }[],
    colour: string,
    width: number,
    dash: number[] = [],
  ) => ({
    data: [...data],
    borderColor: token(colour),
    borderWidth: width,
    borderDash: dash,
    pointRadius: 0,
    pointHitRadius: 8,
  });
  return {
    datasets: [
      { label: 'flown on', ...line(lines.flownOn, 'ink-soft', 1.2, [3, 3]) },
      { label: 'way home', ...line(lines.wayHome, 'home', 2.6) },
      { label: 'charge', ...line(lines.flown, 'spend', 2.8) },
      ...bandDatasets(band, 'band'),
    ],
  };
}

function optionsFor(lines: ChargeLines, heldPercent: number): ChartOptions<'line'> {
  return {
    animation: false,
    maintainAspectRatio: false,
    layout: { padding: { top: 8, right: 12 } },
    scales: chargeAxes(lines.lastMinute, lines.lowestPercent),
    interaction: { mode: 'nearest', axis: 'x', intersect: false },
    plugins: {
      legend: { display: false },
      tooltip: {
        displayColors: false,
        filter: (item) => item.dataset.label !== bandLabel,
        callbacks: {
          title: (items) => `${minutesAndSeconds((items[0]?.parsed.x ?? 0) * 60)} min`,
          label: (item) => `${Math.round(item.parsed.y ?? 0)} % · ${item.dataset.label}`,
        },
      },
      annotation: {
        annotations: { held: heldBox(heldPercent, lines.lowestPercent), ...markAnnotations(lines) },
      },
    },
  };
}

function heldBox(heldPercent: number, lowestPercent: number): AnnotationOptions {
  return {
    type: 'box',
    yMin: lowestPercent,
    yMax: heldPercent,
    backgroundColor: hatching(token('gone')) as string,
    borderWidth: 0,
    drawTime: 'beforeDatasetsDraw',
    label: {
      display: true,
      content: 'held back',
      position: { x: 'start', y: 'start' },
      color: token('held'),
      font: { size: 12 },
    },
  };
}

/** Where each mark's words stand, so that they do not lie on the lines or on each other. */
const wordPlaces: Record<Mark['kind'], { dx: number; dy: number; position: 'start' | 'end' }> = {
  'turn-back': { dx: 8, dy: -26, position: 'start' },
  'touch-down': { dx: 10, dy: -9, position: 'start' },
  'forced-landing': { dx: -8, dy: 5, position: 'end' },
  empty: { dx: -8, dy: 8, position: 'end' },
};

function markAnnotations(lines: ChargeLines): Record<string, AnnotationOptions> {
  return Object.fromEntries(
    lines.marks.flatMap((mark) => {
      const { dx, dy, position } = wordPlaces[mark.kind];
      const colour = token(markColour[mark.kind]);
      const point: AnnotationOptions = {
        type: 'point',
        xValue: mark.x,
        yValue: mark.y,
        radius: mark.kind === 'turn-back' || mark.kind === 'touch-down' ? 5 : 3.5,
        backgroundColor: colour,
        borderColor: token('paper'),
        borderWidth: 1.5,
      };
      const words: AnnotationOptions = {
        type: 'label',
        xValue: mark.x,
        yValue: mark.y,
        xAdjust: dx,
        yAdjust: dy,
        position: { x: position, y: 'center' },
        content: wordsFor(mark),
        textAlign: position === 'end' ? 'right' : 'left',
        color: colour,
        backgroundColor: token('veil'),
        padding: 2,
        font: { size: 12, weight: 'bold' },
      };
      return [
        [`${mark.kind}-point`, point],
        [`${mark.kind}-words`, words],
      ];
    }),
  );
}

const markColour: Record<Mark['kind'], string> = {
  'turn-back': 'home',
  'touch-down': 'ink',
  'forced-landing': 'danger',
  empty: 'danger',
};

function wordsFor(mark: Mark): string {
  const time = minutesAndSeconds(mark.x * 60);
  const left = `${Math.round(mark.y)} %`;
  if (mark.kind === 'turn-back') return `Turn back ${time}, ${left} left`;
  if (mark.kind === 'touch-down') return `Touch down ${time}, ${left} left`;
  if (mark.kind === 'forced-landing') return `it lands itself at ${left}, ${time}`;
  return `gauge empty, ${time}`;
}

function inWords(lines: ChargeLines): string {
  return `Charge against time. ${lines.marks.map(wordsFor).join('. ')}.`;
}
