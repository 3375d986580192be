import {
  type Band,
  emptyCellVoltageV,
  minAtTouchdown,
  minutesAndSeconds,
  type PlannedFigures,
  type Policy,
} from '@acorn-tally/core';
import { Slider } from '@mantine/core';
import type { Chart, ChartData, ChartOptions } from 'chart.js';
import type { AnnotationOptions } from 'chartjs-plugin-annotation';
import { memo, type PointerEvent, useDeferredValue, useMemo, useRef, useState } from 'react';
import { Line } from 'react-chartjs-2';
import { percent, turnBackPercent } from '../fields/percent';
import { useWriter } from '../state/units';
import { chargeAxes, voltageAxes } from './axes';
import { bandDatasets, shapeDatasets } from './bandDatasets';
import styles from './chart.module.css';
import { type FlightLines, flightLines, type Mark, type Measure, type ShownFlight } from './flightLines';
import { lastTimeS, readingAt, readingInWords } from './reading';
import { hatching, token } from './setup';

interface Props {
  readonly flight: ShownFlight;
  /** Empty while it is being computed. */
  readonly band: Band['curve'];
  readonly policy: Policy;
  readonly forcedLandingCharge: number;
  readonly measure: Measure;
}

const stepS = 30;
const minute = 60;

/** A flight against time: what is flown, the way home, what is held back, and what happens if it is flown on. */
export const FlightChart = memo(function FlightChart(props: Props) {
  // In a render of its own: so that drawing the chart holds up nothing that changes with it.
  const shown = useDeferredValue(props);
  const { flight, band, measure } = shown;
  const { write } = useWriter();
  const chart = useRef<Chart<'line'> | null>(null);
  const [readS, setReadS] = useState<number | null>(null);
  const drawing = useMemo(() => {
    const { data, options, words } = chartOf(shown);
    return <Line ref={chart} data={data} options={options} aria-label={words} />;
  }, [shown]);
  const lastS = lastTimeS(flight);
  const words = (timeS: number) => readingInWords(readingAt(flight, band, timeS), write);
  const readUnder = (event: PointerEvent<HTMLElement>) => {
    const { left } = event.currentTarget.getBoundingClientRect();
    const at = chart.current?.scales.x?.getValueForPixel(event.clientX - left);
    if (at !== undefined) setReadS(Math.min(lastS, Math.max(0, at * minute)));
  };
  return (
    <div
      className={styles.chart}
      data-old={!flight.fresh || undefined}
      onPointerMove={readUnder}
      onPointerLeave={() => setReadS(null)}
    >
      {drawing}
      {readS !== null && <Reading chart={chart.current} timeS={readS} words={words(readS)} />}
      <Slider
        data-unseen
        thumbLabel={`Read the ${measure} at a minute of the flight`}
        thumbValueText={words(readS ?? 0)}
        min={0}
        max={Math.floor(lastS / stepS) * stepS}
        step={stepS}
        value={readS ?? 0}
        onFocus={() => setReadS(0)}
        onBlur={() => setReadS(null)}
        onChange={setReadS}
      />
    </div>
  );
});

interface ReadingProps {
  readonly chart: Chart<'line'> | null;
  readonly timeS: number;
  readonly words: string;
}

/** A line at the moment that is read, with its numbers on the side where there is room. */
function Reading({ chart, timeS, words }: ReadingProps) {
  const x = chart?.scales.x?.getPixelForValue(timeS / minute);
  if (!chart || x === undefined) return null;
  const { left, right, top, bottom } = chart.chartArea;
  const isLate = x > (left + right) / 2;
  return (
    <>
      <i className={styles.cursor} style={{ left: x, top, height: bottom - top }} aria-hidden />
      <span
        className={styles.reading}
        style={isLate ? { right: `calc(100% - ${x}px + 6px)`, top } : { left: x + 6, top }}
        aria-hidden
      >
        {words}
      </span>
    </>
  );
}

function chartOf({ flight, band, policy, forcedLandingCharge, measure }: Props) {
  const heldBack = minAtTouchdown(policy, forcedLandingCharge);
  const lines = flightLines(flight, measure, heldBack);
  return {
    data: dataFor(lines, measure === 'charge' ? band : []),
    options: optionsFor(lines, measure, heldBack * 100, flight.planned),
    words: inWords(lines, measure, flight.planned),
  };
}

function dataFor(lines: FlightLines, band: Band['curve']): ChartData<'line'> {
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
  });
  return {
    datasets: [
      { label: 'flown on', ...line(lines.flownOn, 'ink-soft', 1.2, [3, 3]) },
      { label: 'way home', ...line(lines.wayHome, 'home', 2.6) },
      { label: 'flown', ...line(lines.flown, 'spend', 2.8) },
      ...shapeDatasets(lines.wayHomeDoubt, 'band-home'),
      ...bandDatasets(band, 'band'),
    ],
  };
}

function optionsFor(
  lines: FlightLines,
  measure: Measure,
  heldPercent: number,
  planned: PlannedFigures | null,
): ChartOptions<'line'> {
  const { lastMinute, lowest, highest } = lines;
  const box =
    measure === 'charge'
      ? hatchedBox(lowest, heldPercent, 'held back')
      : hatchedBox(lowest, emptyCellVoltageV, 'the motors give up');
  return {
    animation: false,
    maintainAspectRatio: false,
    events: [],
    layout: { padding: { top: 8, right: 12 } },
    scales: measure === 'charge' ? chargeAxes(lastMinute, lowest) : voltageAxes(lastMinute, lowest, highest),
    plugins: {
      legend: { display: false },
      tooltip: { enabled: false },
      annotation: { annotations: { box, ...markAnnotations(lines, measure, planned) } },
    },
  };
}

function hatchedBox(yMin: number, yMax: number, content: string): AnnotationOptions {
  return {
    type: 'box',
    yMin,
    yMax,
    backgroundColor: hatching(token('gone')) as string,
    borderWidth: 0,
    drawTime: 'beforeDatasetsDraw',
    label: {
      display: true,
      content,
      position: { x: 'start', y: 'start' },
      color: token('held'),
      font: { size: 12 },
    },
  };
}

/** Where each mark's words stand, so that they do not lie on the lines or on each other; in a narrow chart on two lines. */
const wordPlaces: Record<
  Mark['kind'],
  { dx: number; dy: number; narrowDy: number; position: 'start' | 'end' }
> = {
  'planned-minute': { dx: -6, dy: 0, narrowDy: 0, position: 'end' },
  'turn-back': { dx: 8, dy: -26, narrowDy: -32, position: 'start' },
  'touch-down': { dx: 10, dy: -9, narrowDy: 0, position: 'start' },
  'forced-landing': { dx: -8, dy: 5, narrowDy: 5, position: 'end' },
  empty: { dx: -8, dy: 8, narrowDy: 8, position: 'end' },
};
const narrowPx = 440;
/** How far up its stem the words of the planned minute stand, clear of those on the axis. */
const wordsUpStem = 0.55;

function markAnnotations(
  lines: FlightLines,
  measure: Measure,
  planned: PlannedFigures | null,
): Record<string, AnnotationOptions> {
  return Object.fromEntries(
    lines.marks.flatMap((mark): [string, AnnotationOptions][] => {
      const { dx, dy, narrowDy, position } = wordPlaces[mark.kind];
      const colour = token(markColour[mark.kind]);
      const words = wordsFor(mark, measure, planned);
      const isNarrow = ({ chart }: { readonly chart: Chart }) => chart.width < narrowPx;
      // The minute stands on the time axis, where minutes are; the charge on the curve.
      const isMinute = mark.kind === 'planned-minute';
      const y = isMinute ? lines.lowest : mark.y;
      const stem: AnnotationOptions = {
        type: 'line',
        xMin: mark.x,
        xMax: mark.x,
        yMin: lines.lowest,
        yMax: mark.y,
        borderColor: colour,
        borderWidth: 1.4,
        borderDash: [2, 3],
      };
      const point: AnnotationOptions = {
        type: 'point',
        xValue: mark.x,
        yValue: y,
        radius: bigMarks.includes(mark.kind) ? 5 : 3.5,
        backgroundColor: colour,
        borderColor: token('paper'),
        borderWidth: 1.5,
      };
      const label: AnnotationOptions = {
        type: 'label',
        xValue: mark.x,
        yValue: isMinute ? y + wordsUpStem * (mark.y - y) : y,
        // In a narrow chart the planned minute’s words stand right of their stem, clear of “held back”.
        xAdjust: (context) => (isMinute && isNarrow(context) ? -dx : dx),
        yAdjust: (context) => (isNarrow(context) ? narrowDy : dy),
        position: (context) => ({ x: isMinute && isNarrow(context) ? 'start' : position, y: 'center' }),
        content: (context) => (isNarrow(context) ? narrowWords(mark, words) : words),
        textAlign: position === 'end' ? 'right' : 'left',
        color: colour,
        backgroundColor: token('veil'),
        padding: 2,
        font: { size: 12, weight: 'bold' },
      };
      return [
        ...(isMinute ? ([[`${mark.kind}-stem`, stem]] as [string, AnnotationOptions][]) : []),
        [`${mark.kind}-point`, point],
        [`${mark.kind}-words`, label],
      ];
    }),
  );
}

const bigMarks: readonly Mark['kind'][] = ['planned-minute', 'turn-back', 'touch-down'];
const markColour: Record<Mark['kind'], string> = {
  'planned-minute': 'spend-ink',
  'turn-back': 'home',
  'touch-down': 'ink',
  'forced-landing': 'danger',
  empty: 'danger',
};

/** The charge is to turn by, the minute to plan with: the one is said without the other. */
function wordsFor(mark: Mark, measure: Measure, planned: PlannedFigures | null): string {
  const time = minutesAndSeconds(mark.x * minute);
  const level = measure === 'charge' ? percent(mark.y / 100) : `${mark.y.toFixed(2)} V`;
  switch (mark.kind) {
    case 'planned-minute':
      return `plan on ${time}`;
    case 'turn-back':
      return `Turn back by ${turnBackPercent(planned?.turnBackCharge ?? mark.y / 100)}`;
    case 'touch-down':
      return `typically down at ${time}, ${level}`;
    case 'forced-landing':
      return `forced landing at ${level}, ${time}`;
    case 'empty':
      return `gauge empty, ${time}`;
  }
}

/** Where there is little room, on two lines. */
function narrowWords(mark: Mark, words: string): string | string[] {
  return mark.kind === 'touch-down' ? words.replace('typically ', '').split(', ') : words;
}

function inWords(lines: FlightLines, measure: Measure, planned: PlannedFigures | null): string {
  const what = measure === 'charge' ? 'Charge' : 'Voltage of a cell';
  return `${what} against time. ${lines.marks.map((mark) => wordsFor(mark, measure, planned)).join('. ')}.`;
}
