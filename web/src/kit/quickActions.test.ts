import type { Battery } from '@acorn-tally/core';
import { jay1 } from '../../../core/fixtures/records';
import { storageInWords, whenInWords } from '../parts/kitWords';
import { likeliest } from '../state/belief';
import { clockOf } from '../state/clock';
import { quickActions } from './quickActions';

const at = '2026-11-26T08:40:00Z';
const clock = clockOf('Europe/London');
const usual = likeliest(jay1.aircraftId);

test('times are told as seen from the hour', () => {
  expect(
    ['2026-11-26T07:05:00Z', '2026-11-25T23:59:00Z', '2026-11-27T06:00:00Z', '2026-11-23T18:00:00Z'].map(
      (time) => whenInWords(time, at, clock),
    ),
  ).toEqual(['that day 07:05', 'the day before 23:59', 'the day after 06:00', 'Mon 23 Nov, 18:00']);
});

test('a smart pack full on Thursday morning is at storage five days later, and a plain pack never (common practice)', () => {
  const pack: Battery = { ...jay1.pack, startCharge: 1, daysSinceCharge: 0 };
  expect(storageInWords(pack, usual, at, clock)).toBe('storage level by Tuesday');
  expect(storageInWords({ ...pack, daysToStorage: 10 }, usual, at, clock)).toBe('storage level by 6 Dec');
  expect(storageInWords({ ...pack, daysToStorage: 0 }, usual, at, clock)).toBeNull();
  expect(storageInWords({ ...pack, startCharge: 0.6 }, usual, at, clock)).toBeNull();
});

test('quick actions set the charge and its hour; a flight adds a cycle, and days typed before no longer hold', () => {
  const stood = {
    ...jay1,
    pack: { ...jay1.pack, cycles: 12, daysSinceCharge: 4 },
    keeping: { notes: 'dent' },
  };
  expect(quickActions.charged.change(stood, at)).toEqual({
    pack: { ...stood.pack, startCharge: 0.99, daysSinceCharge: null },
    keeping: { notes: 'dent', chargedAt: at },
  });
  expect(quickActions.stored.change(stood, at).pack.startCharge).toBe(0.6);
  expect(quickActions.flown.change(stood, at).pack).toMatchObject({ cycles: 13, startCharge: 0.25 });
});
