import { type Band, type FlightEvent, minutesAndSeconds } from '@acorn-tally/core';
import { percent } from '../fields/percent';
import type { Writer } from '../state/units';
import { eventOf, type ShownFlight } from './flightLines';

/** What stands at one moment of a flight. What the way home does not tell (it is computed as a whole) is null. */
export interface ChartReading {
  readonly timeS: number;
  readonly phase: 'flown' | 'way home' | 'if flown on';
  readonly charge: number;
  /** Eight in ten flights lie between; null outside the band or before it is computed. */
  readonly chargeBand: readonly [low: number, high: number] | null;
  readonly cellVoltageV: number;
  readonly packTemperatureC: number | null;
  readonly powerW: number | null;
}

/** Reads a flight at a moment: straight between the points of its curve, and along the way home between its ends. */
export function readingAt(
  { estimate, events }: ShownFlight,
  band: Band['curve'],
  timeS: number,
): ChartReading {
  const [turnBack, touchdown] = [eventOf(events, 'turn-back'), eventOf(events, 'touch-down')];
  if (turnBack && touchdown && timeS > turnBack.timeS && timeS <= touchdown.timeS) {
    const share = (timeS - turnBack.timeS) / (touchdown.timeS - turnBack.timeS);
    const along = (pick: (event: FlightEvent) => number) =>
      pick(turnBack) + share * (pick(touchdown) - pick(turnBack));
    return {
      timeS,
      phase: 'way home',
      charge: along(({ charge }) => charge),
      chargeBand: null,
      cellVoltageV: along(({ cellVoltageV }) => cellVoltageV),
      packTemperatureC: null,
      powerW: null,
    };
  }
  const times = estimate.curve.map((point) => point.timeS);
  const along = (values: readonly number[]) => straightBetween(times, values, timeS);
  return {
    timeS,
    phase: timeS <= (turnBack?.timeS ?? Number.POSITIVE_INFINITY) ? 'flown' : 'if flown on',
    charge: along(estimate.curve.map(({ charge }) => charge)),
    chargeBand: bandAt(estimate.takeoffCharge, band, timeS),
    cellVoltageV: along(estimate.curve.map(({ cellVoltageV }) => cellVoltageV)),
    packTemperatureC: along(estimate.curve.map(({ packTemperatureC }) => packTemperatureC)),
    powerW: along(estimate.curve.map(({ powerW }) => powerW)),
  };
}

/** When the motors stop if the style is flown on, or touch-down where that is later. */
export function lastTimeS({ events }: ShownFlight): number {
  const times = (['motors-out', 'touch-down'] as const).map((kind) => eventOf(events, kind)?.timeS ?? 0);
  return Math.max(...times);
}

/** "8:00, 58 % (55–61 %), 3.78 V a cell, pack 22 °C". */
export function readingInWords(reading: ChartReading, write: Writer['write']): string {
  const { timeS, phase, charge, chargeBand, cellVoltageV, packTemperatureC } = reading;
  return [
    `${minutesAndSeconds(timeS)}${phase === 'flown' ? '' : ` ${phase}`}`,
    `${percent(charge)}${chargeBand ? ` (${bandInWords(chargeBand)})` : ''}`,
    `${cellVoltageV.toFixed(2)} V a cell`,
    ...(packTemperatureC === null ? [] : [`pack ${write('temperature', packTemperatureC)}`]),
  ].join(', ');
}

export function bandInWords([low, high]: readonly [low: number, high: number]): string {
  return `${Math.round(low * 100)}–${percent(high)}`;
}

/** Between which charges eight in ten flights are at a moment; null once the earliest of them are past the last mark. */
function bandAt(takeoffCharge: number, band: Band['curve'], timeS: number): ChartReading['chargeBand'] {
  const last = band[band.length - 1];
  if (!last || timeS > last.p10S) return null;
  const marks = [{ charge: takeoffCharge, p10S: 0, p90S: 0 }, ...band];
  const charges = marks.map(({ charge }) => charge);
  const edge = (times: readonly number[]) => straightBetween(times, charges, timeS);
  return [edge(marks.map(({ p10S }) => p10S)), edge(marks.map(({ p90S }) => p90S))];
}

/** Straight between points in order of `at`; the end's value outside them. */
function straightBetween(at: readonly number[], values: readonly number[], wanted: number): number {
  const after = at.findIndex((one) => one >= wanted);
  if (after === 0) return values[0] ?? 0;
  if (after < 0) return values[values.length - 1] ?? 0;
  const [a0, a1] = [at[after - 1] as number, at[after] as number];
  const [v0, v1] = [values[after - 1] as number, values[after] as number];
  return a1 > a0 ? v0 + ((wanted - a0) / (a1 - a0)) * (v1 - v0) : v1;
}
