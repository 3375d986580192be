import {
  type BatteryRecord,
  type Conditions,
  type ListedTest,
  type LoggedFlight,
  type LogSource,
  type Mode,
  type TestFlight,
  type TestFlightContent,
  type TestPattern,
  testFlightFault,
  testFlightRanges,
  violation,
} from '@acorn-tally/core';

export type ReadFlight = Omit<LoggedFlight, 'samples'>;

/** How a flight that was read is to be kept: what the file does not say. */
export interface Keeping {
  readonly wanted: boolean;
  readonly batteryId: string;
  readonly pattern: TestPattern;
  readonly mode: Mode;
}

/** What is known of a flight before anybody says more; one that was kept before is not wanted again. */
export function keepingOf(flight: ReadFlight, battery: BatteryRecord, isKept: boolean): Keeping {
  return { wanted: !isKept, batteryId: battery.id, pattern: flight.pattern ?? 'free-flying', mode: 'normal' };
}

/** The test that was kept from the same flight of the same file. */
export function keptBefore(source: LogSource, tests: readonly ListedTest[]): ListedTest | null {
  const isSame = ({ source: own }: ListedTest) =>
    own?.hash === source.hash && own.flightNumber === source.flightNumber;
  return tests.find(isSame) ?? null;
}

const within = (value: number | null, quantity: Parameters<typeof violation>[0]) =>
  value !== null && violation(quantity, value) === null ? value : null;

/** The test a flight makes, or what is wrong with it in words. */
export function testRead(flight: ReadFlight, { pattern, mode }: Keeping): TestFlight | string {
  const { startCharge, endCharge, durationS, checkpoints } = flight;
  const isHover = pattern === 'low-hover' || pattern === 'high-hover';
  const test: TestFlight = {
    pattern,
    mode: isHover ? null : mode,
    airspeedMps: null,
    heightM: within(flight.heightM, testFlightRanges.heightM) ?? (pattern === 'low-hover' ? 2 : 30),
    startCharge,
    endCharge,
    durationS,
    startTemperatureC: within(flight.startTemperatureC, testFlightRanges.startTemperatureC),
    endTemperatureC: within(flight.endTemperatureC, testFlightRanges.endTemperatureC),
    checkpoints,
  };
  const wrong =
    violation(testFlightRanges.durationS, durationS) ?? violation(testFlightRanges.startCharge, startCharge);
  return wrong ?? testFlightFault(test)?.message ?? test;
}

export function contentRead(
  test: TestFlight,
  battery: BatteryRecord,
  flownAt: string,
  weather: Conditions,
  source: LogSource,
): TestFlightContent {
  return {
    aircraftId: battery.aircraftId,
    batteryId: battery.id,
    flownAt,
    purpose: 'test',
    test,
    weather,
    note: null,
    source,
  };
}
