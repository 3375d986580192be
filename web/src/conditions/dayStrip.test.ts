import fc from 'fast-check';
import { holds } from '../../../core/fixtures/seeds';
import { clockOf } from '../state/clock';
import {
  clockOfMinute,
  daysWithHours,
  hoursOfDay,
  lightInWords,
  lightOfDay,
  minuteOfDay,
  minutesADay,
} from './dayStrip';

const fell = { latitudeDeg: 54.52, longitudeDeg: -2.81 };
const london = clockOf('Europe/London');

test('the light of a November day: night, twilight, low sun, day and back again, without a gap', () => {
  const spans = lightOfDay('2026-11-26', fell, london);
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

test('whatever the place, its zone and the day, the spans fill the day in order (seed 11)', () => {
  const zones = ['UTC', 'Australia/Sydney', 'America/Denver', 'Asia/Kathmandu', 'Pacific/Auckland'];
  holds(
    fc.property(
      fc.integer({ min: -89, max: 89 }),
      fc.integer({ min: 0, max: 364 }),
      fc.constantFrom(...zones),
      (latitudeDeg, days, zone) => {
        const day = new Date(Date.parse('2026-01-01') + days * 86_400_000).toISOString().slice(0, 10);
        const spans = lightOfDay(day, { latitudeDeg, longitudeDeg: 0 }, clockOf(zone));
        let at = 0;
        for (const { fromMin, toMin } of spans) {
          expect(fromMin).toBeCloseTo(at, 9);
          expect(toMin).toBeGreaterThan(fromMin);
          at = toMin;
        }
        expect(at).toBeCloseTo(minutesADay, 9);
      },
    ),
    { seed: 11 },
  );
});

// By hand: at midnight in June the sun stands 23.4° − (90° − 69.6°) = 3.0° high, at noon in December 3.0° below the horizon.
test('high north: the sun is low at midnight in June; in December there is no day, only twilight about noon', () => {
  const north = { latitudeDeg: 69.6, longitudeDeg: 19 };
  const oslo = clockOf('Europe/Oslo');
  expect(lightOfDay('2026-06-21', north, oslo).map(({ light }) => light)).toEqual([
    'low sun',
    'day',
    'low sun',
  ]);
  expect(lightInWords('2026-06-21', north, oslo)).toEqual(['the sun does not set']);
  expect(lightOfDay('2026-12-21', north, oslo).map(({ light }) => light)).toEqual([
    'night',
    'twilight',
    'night',
  ]);
  expect(lightInWords('2026-12-21', north, oslo)[0]).toBe('the sun does not rise');
});

describe('south of the equator and far from the browser', () => {
  const sydney = { latitudeDeg: -33.86, longitudeDeg: 151.21 };
  const there = clockOf('Australia/Sydney', 'Europe/London');

  // By an astronomical almanac, from memory: on 26 November the sun rises in Sydney at about 05:37 and sets at 19:49 daylight time.
  test('in Sydney the sun rises in the morning by Sydney’s clocks', () => {
    const words = lightInWords('2026-11-26', sydney, there);
    expect(words).toContainEqual(expect.stringMatching(/^sunrise 05:3\d$/));
    expect(words).toContainEqual(expect.stringMatching(/^sunset 19:(4|5)\d$/));
    const day = lightOfDay('2026-11-26', sydney, there);
    expect(day.find(({ fromMin, toMin }) => fromMin <= 720 && toMin > 720)?.light).toBe('day');
    expect(day[0]?.light).toBe('night');
  });

  test('07:00 is 07:00 there, and told to be Sydney’s; where the clocks agree nothing is said', () => {
    const at = there.read('2026-11-26T07:00') ?? '';
    expect(at).toBe('2026-11-26T07:00:00+11:00');
    expect(there.field(at)).toBe('2026-11-26T07:00');
    expect(there.format(at, 'ddd D MMM, HH:mm')).toBe('Thu 26 Nov, 07:00');
    expect(there.note(at)).toBe('Sydney time');
    expect(clockOf('Europe/Lisbon', 'Europe/London').note(at)).toBeNull();
    expect(clockOf('Australia/Lord_Howe', 'UTC').note(at)).toBe('Lord Howe time');
  });

  test('midnight sun in the far south is in December', () => {
    const south = { latitudeDeg: -77.85, longitudeDeg: 166.7 };
    const mcMurdo = clockOf('Antarctica/McMurdo');
    expect(lightInWords('2026-12-21', south, mcMurdo)).toEqual(['the sun does not set']);
    expect(lightInWords('2026-06-21', south, mcMurdo)[0]).toBe('the sun does not rise');
  });
});

test('the hours of a day are its own by the place’s clocks, midnight at its end included', () => {
  const wind = { speedMps: 3, fromDeg: 240, readingHeightM: 10 };
  const sydney = clockOf('Australia/Sydney');
  const hours = [
    '2026-11-25 23:00',
    '2026-11-26 00:00',
    '2026-11-26 12:30',
    '2026-11-27 00:00',
    '2026-11-27 01:00',
  ].map((at, i) => ({ at: sydney.read(at) ?? '', airTemperatureC: i, wind }));
  expect(hoursOfDay(hours, '2026-11-26', sydney).map(({ minute }) => minute)).toEqual([0, 750, 1440]);
  expect(daysWithHours(hours, sydney)).toEqual(['2026-11-25', '2026-11-26', '2026-11-27']);
  expect(daysWithHours(hours, london)).toEqual(['2026-11-25', '2026-11-26']);
});

test('minutes of a day and its clock are each other’s inverse', () => {
  for (const minute of [0, 10, 450, 1439])
    expect(minuteOfDay(london, london.read(`2026-11-26 ${clockOfMinute(minute)}`) ?? '')).toBe(minute);
});
