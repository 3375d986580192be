import type { Conditions } from '../air/conditions';
import type { Aircraft, Mode } from '../aircraft/aircraft';
import type { Battery } from '../battery/battery';
import type { EventKind } from '../estimate/events';
import type { EstimateRequest } from '../estimate/request';
import { type Handling, type StyleShare, styleShareRanges } from '../flight/styles';
import type { FieldProblem } from '../units/fieldProblem';
import type { Quantity } from '../units/quantity';

export const testPatterns = [
  'low-hover',
  'high-hover',
  'there-and-back',
  'circle',
  'figure-of-eight',
  'free-flying',
] as const;
export type TestPattern = (typeof testPatterns)[number];

/** What the aircraft says of itself in a flight, named as the estimate names it: `empty` is the gauge at 0 %. */
export const signKinds = [
  'low-warning',
  'own-return',
  'forced-landing',
  'empty',
  'motors-out',
] as const satisfies readonly EventKind[];
export type SignKind = (typeof signKinds)[number];

/** To what the minutes count that an aircraft shows as left: its own call to return, its forced landing, or an empty pack. */
export const leftTos = ['return', 'landing', 'empty'] as const;
export type LeftTo = (typeof leftTos)[number];

/** What was read at a moment of a flight: the gauge, volts, minutes left, a sign of the aircraft, or several of these. */
export interface Checkpoint {
  readonly timeS: number;
  readonly charge?: number | null;
  readonly cellVoltageV?: number | null;
  /** Of the weakest cell, and how far the strongest stood above it. */
  readonly lowestCellVoltageV?: number | null;
  readonly cellSpreadV?: number | null;
  /** What the aircraft showed as left then. */
  readonly leftS?: number | null;
  readonly kind?: SignKind | null;
  /** Above take-off and over ground at that moment, where a log tells. */
  readonly heightM?: number | null;
  readonly speedMps?: number | null;
}

/** What a pilot notes of a test: gauge fractions 0–1, seconds in the air, how it was flown and where. */
export interface TestFlight {
  readonly pattern: TestPattern;
  /** The mode it was flown in; a hover has none. */
  readonly mode?: Mode | null;
  readonly airspeedMps?: number | null;
  readonly reversalsPerMin?: number | null;
  /** Of manual flying only. */
  readonly handling?: Handling | null;
  readonly heightM: number;
  readonly startCharge: number;
  readonly endCharge: number;
  readonly durationS: number;
  readonly startTemperatureC?: number | null;
  readonly endTemperatureC?: number | null;
  /** Between lift-off and the end, in order of time. */
  readonly checkpoints?: readonly Checkpoint[] | null;
  /** At what it recorded, in the pilot's words; empty where it did not record. */
  readonly recording?: string | null;
  readonly recordingLoadW?: number | null;
  /** What hung on it, in the pilot's words, and its mass. */
  readonly attached?: string | null;
  readonly addedMassKg?: number | null;
  readonly freshRotors?: boolean | null;
  /** To what the minutes counted that it showed as left; to its forced landing where absent. */
  readonly leftTo?: LeftTo | null;
}

export const maxCheckpoints = 500;

export const testFlightRanges = {
  heightM: { label: 'Height', unit: 'm', siPerUnit: 1, min: 0, max: 500, step: 1 },
  airspeedMps: styleShareRanges.airspeedMps,
  reversalsPerMin: styleShareRanges.reversalsPerMin,
  startCharge: { label: 'Charge at lift-off', unit: '%', siPerUnit: 0.01, min: 0.1, max: 1, step: 1 },
  endCharge: { label: 'Charge at the end', unit: '%', siPerUnit: 0.01, min: 0, max: 1, step: 1 },
  durationS: {
    label: 'Time in the air',
    unit: 'min',
    siPerUnit: 60,
    min: 30,
    max: 7200,
    step: 1,
    clock: true,
  },
  startTemperatureC: { label: 'Pack at lift-off', unit: '°C', siPerUnit: 1, min: -30, max: 60, step: 1 },
  endTemperatureC: { label: 'Pack at the end', unit: '°C', siPerUnit: 1, min: -30, max: 90, step: 1 },
} as const satisfies Record<string, Quantity>;

export const checkpointRanges = {
  timeS: { label: 'Time of a reading', unit: 'min', siPerUnit: 60, min: 0, max: 7200, step: 1, clock: true },
  charge: { label: 'Gauge', unit: '%', siPerUnit: 0.01, min: 0, max: 1, step: 1 },
  cellVoltageV: { label: 'Volts of a cell', unit: 'V', siPerUnit: 1, min: 2, max: 4.6, step: 0.01 },
  lowestCellVoltageV: { label: 'Lowest cell', unit: 'V', siPerUnit: 1, min: 2, max: 4.6, step: 0.01 },
  cellSpreadV: { label: 'Between cells', unit: 'V', siPerUnit: 1, min: 0, max: 1.5, step: 0.01 },
  leftS: { label: 'Shown as left', unit: 'min', siPerUnit: 60, min: 0, max: 7200, step: 1 },
  heightM: { label: 'Height at a reading', unit: 'm', siPerUnit: 1, min: -500, max: 9000, step: 1 },
  speedMps: { label: 'Speed at a reading', unit: 'm/s', siPerUnit: 1, min: 0, max: 100, step: 0.5 },
} as const satisfies Record<string, Quantity>;

/** The end must lie below the start, and readings within the flight and in order; null when they do. */
export function testFlightFault(
  test: Pick<TestFlight, 'startCharge' | 'endCharge' | 'durationS' | 'checkpoints'>,
): FieldProblem | null {
  const message = testFlightProblem(test);
  if (message) return { path: 'endCharge', message, received: test.endCharge };
  return checkpointFault(test.checkpoints ?? [], test.durationS);
}

/** The end must lie below the start; null when it does. */
export function testFlightProblem(test: Pick<TestFlight, 'startCharge' | 'endCharge'>): string | null {
  if (test.endCharge < test.startCharge) return null;
  return `Charge at the end must be below the ${Math.round(test.startCharge * 100)} % at lift-off.`;
}

export const readingAfterEnd = 'A reading lies after the end of the flight.';

function checkpointFault(checkpoints: readonly Checkpoint[], durationS: number): FieldProblem | null {
  const faults = checkpoints.map((one, i) => {
    const at = (message: string, received: unknown) => ({ path: `checkpoints.${i}`, message, received });
    const { charge, cellVoltageV, lowestCellVoltageV, leftS, kind } = one;
    if ([charge, cellVoltageV, lowestCellVoltageV, leftS, kind].every((read) => read == null)) {
      return at('A reading needs a gauge, volts, minutes left, or what the aircraft did.', one);
    }
    if (one.timeS > durationS) return at(readingAfterEnd, one.timeS);
    const before = checkpoints[i - 1];
    if (before && one.timeS < before.timeS) return at('Readings must be in order of time.', one.timeS);
    return null;
  });
  return faults.find((fault) => fault !== null) ?? null;
}

/** A gauge that was read: seconds from lift-off, and the charge it showed. */
export interface Reading {
  readonly timeS: number;
  readonly charge: number;
}

/** Every gauge of a flight in order of time, with its start and its end. Gauge at 0 % is a reading too. */
export function readingsOf({
  startCharge,
  endCharge,
  durationS,
  checkpoints,
}: Pick<TestFlight, 'startCharge' | 'endCharge' | 'durationS' | 'checkpoints'>): Reading[] {
  const between = (checkpoints ?? []).flatMap(({ timeS, charge, kind }) => {
    const read = kind === 'empty' ? 0 : charge;
    return read == null || timeS <= 0 || timeS >= durationS ? [] : [{ timeS, charge: read }];
  });
  return [{ timeS: 0, charge: startCharge }, ...between, { timeS: durationS, charge: endCharge }];
}

const defaultCircleRadiusM = { circle: 15, 'figure-of-eight': 10 } as const;

export function patternMix(
  test: Pick<TestFlight, 'pattern' | 'mode' | 'airspeedMps' | 'reversalsPerMin' | 'handling'>,
): StyleShare[] {
  const { pattern, airspeedMps, reversalsPerMin, handling } = test;
  if (pattern === 'low-hover' || pattern === 'high-hover') return [{ style: 'hover', share: 1 }];
  const style = test.mode ?? 'normal';
  const flown = { style, share: 1, airspeedMps, ...(style === 'manual' && { handling }) };
  if (pattern === 'circle' || pattern === 'figure-of-eight') {
    return [
      { ...flown, circleRadiusM: defaultCircleRadiusM[pattern], reversalsPerMin: reversalsPerMin ?? 0 },
    ];
  }
  return [{ ...flown, reversalsPerMin }];
}

/** The estimate to hold a test against: the same flight, flown on until the motors stop. The id says which battery of a belief it was. */
export function requestForTest(
  test: TestFlight,
  aircraft: Aircraft,
  battery: Omit<Battery, 'startCharge' | 'startTemperatureC'>,
  conditions: Conditions,
  batteryId: string | null = null,
): EstimateRequest {
  return {
    ...(batteryId !== null && { batteryId }),
    aircraft: test.addedMassKg == null ? aircraft : { ...aircraft, addedMassKg: test.addedMassKg },
    battery: {
      ...battery,
      startCharge: test.startCharge,
      daysSinceCharge: null,
      startTemperatureC: test.startTemperatureC ?? conditions.airTemperatureC,
    },
    conditions,
    flight: {
      heightM: test.heightM,
      farthestM: 0,
      bearingDeg: 0,
      recordingLoadW: test.recordingLoadW ?? null,
      mix: patternMix(test),
    },
    policy: { kind: 'empty' },
  };
}
