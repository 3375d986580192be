import type { Difference } from '@acorn-tally/core';
import { recordingLearnt, verdict } from './Comparison';
import { everyTest, listed } from './filter';
import { packLines } from './Groups';
import type { TestRow } from './useTests';
import { atTenths } from './WhatWasRead';

const row = (change: {
  id?: string;
  batteryId?: string;
  flownAt?: string;
  miss?: number | null;
  counts?: boolean;
  purpose?: 'work';
  recording?: string;
  endCharge?: number;
}): TestRow =>
  ({
    record: {
      id: change.id ?? 'one',
      aircraftId: 'jay',
      batteryId: change.batteryId ?? 'jay-1',
      flownAt: change.flownAt ?? '2026-11-01T10:00:00Z',
      purpose: change.purpose ?? null,
      test: {
        pattern: 'low-hover',
        durationS: 900,
        endCharge: change.endCharge ?? 0.2,
        recording: change.recording ?? null,
      },
    },
    battery: { label: change.batteryId ?? 'jay-1' },
    comparison: { missFraction: change.miss ?? null },
    counts: change.counts ?? true,
  }) as unknown as TestRow;

test('the list keeps what is asked for, the worst estimated first whichever way it missed; work by itself', () => {
  const rows = [
    row({ id: 'a', miss: 0.02 }),
    row({ id: 'b', miss: -0.2 }),
    row({ id: 'c', miss: 0.1, counts: false }),
    row({ id: 'd', purpose: 'work', miss: 0 }),
  ];
  const ids = (change: Partial<typeof everyTest>) =>
    listed(rows, { ...everyTest, ...change }).map(({ record }) => record.id);
  expect(ids({ order: 'worst estimated' })).toEqual(['b', 'c', 'a', 'd']);
  expect(ids({ which: 'left out' })).toEqual(['c']);
  expect(ids({ which: 'work' })).toEqual(['d']);
  expect(ids({ batteryId: 'jay-2' })).toEqual([]);
});

test('a pack that gives 1 % less each month is told so from three tests on; low landings are counted, left-out tests too', () => {
  const month = (count: number) =>
    new Date(Date.parse('2026-06-01T10:00:00Z') + count * 30 * 86_400_000).toISOString();
  // Flown over estimated of 1, 0.99, 0.98.
  const own = [0, 1, 2].map((count) => row({ flownAt: month(count), miss: 1 / (1 - count / 100) - 1 }));
  const [line] = packLines([...own, row({ counts: false, endCharge: 0.1 })]);
  expect(line?.aMonth).toBeCloseTo(-0.01, 9);
  expect(line?.against).toBeCloseTo(-0.01, 9);
  expect(line).toMatchObject({ tests: 4, low: 1 });
  expect(packLines(own.slice(0, 2))[0]?.aMonth).toBeNull();
});

test('of a logged gauge the tenths are told, and each sign; of a few readings all are', () => {
  const steps = Array.from({ length: 78 }, (_, i) => ({ timeS: 10 * (i + 1), charge: 0.975 - i / 100 }));
  const test = {
    pattern: 'low-hover',
    heightM: 2,
    startCharge: 0.98,
    endCharge: 0.2,
    durationS: 800,
  } as const;
  const signs = [
    ...steps.slice(0, 40),
    { timeS: 405, charge: 0.58, kind: 'low-warning' as const },
    ...steps.slice(40),
  ];
  const kept = atTenths({ ...test, checkpoints: signs }).checkpoints ?? [];
  const shown = kept.map(({ charge, kind }) => [Number(charge?.toFixed(3)), kind ?? null]);
  expect(shown).toEqual([
    [0.895, null],
    [0.795, null],
    [0.695, null],
    [0.595, null],
    [0.58, 'low-warning'],
    [0.495, null],
    [0.395, null],
    [0.295, null],
  ]);
  const few = { ...test, checkpoints: steps.slice(0, 24) };
  expect(atTenths(few)).toBe(few);
});

test('what is left is a difference only beyond the scatter, and is laid to what differed', () => {
  const difference = { restS: -80, scatterS: 30, extraPowerW: 1.53 } as Difference;
  const [off, high] = [row({}), row({ recording: 'high' })];
  expect(verdict(difference, off, high)).toBe(
    '−1:20 is left for recording high instead of off, as if it took 1.5 W more: beyond the 0:30 by which two like flights differ in 8 cases of 10.',
  );
  expect(verdict({ ...difference, restS: -29 }, off, high)).toContain('no difference shown');
  expect(verdict(difference, off, off)).toContain('nobody noted');
});

test('what a setting draws is learnt from the flight that took more, on top of what the other is known to draw', () => {
  const difference = { restS: -80, scatterS: 30, extraPowerW: 1.53 };
  const [off, high, raw] = [row({}), row({ recording: 'high' }), row({ recording: 'raw' })];
  expect(recordingLearnt(difference, off, high, [])).toEqual({ name: 'high', loadW: 1.5 });
  expect(recordingLearnt({ ...difference, extraPowerW: -1.53 }, high, off, [])).toEqual({
    name: 'high',
    loadW: 1.5,
  });
  expect(recordingLearnt(difference, high, raw, [{ name: 'high', loadW: 1.5 }])).toEqual({
    name: 'raw',
    loadW: 3,
  });
  expect(recordingLearnt(difference, high, raw, [])).toBeNull();
  expect(recordingLearnt({ ...difference, restS: -29 }, off, high, [])).toBeNull();
});
