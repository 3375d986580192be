import type { Band, Estimate, FlightEvent, PlannedFigures } from '@acorn-tally/core';

export interface LinePoint {
  readonly x: number;
  readonly y: number;
}

/** What is drawn against time: the gauge in per cent, or the voltage of a cell under load. */
export const measures = ['charge', 'voltage'] as const;
export type Measure = (typeof measures)[number];

/** The middle flight as it is planned: turned back at the planned charge, where it is to be planned. */
export interface ShownFlight {
  readonly estimate: Estimate;
  readonly events: readonly FlightEvent[];
  /** Whether the plan belongs to what is on the screen now. */
  readonly fresh: boolean;
  readonly planned: PlannedFigures | null;
}

/** What the flight chart draws: minutes, and per cent or volts. */
export interface FlightLines {
  /** The middle flight, until the charge to turn back at. */
  readonly flown: readonly LinePoint[];
  /** The way home of the middle flight, from there to touch-down; empty where nothing is planned. */
  readonly wayHome: readonly LinePoint[];
  /** Round what the way home may end with: from the middle flight's touch-down to what is held back; charge only. */
  readonly wayHomeDoubt: readonly LinePoint[];
  /** What would follow if the style were flown on. */
  readonly flownOn: readonly LinePoint[];
  readonly marks: readonly Mark[];
  readonly lastMinute: number;
  readonly lowest: number;
  readonly highest: number;
}

export interface Mark extends LinePoint {
  readonly kind: (typeof markKinds)[number];
}

const markKinds = ['planned-minute', 'turn-back', 'touch-down', 'forced-landing', 'empty'] as const;

/** The voltage chart shows a little of what lies under an empty cell. */
const emptyFloorV = 2.8;
/** The words beside touch down take this share of the chart’s width; it is left free on their right. */
const wordsShare = 0.36;

const percent = (charge: number) => charge * 100;
const minutes = (seconds: number) => seconds / 60;

/** Round the band: down its early edge and up its late one; between them eight of ten flights pass each charge. */
export function bandOutline(curve: Band['curve']): LinePoint[] {
  const early = curve.map(({ p10S, charge }) => ({ x: minutes(p10S), y: percent(charge) }));
  const late = curve.map(({ p90S, charge }) => ({ x: minutes(p90S), y: percent(charge) }));
  return [...early, ...late.reverse()];
}

/** From a flight to its lines and marks; pure, so that it is tested without a screen. `heldBack` is the gauge to land with. */
export function flightLines(
  { estimate, events }: ShownFlight,
  measure: Measure,
  heldBack: number,
): FlightLines {
  const turnBack = eventOf(events, 'turn-back');
  const touchdown = eventOf(events, 'touch-down');
  const place = (moment: Moment): LinePoint => ({
    x: minutes(moment.timeS),
    y: measure === 'charge' ? percent(moment.charge) : moment.cellVoltageV,
  });
  const points = estimate.curve.map(place);
  const [turn, down] = [turnBack && place(turnBack), touchdown && place(touchdown)];
  const lowest = Math.min(...points.map(({ y }) => y));
  const highest = Math.max(...points.map(({ y }) => y));
  return {
    flown: turn ? [...points.filter((point) => point.x < turn.x), turn] : points,
    wayHome: turn && down ? [turn, down] : [],
    wayHomeDoubt: turn && down && measure === 'charge' ? doubtOf(turn, down, percent(heldBack)) : [],
    flownOn: turn ? [turn, ...points.filter((point) => point.x > turn.x)] : [],
    marks: markKinds.flatMap((kind) =>
      events.filter((event) => event.kind === kind).map((event) => ({ kind, ...place(event) })),
    ),
    lastMinute: Math.max(points[points.length - 1]?.x ?? 0, (down?.x ?? 0) / (1 - wordsShare)),
    lowest:
      measure === 'charge' ? Math.floor(lowest / 10) * 10 : Math.min(emptyFloorV, Math.floor(lowest * 5) / 5),
    highest: measure === 'charge' ? 100 : Math.ceil(highest * 5) / 5,
  };
}

type Moment = Pick<FlightEvent, 'timeS' | 'charge' | 'cellVoltageV'>;

/** As many flights as the confidence asks for touch down above the lower edge; the middle one at the upper. */
function doubtOf(turn: LinePoint, down: LinePoint, heldBackPercent: number): LinePoint[] {
  return down.y > heldBackPercent ? [turn, down, { x: down.x, y: heldBackPercent }] : [];
}

/** Null for what does not happen: nothing is turned back where the flight is not to be planned. */
export function eventOf(events: readonly FlightEvent[], kind: FlightEvent['kind']): FlightEvent | null {
  return events.find((candidate) => candidate.kind === kind) ?? null;
}
