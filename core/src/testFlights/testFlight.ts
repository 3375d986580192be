import type { Conditions } from '../air/conditions';
import type { Aircraft, Mode } from '../aircraft/aircraft';
import type { Battery } from '../battery/battery';
import type { EstimateRequest } from '../estimate/request';
import type { StyleShare } from '../flight/styles';
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

/** What a pilot notes of a test: gauge fractions 0–1, seconds in the air, how it was flown and where. */
export interface TestFlight {
  readonly pattern: TestPattern;
  /** The mode it was flown in; a hover has none. */
  readonly mode?: Mode | null;
  readonly airspeedMps?: number | null;
  readonly heightM: number;
  readonly startCharge: number;
  readonly endCharge: number;
  readonly durationS: number;
  readonly startTemperatureC?: number | null;
}

export const testFlightRanges = {
  heightM: { label: 'Height', unit: 'm', siPerUnit: 1, min: 0, max: 500, step: 1 },
  airspeedMps: { label: 'Airspeed', unit: 'm/s', siPerUnit: 1, min: 0, max: 60, step: 0.5 },
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
} as const satisfies Record<string, Quantity>;

/** The end must lie below the start; null when it does. */
export function testFlightProblem(test: Pick<TestFlight, 'startCharge' | 'endCharge'>): string | null {
  if (test.endCharge < test.startCharge) return null;
  return `Charge at the end must be below the ${Math.round(test.startCharge * 100)} % at lift-off.`;
}

const usualCircleRadiusM = { circle: 15, 'figure-of-eight': 10 } as const;

export function patternMix(test: Pick<TestFlight, 'pattern' | 'mode' | 'airspeedMps'>): StyleShare[] {
  const { pattern, airspeedMps } = test;
  if (pattern === 'low-hover' || pattern === 'high-hover') return [{ style: 'hover', share: 1 }];
  const flown = { style: test.mode ?? 'normal', share: 1, airspeedMps: airspeedMps ?? null };
  if (pattern === 'circle' || pattern === 'figure-of-eight') {
    return [{ ...flown, circleRadiusM: usualCircleRadiusM[pattern], reversalsPerMin: 0 }];
  }
  return [flown];
}

/** The estimate to hold a test against: the same flight, flown on until the motors stop. */
export function requestForTest(
  test: TestFlight,
  aircraft: Aircraft,
  battery: Omit<Battery, 'startCharge' | 'startTemperatureC'>,
  conditions: Conditions,
): EstimateRequest {
  return {
    aircraft,
    battery: {
      ...battery,
      startCharge: test.startCharge,
      daysSinceCharge: null,
      startTemperatureC: test.startTemperatureC ?? conditions.airTemperatureC,
    },
    conditions,
    flight: { heightM: test.heightM, farthestM: 0, bearingDeg: 0, mix: patternMix(test) },
    policy: { kind: 'empty' },
  };
}
