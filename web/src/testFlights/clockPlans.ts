import {
  type AircraftRecord,
  type BatteryRecord,
  type ChargerRecord,
  type ChargingWay,
  type Checkpoint,
  type Conditions,
  chargeMarksProblem,
  chargingTimeS,
  emptyToFullOf,
  type Handling,
  type LeftTo,
  labelEnergyWh,
  type Mode,
  type SignKind,
  spec,
  type TestFlight,
  type TestPattern,
  type TimedChargeContent,
  testFlightFault,
  testFlightRanges,
} from '@acorn-tally/core';
import type { FlightClock, TimedCharge, TimedFlight } from '../flightClock/clocks';
import type { Running } from '../flightClock/events';
import type { Expected } from '../flightClock/expected';

/** The patterns as a pilot picks them: how it is flown, and in which mode. */
export const flownAs = {
  'low-hover': { name: 'low hover', pattern: 'low-hover', mode: null, heightM: 2 },
  'high-hover': { name: 'high hover', pattern: 'high-hover', mode: null, heightM: 60 },
  'slow-there-and-back': {
    name: 'slow, there and back',
    pattern: 'there-and-back',
    mode: 'slow',
    heightM: 30,
  },
  circle: { name: 'circle round a subject', pattern: 'circle', mode: 'slow', heightM: 15 },
  'figure-of-eight': { name: 'figure of eight', pattern: 'figure-of-eight', mode: 'normal', heightM: 15 },
  normal: { name: 'normal, there and back', pattern: 'there-and-back', mode: 'normal', heightM: 30 },
  fast: { name: 'fast, there and back', pattern: 'there-and-back', mode: 'fast', heightM: 30 },
  manual: { name: 'manual, free flying', pattern: 'free-flying', mode: 'manual', heightM: 30 },
  free: { name: 'free flying', pattern: 'free-flying', mode: 'normal', heightM: 30 },
} as const satisfies Record<
  string,
  { name: string; pattern: TestPattern; mode: Mode | null; heightM: number }
>;
export type FlownAs = keyof typeof flownAs;

/** Where a test ends: at a charge, or where the aircraft lands itself. */
export const stops = ['30', '25', '20', 'forced-landing'] as const;
export type Stop = (typeof stops)[number];

/** What is typed before a flight is timed; null is not typed. */
export interface FlightSetUp {
  readonly as: FlownAs;
  readonly stop: Stop;
  readonly heightM: number | null;
  readonly airspeedMps: number | null;
  readonly reversalsPerMin: number | null;
  readonly handling: Handling | null;
  readonly startCharge: number | null;
  readonly startTemperatureC: number | null;
  readonly windMps: number | null;
  readonly gustMps: number | null;
  readonly recording: string;
  readonly recordingLoadW: number | null;
  readonly attached: string;
  readonly addedMassKg: number | null;
  readonly freshRotors: boolean;
}

export const emptySetUp: FlightSetUp = {
  as: 'low-hover',
  stop: '20',
  heightM: flownAs['low-hover'].heightM,
  airspeedMps: null,
  reversalsPerMin: null,
  handling: null,
  startCharge: null,
  startTemperatureC: null,
  windMps: null,
  gustMps: null,
  recording: '',
  recordingLoadW: null,
  attached: '',
  addedMassKg: null,
  freshRotors: false,
};

export function stopChargeOf({ stop }: Pick<FlightSetUp, 'stop'>, aircraft: AircraftRecord): number {
  return stop === 'forced-landing' ? spec(aircraft.spec, 'forcedLandingCharge') : Number(stop) / 100;
}

/** The conditions with the wind the pilot has in his hand, 2 m above the ground, where he read it. */
export function windAtHand(weather: Conditions, { windMps, gustMps }: FlightSetUp): Conditions {
  if (windMps === null) return weather;
  return { ...weather, wind: { ...weather.wind, speedMps: windMps, gustMps, readingHeightM: 2 } };
}

/** The test that is to be flown, down to its stop. */
export function testToFly(setUp: FlightSetUp, stopCharge: number): TestFlight {
  const { pattern, mode } = flownAs[setUp.as];
  return {
    pattern,
    mode,
    ...(mode !== null && {
      airspeedMps: setUp.airspeedMps,
      reversalsPerMin: setUp.reversalsPerMin,
      handling: setUp.handling,
    }),
    heightM: setUp.heightM ?? flownAs[setUp.as].heightM,
    startCharge: setUp.startCharge ?? 1,
    endCharge: stopCharge,
    durationS: testFlightRanges.durationS.min,
    startTemperatureC: setUp.startTemperatureC,
    recording: setUp.recording.trim() || null,
    recordingLoadW: setUp.recordingLoadW,
    attached: setUp.attached.trim() || null,
    addedMassKg: setUp.addedMassKg,
    freshRotors: setUp.freshRotors,
  };
}

export function flightPlanOf(
  setUp: FlightSetUp,
  aircraft: AircraftRecord,
  battery: BatteryRecord,
  weather: Conditions,
  expected: Expected | null,
): TimedFlight {
  const stopCharge = stopChargeOf(setUp, aircraft);
  const test = testToFly(setUp, stopCharge);
  return {
    kind: 'flight',
    label: battery.label,
    what: flownAs[setUp.as].name,
    batteryId: battery.id,
    cellCount: battery.pack.cellCount,
    aircraftId: aircraft.id,
    startCharge: test.startCharge,
    stopCharge,
    expected,
    toForcedLanding: setUp.stop === 'forced-landing',
    weather,
    test,
  };
}

export interface ChargeSetUp {
  readonly chargerId: string;
  readonly way: ChargingWay;
  readonly startCharge: number | null;
  readonly stopCharge: number | null;
}

/** As the label of the charger says it: constant current, then taper. */
export function chargePlanOf(
  setUp: ChargeSetUp,
  charger: ChargerRecord,
  battery: BatteryRecord,
): TimedCharge {
  const [startCharge, stopCharge] = [setUp.startCharge ?? 0, setUp.stopCharge ?? 1];
  const points = Array.from({ length: 21 }, (_, i) => startCharge + ((stopCharge - startCharge) * i) / 20);
  const curve = points.map((charge) => ({
    timeS: chargingTimeS(startCharge, charge, emptyToFullOf(charger.charger, labelEnergyWh(battery.pack))),
    charge,
  }));
  return {
    kind: 'charge',
    label: battery.label,
    what: charger.name,
    batteryId: battery.id,
    cellCount: battery.pack.cellCount,
    startCharge,
    stopCharge,
    expected: { curve, band: [] },
    chargerId: charger.id,
    way: setUp.way,
  };
}

export const endings = ['landed', 'forced-landing', 'motors-out'] as const;
export type Ending = (typeof endings)[number];

/** What is told when it is down. */
export interface FlightEnd {
  readonly endCharge: number | null;
  readonly endTemperatureC: number | null;
  readonly ending: Ending;
  readonly lowestCellVoltageV: number | null;
  readonly cellSpreadV: number | null;
  /** To what the minutes counted that were read as left. */
  readonly leftTo: LeftTo;
}

/** A gauge read within so long of the end is the end's. */
const lastReadingHoldsS = 20;

/** The charge at the end as far as it is known: typed with the last key, or read just before. */
export function endChargeOf({ endCharge, endedS, marks }: Running): number | null {
  const last = [...marks].reverse().find(({ charge }) => charge !== null);
  if (endCharge !== null || !last || endedS === null) return endCharge;
  return endedS - last.timeS <= lastReadingHoldsS ? last.charge : null;
}

/** The test that was flown, or what is still wrong with it in words. */
export function testFlown(
  plan: TimedFlight,
  { marks, endedS }: Running,
  { endCharge, endTemperatureC, ending, lowestCellVoltageV, cellSpreadV, leftTo }: FlightEnd,
): TestFlight | string {
  if (endedS === null || endCharge === null) return 'The charge at the end is missing.';
  const { min, max } = testFlightRanges.durationS;
  if (endedS < min) return `A test lasts at least ${min} s.`;
  if (endedS > max)
    return 'It ran for over two hours: was the clock forgotten? Undo the end, or throw it away.';
  const sign: Checkpoint[] = ending === 'landed' ? [] : [{ timeS: endedS, kind: ending satisfies SignKind }];
  const known = marks.some(({ kind }) => kind === ending);
  const cells: Checkpoint[] =
    lowestCellVoltageV === null ? [] : [{ timeS: endedS, lowestCellVoltageV, cellSpreadV }];
  const test = {
    ...plan.test,
    endCharge,
    endTemperatureC,
    durationS: endedS,
    checkpoints: [...marks.filter(({ timeS }) => timeS <= endedS), ...(known ? [] : sign), ...cells],
    leftTo: marks.some(({ leftS }) => leftS !== null) ? leftTo : null,
  };
  return testFlightFault(test)?.message ?? test;
}

/** The charge that was timed, or what is wrong with it in words. */
export function chargeTimed(
  { plan, events }: FlightClock & { readonly plan: TimedCharge },
  { marks, endedS, beganMs }: Running,
  endCharge: number | null,
): TimedChargeContent | string {
  const began = events.find(({ what }) => what === 'began');
  const read = marks.flatMap(({ timeS, charge }) => (charge === null ? [] : [{ timeS, charge }]));
  const end = endedS === null || endCharge === null ? [] : [{ timeS: endedS, charge: endCharge }];
  const all = [{ timeS: 0, charge: plan.startCharge }, ...read, ...end];
  const problem = chargeMarksProblem(all);
  if (problem) return problem;
  return {
    chargerId: plan.chargerId,
    batteryId: plan.batteryId,
    way: plan.way,
    startedAt: new Date(began?.atMs ?? beganMs ?? 0).toISOString(),
    marks: all,
  };
}
