/** @jest-environment jsdom */

import {
  frozenEstimate,
  listedTest,
  type TestFlightRecord,
  testQuestions,
  timeAtCharge,
} from '@acorn-tally/core';
import { cleanup, renderHook } from '@testing-library/react';
import { boxDrawn } from '../../../core/fixtures/beliefs';
import { jay, jay1, jayRequest } from '../../../core/fixtures/records';
import { howFlown } from '../parts/testWords';
import { useRecords } from '../records/records';
import { medianMiss, useTests } from './useTests';
import { missInWords } from './words';

const estimate = frozenEstimate(jayRequest, boxDrawn(16));
const lastsS = estimate.answer?.curve.at(-1)?.timeS ?? 0;
const flown = (id: string, flownAt: string, change: Partial<TestFlightRecord> = {}): TestFlightRecord => ({
  id,
  createdAt: flownAt,
  updatedAt: flownAt,
  version: 1,
  aircraftId: jay.id,
  batteryId: jay1.id,
  flownAt,
  test: { pattern: 'low-hover', heightM: 2, startCharge: 0.9, endCharge: 0.25, durationS: 900 },
  weather: jayRequest.conditions,
  note: null,
  estimate,
  ...change,
});
const listed = (...testFlights: TestFlightRecord[]) => {
  cleanup();
  useRecords.setState({
    testFlights: testFlights.map((record) => listedTest(record, Date.now())),
    batteries: [jay1],
  });
  return renderHook(() => useTests()).result.current;
};

test('the newest comes first by its instant, whatever offset it is written with (compared as text until 25 Nov 2026)', () => {
  const rows = listed(
    flown('noon in London', '2026-11-20T12:00:00Z'),
    flown('evening in Sydney', '2026-11-20T22:30:00+11:00'),
    flown('morning in Honolulu', '2026-11-20T04:00:00-10:00'),
  );
  expect(rows.map(({ record }) => record.id)).toEqual([
    'morning in Honolulu',
    'noon in London',
    'evening in Sydney',
  ]);
});

test('what is odd is not counted until it is answered, each question by itself; what is left out is not asked', () => {
  const odd = {
    pattern: 'low-hover',
    heightM: 2,
    startCharge: 0.9,
    endCharge: 0.6,
    durationS: 6000,
  } as const;
  const day = '2126-11-20T12:00:00Z';
  const [asked] = listed(flown('odd', day, { test: odd }));
  expect(asked?.questions.map(({ code }) => code)).toEqual(['dated-later', 'longer-than-box']);
  expect(asked?.counts).toBe(false);
  const [half] = listed(flown('odd', day, { test: odd, confirmed: ['dated-later'] }));
  expect(half?.questions.map(({ code }) => code)).toEqual(['longer-than-box']);
  expect(half?.counts).toBe(false);
  const [answered] = listed(flown('odd', day, { test: odd, confirmed: ['longer-than-box', 'dated-later'] }));
  expect(answered?.counts).toBe(true);
  const [leftOut] = listed(flown('odd', day, { test: odd, excludedReason: 'pack swapped' }));
  expect(leftOut).toMatchObject({ counts: false, questions: [] });
  // The questions are those of the kit it was flown with, not of the one there is today.
  expect(
    testQuestions(
      {
        ...flown('odd', day, { test: odd }),
        aircraft: { ...jay.spec, advertisedFlightTimeS: 40_000 },
        battery: jay1.pack,
      },
      Date.parse(day),
    ),
  ).not.toContainEqual(expect.objectContaining({ code: 'longer-than-box' }));
});

test('the typical miss is the median of those that count (by hand: of 2, 5 and 50 % it is 5)', () => {
  const of = (missFraction: number | null, counts: boolean) =>
    ({ counts, comparison: { missFraction, estimatedS: 1, boxFraction: 1 } }) as unknown as ReturnType<
      typeof useTests
    >[number];
  expect(medianMiss([of(0.02, true), of(-0.05, true), of(0.5, true)])).toBeCloseTo(0.05, 12);
  expect(medianMiss([of(0.02, true), of(-0.9, false), of(null, true)])).toBeCloseTo(0.02, 12);
  expect(medianMiss([of(0.3, false)])).toBeNull();
});

test('a flight as long as its estimate is off by nothing, one a tenth longer was estimated too short', () => {
  const dueS = timeAtCharge(estimate.answer?.curve ?? [], 0.25) ?? 0;
  expect(dueS).toBeGreaterThan(0);
  expect(dueS).toBeLessThan(lastsS);
  const of = (ratio: number) =>
    listed(
      flown('one', '2026-11-20T12:00:00Z', {
        test: {
          ...flown('', '').test,
          startCharge: estimate.answer?.takeoffCharge ?? 0.9,
          durationS: dueS * ratio,
        },
      }),
    )[0]?.comparison.missFraction;
  expect(Math.abs(of(1) ?? 1)).toBeLessThan(0.02);
  // Estimated over flown, less one: 1/1.1 − 1 = −9.1 %, an estimate that is too short.
  expect(of(1.1)).toBeCloseTo(1 / 1.1 - 1, 2);
});

test('how it was flown, and by how much it is off, in words', () => {
  expect(howFlown(flown('', ''))).toBe('low hover');
  const circle = { ...flown('', '').test, pattern: 'circle', mode: 'fast' } as const;
  expect(howFlown({ test: circle })).toBe('fast, circle round a subject');
  expect(howFlown({ test: { ...circle, mode: null } })).toBe('normal, circle round a subject');
  // Which way it missed is said: an estimate above what was flown was too high.
  expect([0.126, -0.03, 0.004, -0.004].map(missInWords)).toEqual([
    '13 % too high',
    '3 % too low',
    'right',
    'right',
  ]);
});
