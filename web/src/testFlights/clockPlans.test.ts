import type { ListedTest } from '@acorn-tally/core';
import { jay, jay1, jayRequest } from '../../../core/fixtures/records';
import type { FlightClock, TimedCharge, TimedFlight } from '../flightClock/clocks';
import type { Running } from '../flightClock/events';
import {
  chargeTimed,
  emptySetUp,
  endChargeOf,
  flightPlanOf,
  stopChargeOf,
  testFlown,
  windAtHand,
} from './clockPlans';
import { keptBefore } from './imported';

const running = (change: Partial<Running>): Running => ({
  beganMs: 0,
  marks: [],
  held: null,
  endedS: 1200,
  endCharge: null,
  last: null,
  ...change,
});
const mark = (timeS: number, charge: number | null, kind: 'forced-landing' | null = null) => ({
  timeS,
  charge,
  cellVoltageV: null,
  leftS: null,
  kind,
});
const weather = jayRequest.conditions;
const setUp = { ...emptySetUp, startCharge: 0.98, attached: ' guards ', addedMassKg: 0.03 };
const plan: TimedFlight = flightPlanOf(setUp, jay, jay1, weather, null);
const landed = {
  endCharge: 0.2,
  endTemperatureC: null,
  ending: 'landed',
  lowestCellVoltageV: null,
  cellSpreadV: null,
  leftTo: 'landing',
} as const;

test('a gauge read within 20 s of touch-down is the end’s, an older one is asked for; what was typed with the key counts', () => {
  expect(endChargeOf(running({ marks: [mark(1185, 0.21)] }))).toBe(0.21);
  expect(endChargeOf(running({ marks: [mark(1100, 0.27)] }))).toBeNull();
  expect(endChargeOf(running({ marks: [mark(1185, 0.21)], endCharge: 0.2 }))).toBe(0.2);
});

test('a landing of its own is a sign at the end, unless it was noted when it began', () => {
  const kinds = (flown: Running) => {
    const test = testFlown(plan, flown, { ...landed, ending: 'forced-landing' });
    return typeof test === 'string' ? test : test.checkpoints?.map(({ timeS, kind }) => [timeS, kind]);
  };
  expect(kinds(running({}))).toEqual([[1200, 'forced-landing']]);
  expect(kinds(running({ marks: [mark(1170, 0.1, 'forced-landing')] }))).toEqual([[1170, 'forced-landing']]);
});

test('the weakest cell is read at the end; to what the minutes left counted is kept only where some were read', () => {
  const cells = { lowestCellVoltageV: 3.31, cellSpreadV: 0.04 };
  const shown = { ...mark(60, null), leftS: 25 * 60 };
  expect(
    testFlown(plan, running({ marks: [shown] }), { ...landed, ...cells, leftTo: 'empty' }),
  ).toMatchObject({
    checkpoints: [shown, { timeS: 1200, ...cells }],
    leftTo: 'empty',
  });
  expect(testFlown(plan, running({}), { ...landed, leftTo: 'empty' })).toMatchObject({ leftTo: null });
});

test('what cannot be kept is told in words: no end, too short, a forgotten clock', () => {
  expect(testFlown(plan, running({}), { ...landed, endCharge: null })).toContain('missing');
  expect(testFlown(plan, running({ endedS: 20 }), landed)).toBe('A test lasts at least 30 s.');
  expect(testFlown(plan, running({ endedS: 9000 }), landed)).toContain('forgotten');
  expect(testFlown(plan, running({}), landed)).toMatchObject({
    durationS: 1200,
    startCharge: 0.98,
    endCharge: 0.2,
    attached: 'guards',
    addedMassKg: 0.03,
  });
});

test('the stop is a charge, or where the aircraft lands itself; the wind at hand is read at 2 m in place of the day’s', () => {
  expect(stopChargeOf({ stop: '25' }, jay)).toBe(0.25);
  expect(
    stopChargeOf({ stop: 'forced-landing' }, { ...jay, spec: { ...jay.spec, forcedLandingCharge: 0.07 } }),
  ).toBe(0.07);
  expect(windAtHand(weather, emptySetUp)).toBe(weather);
  const { wind } = windAtHand(weather, { ...emptySetUp, windMps: 4, gustMps: 6 });
  expect(wind).toEqual({ ...weather.wind, speedMps: 4, gustMps: 6, readingHeightM: 2 });
});

test('a timed charge begins with the charge it was set up with and ends with its end', () => {
  const clock = {
    id: 'one',
    plan: {
      kind: 'charge',
      startCharge: 0.2,
      chargerId: 'hub',
      batteryId: 'jay-1',
      way: 'hub',
    } as TimedCharge,
    events: [{ what: 'began', atMs: Date.parse('2026-11-26T12:00:00Z') }],
  } satisfies FlightClock;
  expect(chargeTimed(clock, running({ marks: [mark(600, 0.4)] }), 0.6)).toMatchObject({
    startedAt: '2026-11-26T12:00:00.000Z',
    marks: [
      { timeS: 0, charge: 0.2 },
      { timeS: 600, charge: 0.4 },
      { timeS: 1200, charge: 0.6 },
    ],
  });
  expect(chargeTimed(clock, running({}), 0.1)).toContain('goes back');
});

test('a flight of a file is known by the file and its number in it', () => {
  const kept = { source: { name: 'a.csv', hash: 'x', flightNumber: 1 } } as ListedTest;
  const before = (hash: string, flightNumber: number) =>
    keptBefore({ name: 'b.csv', hash, flightNumber }, [{ source: null } as ListedTest, kept]);
  expect(before('x', 1)).toBe(kept);
  expect(before('x', 2)).toBeNull();
  expect(before('y', 1)).toBeNull();
});
