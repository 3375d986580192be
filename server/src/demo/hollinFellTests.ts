import type { Conditions, Mode, TestFlight } from '@acorn-tally/core';

export interface ExampleTest {
  /** Number of the pack, from 1. */
  readonly battery: number;
  readonly flownAt: string;
  readonly test: TestFlight;
  readonly weather: Conditions;
  readonly note?: string;
  readonly excludedReason?: string;
}

/** A hover read at its start and its end; the clock is minutes and seconds. */
export function hoverTest(
  pattern: 'low-hover' | 'high-hover',
  heightM: number,
  startCharge: number,
  endCharge: number,
  [minutes, seconds]: readonly [number, number],
  startTemperatureC = 20,
): TestFlight {
  return { pattern, heightM, startCharge, endCharge, durationS: minutes * 60 + seconds, startTemperatureC };
}

export function cruiseTest(
  pattern: TestFlight['pattern'],
  mode: Mode,
  heightM: number,
  startCharge: number,
  endCharge: number,
  [minutes, seconds]: readonly [number, number],
): TestFlight {
  const durationS = minutes * 60 + seconds;
  return { pattern, mode, heightM, startCharge, endCharge, durationS, startTemperatureC: 20 };
}

/** What was read on the way, as seconds and per cent, and at which of these the aircraft warned. */
export function read(
  test: TestFlight,
  marks: readonly (readonly [timeS: number, percent: number, cellVoltageV?: number])[],
  warnedAt: number | null = null,
): TestFlight {
  const checkpoints = marks.map(([timeS, percent, cellVoltageV]) => ({
    timeS,
    charge: percent / 100,
    cellVoltageV: cellVoltageV ?? null,
    kind: percent === warnedAt ? ('low-warning' as const) : null,
  }));
  return { ...test, checkpoints };
}

/** The minutes it showed as left to its forced landing, at some seconds. */
export function showing(
  test: TestFlight,
  shown: readonly (readonly [timeS: number, minutes: number])[],
): TestFlight {
  const readings = shown.map(([timeS, minutes]) => ({ timeS, leftS: minutes * 60 }));
  const checkpoints = [...(test.checkpoints ?? []), ...readings].sort((a, b) => a.timeS - b.timeS);
  return { ...test, checkpoints, leftTo: 'landing' };
}

export function flown(
  battery: number,
  at: string,
  test: TestFlight,
  weather: Conditions,
  more: Pick<ExampleTest, 'note' | 'excludedReason'> = {},
): ExampleTest {
  return { battery, flownAt: `${at}:00+00:00`, test, weather, ...more };
}
