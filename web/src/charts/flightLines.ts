import type { Band, Estimate, FlightEvent } from '@acorn-tally/core';

export interface Point {
  readonly x: number;
  readonly y: number;
}

/** What the charge chart draws: minutes and per cent. */
export interface ChargeLines {
  /** As planned, until it must turn back. */
  readonly flown: readonly Point[];
  /** The way home, from turn back to touch-down. */
  readonly wayHome: readonly Point[];
  /** What would follow if the style were flown on. */
  readonly flownOn: readonly Point[];
  readonly marks: readonly Mark[];
  readonly lastMinute: number;
  readonly lowestPercent: number;
}

export interface Mark extends Point {
  readonly kind: 'turn-back' | 'touch-down' | 'forced-landing' | 'empty';
}

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
export function chargeLines(estimate: Estimate): ChargeLines {
  const turnBack = eventOf(estimate, 'turn-back');
  const touchdown = eventOf(estimate, 'touch-down');
  const points = estimate.curve.map((point) => ({ x: minutes(point.timeS), y: percent(point.charge) }));
  const turn = { x: minutes(turnBack.timeS), y: percent(turnBack.charge) };
  const down = { x: minutes(touchdown.timeS), y: percent(touchdown.charge) };
  const last = points[points.length - 1] ?? turn;
  return {
    flown: [...points.filter((point) => point.x < turn.x), turn],
    wayHome: [turn, down],
    flownOn: [turn, ...points.filter((point) => point.x > turn.x)],
    marks: (['turn-back', 'touch-down', 'forced-landing', 'empty'] as const).flatMap((kind) =>
      estimate.events
        .filter((event) => event.kind === kind)
        .map((event) => ({ kind, x: minutes(event.timeS), y: percent(event.charge) })),
    ),
    lastMinute: Math.max(last.x, down.x / (1 - wordsShare)),
    lowestPercent: Math.floor(last.y / 10) * 10,
  };
}

export function eventOf(estimate: Estimate, kind: FlightEvent['kind']): FlightEvent {
  const event = estimate.events.find((candidate) => candidate.kind === kind);
  if (!event) throw new Error(`An estimate has no event "${kind}".`);
  return event;
}
