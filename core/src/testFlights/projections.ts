import type { Conditions } from '../air/conditions';
import type { Aircraft } from '../aircraft/aircraft';
import type { Battery } from '../battery/battery';
import type { NominalBelief } from '../estimate/estimate';
import type { EstimateRequest } from '../estimate/request';
import { lineThrough } from '../statistics/line';
import { fitDrain, flownAt } from './drainFit';
import { straightLine } from './straightLine';
import { type Reading, readingsOf, requestForTest, type TestFlight } from './testFlight';

export const projectionKinds = ['straight-line', 'forgotten-start', 'last-third', 'drain-curve'] as const;
export type ProjectionKind = (typeof projectionKinds)[number];

/** A whole charge, from 100 to 0 % of the gauge, as one school projects it from a test. */
export interface Projection {
  readonly kind: ProjectionKind;
  readonly toZeroS: number;
  readonly ofBoxFraction: number;
  /**
   * Projected over what it is held against, minus one: over the time at which 0 % was read where the test went so far, else
   * over the drain curve, which then has none itself.
   */
  readonly missFraction: number | null;
}

/** A test with what flew it, and where. */
export interface ProjectionRequest {
  readonly test: TestFlight;
  readonly aircraft: Aircraft;
  readonly battery: Omit<Battery, 'startCharge' | 'startTemperatureC'>;
  /** Which battery of the belief it is. */
  readonly batteryId?: string | null;
  readonly conditions: Conditions;
}

/** How long a whole charge would have lasted, by each school. Without the drain curve where the model cannot fly such a flight. */
export function projections(
  { test, aircraft, battery, batteryId, conditions }: ProjectionRequest,
  belief: NominalBelief,
): Projection[] {
  return projectionsOf(test, requestForTest(test, aircraft, battery, conditions, batteryId ?? null), belief);
}

/** The same for a test whose request is known: as it was frozen, or as it would be asked today. */
export function projectionsOf(
  test: TestFlight,
  request: EstimateRequest,
  { middle }: NominalBelief,
): Projection[] {
  const readings = readingsOf(test);
  const line = straightLine(test);
  const lines = [
    { kind: 'straight-line', toZeroS: line.fullGaugeS },
    { kind: 'forgotten-start', toZeroS: line.forgottenStartS },
    { kind: 'last-third', toZeroS: lastThirdS(readings) },
  ] as const;
  const fit = fitDrain(request, readings, middle);
  const full = { ...request, battery: { ...request.battery, startCharge: 1 } };
  const whole = fit.ok ? flownAt(full, middle, fit.value.powerRatio) : fit;
  const drainS = whole.ok ? (whole.value.timesAt([0])[0] as number) : null;
  const zeroS = readings.find(({ charge }) => charge <= 0)?.timeS ?? null;
  const flownS =
    zeroS !== null && fit.ok && drainS !== null
      ? (zeroS * drainS) / (fit.value.timesAt([0])[0] as number)
      : null;
  const against = flownS ?? drainS;
  const all = [
    ...lines.map((one) => ({ ...one, against })),
    ...(drainS === null ? [] : [{ kind: 'drain-curve' as const, toZeroS: drainS, against: flownS }]),
  ];
  return all.map(({ kind, toZeroS, against: by }) => ({
    kind,
    toZeroS,
    ofBoxFraction: toZeroS / request.aircraft.advertisedFlightTimeS,
    missFraction: by === null ? null : toZeroS / by - 1,
  }));
}

/**
 * A whole charge where the rest of it goes as the last third of the flight did: least squares through the readings of that
 * third and the one before it, from the end down to 0 %; what was missing above the start goes at the flight's own mean rate.
 */
function lastThirdS(readings: readonly Reading[]): number {
  const [start, end] = [readings[0] as Reading, readings[readings.length - 1] as Reading];
  const meanRate = (start.charge - end.charge) / end.timeS;
  const first = readings.findIndex(({ timeS }) => timeS >= (end.timeS * 2) / 3);
  const isBefore = (readings[first]?.timeS ?? 0) > (end.timeS * 2) / 3;
  const late = readings.slice(isBefore ? Math.max(0, first - 1) : first);
  const line = lineThrough(late.map(({ timeS, charge }) => [timeS, charge]));
  const rate = line && line.slope < 0 ? -line.slope : meanRate;
  return end.timeS + end.charge / rate + (1 - start.charge) / meanRate;
}
