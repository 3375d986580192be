import fc from 'fast-check';
import { holds } from '../../fixtures/seeds';
import type { Conditions } from './conditions';
import { type HourlyWeather, weatherAtHour } from './hours';

const before: Conditions = {
  airTemperatureC: 15,
  elevationM: 620,
  roughnessM: 0.3,
  relativeHumidity: 0.5,
  qnhHpa: 1020,
  wind: { speedMps: 1, gustMps: null, fromDeg: 0, readingHeightM: 2 },
};
const row = (at: string, airTemperatureC: number, wind: Partial<Conditions['wind']> = {}): HourlyWeather => ({
  at,
  airTemperatureC,
  relativeHumidity: null,
  qnhHpa: null,
  wind: { speedMps: 4, gustMps: 8, fromDeg: 350, readingHeightM: 10, ...wind },
});
const rows = [
  row('2026-11-26T08:00:00Z', 2),
  row('2026-11-26T09:00:00Z', 4, { speedMps: 6, fromDeg: 20 }),
  row('2026-11-26T10:00:00Z', 3, { gustMps: null, readingHeightM: 2 }),
];

test('half way between two rows: the mean, and the wind turns the short way, through north (by hand)', () => {
  const half = weatherAtHour(rows, '2026-11-26T08:30:00Z', before);
  expect(half).toMatchObject({ airTemperatureC: 3, wind: { speedMps: 5, gustMps: 8, fromDeg: 5 } });
  // 350° and 20° are 30° apart; a third of the way is 0°.
  expect(weatherAtHour(rows, '2026-11-26T08:20:00Z', before)?.wind.fromDeg).toBe(0);
});

test('what the rows do not give stays as it was; a gust only where both give one', () => {
  const half = weatherAtHour(rows, '2026-11-26T09:30:00Z', before);
  expect(half).toMatchObject({ elevationM: 620, roughnessM: 0.3, relativeHumidity: 0.5, qnhHpa: 1020 });
  expect(half?.wind.gustMps).toBeNull();
  expect(half?.wind.readingHeightM).toBe(2);
});

test('an hour outside the rows is still the nearest one’s; farther off nothing is said', () => {
  expect(weatherAtHour(rows, '2026-11-26T07:00:00Z', before)?.airTemperatureC).toBe(2);
  expect(weatherAtHour(rows, '2026-11-26T11:00:00Z', before)?.airTemperatureC).toBe(3);
  expect(weatherAtHour(rows, '2026-11-26T06:59:59Z', before)).toBeNull();
  expect(weatherAtHour(rows, '2026-11-26T11:00:01Z', before)).toBeNull();
  expect(weatherAtHour([], '2026-11-26T08:00:00Z', before)).toBeNull();
});

test('it lies between its two rows, turns no farther than half round, and is the row’s own on the hour (seed 51)', () => {
  const degrees = fc.integer({ min: 0, max: 359 });
  const temperature = fc.integer({ min: -200, max: 400 }).map((tenths) => tenths / 10);
  holds(
    fc.property(
      degrees,
      degrees,
      temperature,
      temperature,
      fc.integer({ min: 0, max: 60 }),
      (a, b, c, d, minute) => {
        const two = [
          row('2026-11-26T08:00:00Z', c, { fromDeg: a }),
          row('2026-11-26T09:00:00Z', d, { fromDeg: b }),
        ];
        const at = new Date(Date.parse('2026-11-26T08:00:00Z') + minute * 60_000).toISOString();
        const found = weatherAtHour(two, at, before);
        if (!found) throw new Error('An hour between its rows is always known.');
        expect(found.airTemperatureC).toBeGreaterThanOrEqual(Math.min(c, d) - 0.005);
        expect(found.airTemperatureC).toBeLessThanOrEqual(Math.max(c, d) + 0.005);
        const apart = (x: number, y: number) => Math.abs(((x - y + 540) % 360) - 180);
        expect(apart(found.wind.fromDeg, a) + apart(found.wind.fromDeg, b)).toBeLessThanOrEqual(
          apart(a, b) + 1,
        );
        if (minute === 0) expect(found.wind.fromDeg).toBe(a);
        if (minute === 60) expect(found.airTemperatureC).toBeCloseTo(d, 9);
      },
    ),
    { seed: 51 },
  );
});
