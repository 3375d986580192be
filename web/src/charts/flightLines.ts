import type { Band, Estimate, FlightEvent } from '@acorn-tally/core';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** What is drawn against time: the gauge in per cent, or the voltage of a cell under load. */
export const measures = ['charge', 'voltage'] as const;
export type Measure = (typeof measures)[number];

/** What the flight chart draws: minutes, and per cent or volts. */
export interface FlightLines {
  /** As planned, until it must turn back. */
  readonly flown: readonly Point[];
  /** The way home, from turn back to touch-down. */
  readonly wayHome: readonly Point[];
  /** What would follow if the style were flown on. */
  readonly flownOn: readonly Point[];
  readonly marks: readonly Mark[];
  readonly lastMinute: number;
  readonly lowest: number;
  readonly highest: number;
}

export interface Mark extends Point {
  readonly kind: 'turn-back' | 'touch-down' | 'forced-landing' | 'empty';
}

/** The voltage chart shows a little of what lies under an empty cell. */
const emptyFloorV = 2.8;
/** The words beside touch down take this share of the chart’s width; it is left free on their right. */
const wordsShare = 0.36;

const percent = (charge: number) => charge * 100;
const minutes = (seconds: number) => seconds / 60;

/** Round the band: down its early edge and up its late one; between them eight of ten flights pass each charge. */
export function bandOutline(curve: Band['curve']): Point[] {
  const early = curve.map(({ p10S, charge }) => ({ x: minutes(p10S), y: percent(charge) }));
  const late = curve.map(({ p90S, charge }) => ({ x: minutes(p90S), y: percent(charge) }));
  return [...early, ...late.reverse()];
}

/** From an estimate to its lines and marks; pure, so that it is tested without a screen. */
export function flightLines(estimate: Estimate, measure: Measure): FlightLines {
  const turnBack = eventOf(estimate, 'turn-back');
  const touchdown = eventOf(estimate, 'touch-down');
  const place = (moment: Moment): Point => ({
    x: minutes(moment.timeS),
    y: measure === 'charge' ? percent(moment.charge) : moment.cellVoltageV,
  });
  const points = estimate.curve.map(place);
  const [turn, down] = [place(turnBack), place(touchdown)];
  const last = points[points.length - 1] ?? turn;
  const lowest = Math.min(last.y, ...points.map(({ y }) => y));
  const highest = Math.max(...points.map(({ y }) => y));
  return {
    flown: [...points.filter((point) => point.x < turn.x), turn],
    wayHome: [turn, down],
    flownOn: [turn, ...points.filter((point) => point.x > turn.x)],
    marks: (['turn-back', 'touch-down', 'forced-landing', 'empty'] as const).flatMap((kind) =>
      estimate.events.filter((event) => event.kind === kind).map((event) => ({ kind, ...place(event) })),
    ),
    lastMinute: Math.max(last.x, down.x / (1 - wordsShare)),
    lowest:
      measure === 'charge' ? Math.floor(lowest / 10) * 10 : Math.min(emptyFloorV, Math.floor(lowest * 5) / 5),
    highest: measure === 'charge' ? 100 : Math.ceil(highest * 5) / 5,
  };
}

type Moment = Pick<FlightEvent, 'timeS' | 'charge' | 'cellVoltageV'>;

export function eventOf(estimate: Estimate, kind: FlightEvent['kind']): FlightEvent {
  const event = estimate.events.find((candidate) => candidate.kind === kind);
  if (!event) throw new Error(`An estimate has no event "${kind}".`);
  return event;
}
