import fc from 'fast-check';
import { holds } from '../../fixtures/seeds';
import { compareInstants, isDay, isInstant } from './instant';
import { clockTime, isTimeZone, offsetMin, readClockTime, withOffset } from './timeZone';

test.each([
  ['2026-11-26T08:40:00+00:00', true],
  ['2026-11-26T08:40Z', true],
  ['2026-11-26T08:40:00.123Z', true],
  ['2026-11-26T08:40:00+05:45', true],
  // Forms of ISO 8601 that clocks do not read: stored, and then shown as "NaN %", until 25 Nov 2026.
  ['2026-W01-1', false],
  ['20261126', false],
  ['2026-330', false],
  ['2026-11-26', false],
  ['2026-11-26T08:40', false],
  ['2026-02-30T08:40Z', false],
  ['2026-11-26T24:00Z', false],
  ['2026-11-26T08:60Z', false],
  ['2026-11-26 08:40Z', false],
  ['2026-11-26T08:40:00+15:00', false],
  ['soon', false],
  [1_790_000_000, false],
  [null, false],
])('an instant that every clock reads alike (RFC 3339): %j %s', (value, expected) => {
  expect(isInstant(value)).toBe(expected);
});

test('days of the calendar: leap years by the rule of 1582', () => {
  expect(['2024-02-29', '2000-02-29', '2026-12-31'].map(isDay)).toEqual([true, true, true]);
  expect(['2026-02-29', '1900-02-29', '2026-13-01', '2026-00-10', '2026-1-1'].map(isDay)).toEqual(
    Array(5).fill(false),
  );
});

test('instants are compared as instants, whatever their offsets: 07:00 in Sydney is before 21:00 of the evening before in London', () => {
  const [sydney, london] = ['2026-11-26T07:00:00+11:00', '2026-11-25T21:00:00+00:00'];
  expect(compareInstants(sydney, london)).toBeLessThan(0);
  expect(sydney > london).toBe(true);
});

// Changes of the clocks as the law has them (IANA time zone database): 29 March and 25 October 2026 at 01:00 UTC in the
// United Kingdom; 4 October 2026 at 02:00 standard time in Sydney; none in Kathmandu, 5:45 ahead.
test.each([
  ['2026-03-29T00:59:00Z', 'Europe/London', 0],
  ['2026-03-29T01:00:00Z', 'Europe/London', 60],
  ['2026-10-25T00:59:00Z', 'Europe/London', 60],
  ['2026-10-25T01:00:00Z', 'Europe/London', 0],
  ['2026-10-03T15:59:00Z', 'Australia/Sydney', 600],
  ['2026-10-03T16:00:00Z', 'Australia/Sydney', 660],
  ['2026-06-01T00:00:00Z', 'Asia/Kathmandu', 345],
])('at %s clocks in %s are %d min ahead of UTC', (at, timeZone, minutes) => {
  expect(offsetMin(at, timeZone)).toBe(minutes);
});

test.each([
  ['2026-11-26 07:00', 'Australia/Sydney', '2026-11-25T20:00:00.000Z'],
  ['2026-11-26T07:00', 'Europe/London', '2026-11-26T07:00:00.000Z'],
  ['2026-06-21 00:30', 'Europe/Oslo', '2026-06-20T22:30:00.000Z'],
  ['2026-11-26', 'America/Denver', '2026-11-26T07:00:00.000Z'],
  // An hour that is left out is told as the clocks go on; one that comes twice is its first (RFC 5545, 3.3.5).
  ['2026-03-29 01:30', 'Europe/London', '2026-03-29T01:30:00.000Z'],
  ['2026-10-25 01:30', 'Europe/London', '2026-10-25T00:30:00.000Z'],
  ['2026-11-26T07:00+02:00', 'Australia/Sydney', '2026-11-26T05:00:00.000Z'],
  ['2026-11-26T07:00-0330', 'Australia/Sydney', '2026-11-26T10:30:00.000Z'],
])('%s by the clocks of %s is %s', (text, timeZone, instant) => {
  expect(readClockTime(text, timeZone)).toBe(instant);
});

test.each(['26.11.2026 07:00', '2026-11-31 07:00', '2026-11-26 25:00', '07:00', ''])(
  'no clock time: %j',
  (text) => {
    expect(readClockTime(text, 'Europe/London')).toBeNull();
  },
);

test('a clock time is the same clock time read back, but for the hours the clocks jump over (seed 51)', () => {
  const zones = [
    'Europe/London',
    'Australia/Sydney',
    'America/St_Johns',
    'Asia/Kathmandu',
    'Pacific/Chatham',
    'UTC',
  ];
  holds(
    fc.property(
      fc.constantFrom(...zones),
      fc.integer({ min: 0, max: 2 * 365 * 24 * 60 }),
      (timeZone, minutes) => {
        const at = new Date(Date.parse('2026-01-01T00:00Z') + minutes * 60_000).toISOString();
        const back = readClockTime(clockTime(at, timeZone), timeZone) ?? '';
        expect(clockTime(back, timeZone)).toBe(clockTime(at, timeZone));
        expect(Date.parse(at) - Date.parse(back)).toBeLessThanOrEqual(3_600_000);
        expect(isInstant(withOffset(at, timeZone))).toBe(true);
        expect(compareInstants(withOffset(at, timeZone), at)).toBe(0);
      },
    ),
    { seed: 51, numRuns: 300 },
  );
});

test('names of zones: known ones only', () => {
  expect(['Europe/London', 'UTC', 'America/Argentina/Ushuaia'].every(isTimeZone)).toBe(true);
  expect(['Europe/Atlantis', '', 'constructor', null, '../etc'].some(isTimeZone)).toBe(false);
});
