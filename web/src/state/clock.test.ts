import { timeZoneAt } from '@acorn-tally/core';
import { fell } from '../../../core/fixtures/records';
import { rememberZone } from '../api/zones';
import { atAnotherHour } from './atTheHour';
import { browserTimeZone, clockAt, clockOf, sameClockTime } from './clock';
import { movedClocks } from './movedClocks';

const sydney = clockOf('Australia/Sydney', 'Europe/London');
const fellClock = clockOf('Europe/London', 'Europe/London');

// Offsets of the IANA time zone database: Sydney +11 in November and +10 in July, London 0 and +1, Kathmandu +5:45.
const kept = (id: string) => ({ id, createdAt: '', updatedAt: '', version: 1 });

test('a time of day is the place’s: read, shown and written with the place’s offset', () => {
  expect(sydney.field('2026-11-25T20:00:00Z')).toBe('2026-11-26T07:00');
  expect(sydney.read('2026-11-26T07:00')).toBe('2026-11-26T07:00:00+11:00');
  expect(sydney.read('2026-07-01T07:00')).toBe('2026-07-01T07:00:00+10:00');
  expect(sydney.format('2026-11-25T20:00:00Z', 'ddd D MMM, HH:mm')).toBe('Thu 26 Nov, 07:00');
  expect(clockOf('Asia/Kathmandu').field('2026-11-26T00:00:00Z')).toBe('2026-11-26T05:45');
});

test('what is no time is none', () => {
  for (const text of ['', '2026-02-30T07:00', '2026-11-26T24:30', '2026-W01-1', 'tomorrow'])
    expect(fellClock.read(text)).toBeNull();
});

test('the zone is said only where its clocks differ from the browser’s at that hour', () => {
  expect(fellClock.note('2026-11-26T07:00:00Z')).toBeNull();
  expect(sydney.note('2026-11-26T07:00:00Z')).toBe('Sydney time');
  // Lisbon keeps London's hours the year round, Reykjavík only in winter.
  expect(clockOf('Europe/Lisbon', 'Europe/London').note('2026-07-01T07:00:00Z')).toBeNull();
  const reykjavik = clockOf('Atlantic/Reykjavik', 'Europe/London');
  expect(reykjavik.note('2026-11-26T07:00:00Z')).toBeNull();
  expect(reykjavik.note('2026-07-01T07:00:00Z')).toBe('Reykjavik time');
  expect(clockOf('Australia/Lord_Howe', 'Europe/London').note('2026-07-01T07:00:00Z')).toBe('Lord Howe time');
});

test('07:00 stays 07:00 when the place turns out to be elsewhere', () => {
  const moved = sameClockTime('2026-11-26T07:00:00Z', fellClock, sydney);
  expect(Date.parse(moved)).toBe(Date.parse('2026-11-25T20:00:00Z'));
  expect(sydney.field(moved)).toBe('2026-11-26T07:00');
});

test('a place goes by the zone that was chosen, else by that of its coordinates once it is known', () => {
  const coordinates = { latitudeDeg: -33.87, longitudeDeg: 151.21 };
  expect(clockAt({ site: { coordinates } }).timeZone).toBe(browserTimeZone);
  rememberZone(coordinates, timeZoneAt(coordinates));
  expect(clockAt({ site: { coordinates } }).timeZone).toBe('Australia/Sydney');
  expect(clockAt({ site: { coordinates, timeZone: 'Australia/Perth' } }).timeZone).toBe('Australia/Perth');
});

test('the weather of another hour is that hour’s, also where the rows are written with another offset', () => {
  const wind = { speedMps: 6, gustMps: null, fromDeg: 90, readingHeightM: 10 };
  const hours = [
    { at: '2026-11-26T08:00:00Z', airTemperatureC: 1, relativeHumidity: null, qnhHpa: null, wind },
    { at: '2026-11-26T20:00:00+11:00', airTemperatureC: 9, relativeHumidity: null, qnhHpa: null, wind },
  ];
  const conditions = { ...fell, hours };
  // 20:00 in Sydney is 09:00 UTC: an hour after the first row, though its text sorts far behind.
  expect(atAnotherHour(conditions, '2026-11-26T09:00:00Z').weather?.airTemperatureC).toBeCloseTo(9, 9);
  expect(atAnotherHour(conditions, '2026-11-26T08:30:00Z').weather?.airTemperatureC).toBeCloseTo(5, 9);
});

test('under the clocks of another zone a day, its weather and every time of its shoots go on showing the same', () => {
  const place = { ...kept('fell'), name: 'Fell', elevationM: 620, timeZone: 'Europe/London' };
  const wind = { speedMps: 2, gustMps: null, fromDeg: 240, readingHeightM: 10 };
  const hour = (at: string, airTemperatureC: number) => ({ at, airTemperatureC, wind });
  const day = {
    ...kept('day'),
    placeId: 'fell',
    at: '2026-11-26T09:00:00+00:00',
    weather: { airTemperatureC: 5, wind },
    hours: [hour('2026-11-26T08:00:00Z', 1), hour('2026-11-26T09:00:00Z', 5)],
  };
  const shot = { id: 'a', earliestAt: '2026-11-26T10:00:00+00:00', latestAt: null };
  const shoot = {
    ...kept('shoot'),
    dayId: 'day',
    startsAt: day.at,
    endsAt: '2026-11-26T12:00:00+00:00',
    shots: [shot],
  };
  // Paris is an hour ahead of London in winter (IANA time zone database).
  const [moved, planned] = movedClocks([day as never], [shoot as never], place, {
    ...place,
    timeZone: 'Europe/Paris',
  });
  expect(moved?.content).toMatchObject({ at: '2026-11-26T09:00:00+01:00', weather: { airTemperatureC: 1 } });
  expect(planned?.content).toMatchObject({
    startsAt: '2026-11-26T09:00:00+01:00',
    endsAt: '2026-11-26T12:00:00+01:00',
    shots: [{ earliestAt: '2026-11-26T10:00:00+01:00', latestAt: null }],
  });
});
