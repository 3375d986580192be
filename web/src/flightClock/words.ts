import { minutesAndSeconds } from '@acorn-tally/core';
import { percent } from '../fields/percent';
import type { FlightClock, SignInTheAir } from './clocks';
import { type ClockMark, markOf, type Running } from './events';
import { type Against, againstBand, nextWanted, toGoS } from './expected';

/** A moment as the clock shows it, the same on its tile and its keys: the whole seconds that have gone. */
export const onTheClock = (seconds: number): string => minutesAndSeconds(Math.floor(seconds));

/** What a pilot presses when the aircraft does it. */
export const signNames: Readonly<Record<SignInTheAir, string>> = {
  'low-warning': 'It warns',
  'own-return': 'It asks to go home',
  'forced-landing': 'It lands itself',
  empty: 'Gauge at 0\u00a0%',
};
export const signKeys: Readonly<Record<SignInTheAir, string>> = {
  'low-warning': 'w',
  'own-return': 'h',
  'forced-landing': 'l',
  empty: 'z',
};

/** What the last thing was that may be taken back: "72 %", "It warns", "touch-down"; the beginning may not. */
export function lastInWords({ plan }: FlightClock, { last }: Running): string | null {
  if (last === null || last.what === 'began') return null;
  if (last.what === 'confirmed') return 'that it is right';
  if (last.what === 'ended') return plan.kind === 'flight' ? 'touch-down' : 'the end';
  const mark = markOf(last, 0);
  return mark && markInWords(mark);
}

function markInWords({ charge, cellVoltageV, leftS, kind }: ClockMark): string {
  if (kind && kind !== 'motors-out') return signNames[kind];
  if (charge !== null) return percent(charge).replace(' ', '\u00a0');
  if (leftS !== null) return `${Math.round(leftS / 60)} min left`;
  return cellVoltageV === null ? 'a reading' : `${cellVoltageV.toFixed(2)} V`;
}

/** What is still to come: "about 12:40 to go; next reading near 70 %". */
export function aheadInWords(
  { plan }: FlightClock,
  charge: number,
  elapsedS: number,
  lastRead: { readonly timeS: number; readonly charge: number } | null,
): { readonly toGo: string | null; readonly next: string | null } {
  const left = plan.expected && toGoS(plan.expected, elapsedS, lastRead, plan.stopCharge);
  const next = nextWanted(charge, plan.startCharge, plan.stopCharge);
  return {
    toGo: left == null ? null : minutesAndSeconds(left),
    next: next === null ? null : percent(next),
  };
}

const againstWords: Readonly<Record<Against, string>> = {
  sooner: 'The last reading came sooner than in 9 flights of 10: land earlier than expected.',
  later: 'The last reading came later than in 9 flights of 10.',
};

/** A word about the last reading where it lies outside the band, or waits to be confirmed; null where all is as expected. */
export function oddInWords({ plan }: FlightClock, { marks, held }: Running): string | null {
  const read = marks.filter((mark): mark is ClockMark & { charge: number } => mark.charge !== null);
  const last = read[read.length - 1];
  if (held?.charge != null)
    return `${percent(held.charge)} after ${percent(last?.charge ?? plan.startCharge)}: it does not count before you say that it is right.`;
  if (!last) return null;
  if (!plan.expected || plan.kind === 'charge') return null;
  const against = againstBand(plan.expected, last.timeS, last.charge);
  return against && againstWords[against];
}
