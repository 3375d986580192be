import dayjs from 'dayjs';
import fc from 'fast-check';
import { daysWithHours, hoursOfDay, lightInWords, lightOfDay, minutesADay } from './dayStrip';

const fell = { latitudeDeg: 54.52, longitudeDeg: -2.81 };

test('the light of a November day: night, twilight, low sun, day and back again, without a gap', () => {
  const spans = lightOfDay('2026-11-26', fell);
  expect(spans.map(({ light }) => light)).toEqual([
    'night',
    'twilight',
    'low sun',
    'day',
    'low sun',
    'twilight',
    'night',
  ]);
});

test('whatever the place and day, the spans fill the day in order (seed 11)', () => {
  fc.assert(
    fc.property(fc.integer({ min: -89, max: 89 }), fc.integer({ min: 0, max: 364 }), (latitudeDeg, days) => {
      const day = dayjs('2026-01-01').add(days, 'day').format('YYYY-MM-DD');
      const spans = lightOfDay(day, { latitudeDeg, longitudeDeg: 0 });
      let at = 0;
      for (const { fromMin, toMin } of spans) {
        expect(fromMin).toBe(at);
        expect(toMin).toBeGreaterThan(fromMin);
        at = toMin;
      }
      expect(at).toBe(minutesADay);
    }),
    { seed: 11 },
  );
});

// By hand: at midnight in June the sun stands 23.4° − (90° − 69.6°) = 3.0° high, at noon in December 3.0° below the horizon.
test('high north: the sun is low at midnight in June; in December there is no day, only twilight about noon', () => {
  const north = { latitudeDeg: 69.6, longitudeDeg: 19 };
  expect(lightOfDay('2026-06-21', north).map(({ light }) => light)).toEqual(['low sun', 'day', 'low sun']);
  expect(lightInWords('2026-06-21', north)).toEqual(['the sun does not set']);
  expect(lightOfDay('2026-12-21', north).map(({ light }) => light)).toEqual(['night', 'twilight', 'night']);
  expect(lightInWords('2026-12-21', north)[0]).toBe('the sun does not rise');
});

test('the hours of a day are its own, midnight at its end included', () => {
  const wind = { speedMps: 3, fromDeg: 240, readingHeightM: 10 };
  const hours = [
    '2026-11-25T23:00',
    '2026-11-26T00:00',
    '2026-11-26T12:30',
    '2026-11-27T00:00',
    '2026-11-27T01:00',
  ].map((at, i) => ({ at: dayjs(at).toISOString(), airTemperatureC: i, wind }));
  expect(hoursOfDay(hours, '2026-11-26').map(({ minute }) => minute)).toEqual([0, 750, 1440]);
  expect(daysWithHours(hours)).toEqual(['2026-11-25', '2026-11-26', '2026-11-27']);
});
