import {
  type BatteryRecord,
  type Checkpoint,
  compareInstants,
  type DayAtPlace,
  defaultLeftTo,
  type Handling,
  type LeftTo,
  type ListedTest,
  type Mode,
  minutesAndSeconds,
  packAtTheHour,
  type Quantity,
  type TestFlight,
  type TestPattern,
  testFlightProblem,
} from '@acorn-tally/core';
import { isHover } from '../parts/testWords';
import { clockAt } from '../state/clock';

/** The numbers of a test while they are being typed: null is not typed yet. */
export interface Draft {
  readonly batteryId: string;
  readonly flownAt: string;
  readonly pattern: TestPattern;
  readonly mode: Mode;
  readonly airspeedMps: number | null;
  readonly reversalsPerMin: number | null;
  readonly handling: Handling | null;
  readonly heightM: number | null;
  readonly recording: string;
  readonly recordingLoadW: number | null;
  readonly attached: string;
  readonly addedMassKg: number | null;
  readonly startCharge: number | null;
  readonly startTemperatureC: number | null;
  readonly durationS: number | null;
  readonly endCharge: number | null;
  /** What it showed as left at lift-off. */
  readonly leftS: number | null;
  readonly leftTo: LeftTo;
  readonly lowestCellVoltageV: number | null;
  readonly cellSpreadV: number | null;
  readonly note: string;
}

/** A number that has to be there. */
export function needed({ label }: Quantity) {
  return (value: number | null) => (value === null ? `${label} is empty.` : null);
}

/** What was read in the flight lies within it. */
export function afterReadings(durationS: number | null, checkpoints: readonly Checkpoint[]): string | null {
  const last = checkpoints[checkpoints.length - 1];
  if (durationS === null || !last || last.timeS <= durationS) return null;
  return `Its last reading was noted at ${minutesAndSeconds(last.timeS)}: it lasted as long, or that reading is wrong.`;
}

/** What is wrong with a charge at the end, seen from the one at the start; null where either is not known yet. */
export function againstStart(startCharge: number | null, endCharge: number | null): string | null {
  return startCharge === null || endCharge === null ? null : testFlightProblem({ startCharge, endCharge });
}

export function emptyDraft(battery: BatteryRecord, conditions: DayAtPlace): Draft {
  return {
    batteryId: battery.id,
    flownAt: flownBy(conditions),
    pattern: 'low-hover',
    mode: 'normal',
    airspeedMps: null,
    reversalsPerMin: null,
    handling: null,
    heightM: 2,
    recording: '',
    recordingLoadW: null,
    attached: '',
    addedMassKg: null,
    startCharge: null,
    startTemperatureC: packAtTheHour(battery, conditions).startTemperatureC ?? null,
    durationS: null,
    endCharge: null,
    leftS: null,
    leftTo: defaultLeftTo,
    lowestCellVoltageV: null,
    cellSpreadV: null,
    note: '',
  };
}

/** At the ribbon's hour, or now where that is still to come: a test is written down after it was flown. */
function flownBy(conditions: DayAtPlace): string {
  const clock = clockAt(conditions);
  const now = new Date().toISOString();
  return compareInstants(conditions.at, now) <= 0 ? conditions.at : (clock.read(clock.field(now)) ?? now);
}

export function draftOf({ batteryId, flownAt, note, test }: ListedTest): Draft {
  return {
    batteryId,
    flownAt,
    pattern: test.pattern,
    mode: test.mode ?? 'normal',
    airspeedMps: test.airspeedMps ?? null,
    reversalsPerMin: test.reversalsPerMin ?? null,
    handling: test.handling ?? null,
    heightM: test.heightM,
    recording: test.recording ?? '',
    recordingLoadW: test.recordingLoadW ?? null,
    attached: test.attached ?? '',
    addedMassKg: test.addedMassKg ?? null,
    startCharge: test.startCharge,
    startTemperatureC: test.startTemperatureC ?? null,
    durationS: test.durationS,
    endCharge: test.endCharge,
    leftS: atLiftOff(test)?.leftS ?? null,
    leftTo: test.leftTo ?? defaultLeftTo,
    lowestCellVoltageV: atEnd(test)?.lowestCellVoltageV ?? null,
    cellSpreadV: atEnd(test)?.cellSpreadV ?? null,
    note: note ?? '',
  };
}

/** Where a typed test keeps what it showed as left, and its cells: a reading of its own at lift-off, and one at the end. */
function atLiftOff({ checkpoints }: Pick<TestFlight, 'checkpoints'>): Checkpoint | undefined {
  return checkpoints?.find(({ timeS, leftS }) => timeS === 0 && leftS != null);
}
function atEnd({ checkpoints }: Pick<TestFlight, 'checkpoints'>): Checkpoint | undefined {
  return checkpoints?.findLast(
    ({ lowestCellVoltageV, charge }) => lowestCellVoltageV != null && charge == null,
  );
}

/** What was noted in the air, without those two. */
export function notedInFlight(test: Pick<TestFlight, 'checkpoints'> | undefined): readonly Checkpoint[] {
  const typed = test ? [atLiftOff(test), atEnd(test)] : [];
  return (test?.checkpoints ?? []).filter((one) => !typed.includes(one));
}

/** The readings of a test with those two as they are typed now; null where there are none. */
function readingsWith(draft: Draft, durationS: number, before: TestFlight | undefined): Checkpoint[] | null {
  const { leftS, lowestCellVoltageV, cellSpreadV } = draft;
  const readings = [
    ...(leftS == null ? [] : [{ timeS: 0, leftS }]),
    ...notedInFlight(before),
    ...(lowestCellVoltageV == null ? [] : [{ timeS: durationS, lowestCellVoltageV, cellSpreadV }]),
  ];
  return readings.length > 0 ? readings : null;
}

/** The test, when everything needed is there, with what else was noted of the one that is changed. */
export function testOf(draft: Draft, before: TestFlight | undefined): TestFlight | null {
  const { pattern, heightM, startCharge, endCharge, durationS, startTemperatureC } = draft;
  if (heightM === null || startCharge === null || endCharge === null || durationS === null) return null;
  const { mode, airspeedMps, reversalsPerMin, handling } = draft;
  const flown = isHover(pattern) ? {} : { mode, airspeedMps, reversalsPerMin, handling };
  return {
    ...before,
    pattern,
    mode: null,
    airspeedMps: null,
    reversalsPerMin: null,
    handling: null,
    ...flown,
    heightM,
    recording: draft.recording?.trim() || null,
    recordingLoadW: draft.recordingLoadW ?? null,
    attached: draft.attached?.trim() || null,
    addedMassKg: draft.addedMassKg ?? null,
    startCharge,
    endCharge,
    durationS,
    startTemperatureC,
    checkpoints: readingsWith(draft, durationS, before),
    leftTo: draft.leftS == null ? (before?.leftTo ?? null) : draft.leftTo,
  };
}
