import type { Conditions } from '../air/conditions';
import { weatherAtHour } from '../air/hours';
import { toldInSi } from '../units/sentence';
import { readHourlyCsv, writeHourlyCsv } from './hourlyCsv';

const before: Conditions = {
  airTemperatureC: 15,
  elevationM: 620,
  roughnessM: 0.03,
  wind: { speedMps: 1, fromDeg: 0, readingHeightM: 2 },
};
const file = `time,temperature,humidity,wind,gust,from
2026-11-26T08:00Z,4,90,3,5,350
2026-11-26T09:00Z,6,80 %,12 mph,,10
`;

describe('hourly weather', () => {
  const read = readHourlyCsv(file, 'UTC');
  if (!read.ok) throw new Error(toldInSi(read.refusal));
  const { hours, problems } = read.value;

  test('is read with typed units; the wind is a forecast’s, for 10 m, unless it says otherwise', () => {
    expect(problems).toEqual([]);
    expect(hours[1]).toMatchObject({
      relativeHumidity: 0.8,
      wind: { speedMps: expect.closeTo(5.36448, 5), gustMps: null, readingHeightM: 10 },
    });
  });

  test('between two rows: half-way, direction the short way round by north, no gust that only one row gives', () => {
    const weather = weatherAtHour(hours, '2026-11-26T08:30:00Z', before);
    expect(weather).toMatchObject({
      airTemperatureC: 5,
      elevationM: 620,
      roughnessM: 0.03,
      wind: { speedMps: expect.closeTo(4.18, 2), gustMps: null, fromDeg: 0 },
    });
  });

  test('on a row it is that row; more than an hour outside there is no answer', () => {
    expect(weatherAtHour(hours, '2026-11-26T08:00:00Z', before)?.airTemperatureC).toBe(4);
    expect(weatherAtHour(hours, '2026-11-26T09:50:00Z', before)?.airTemperatureC).toBe(6);
    expect(weatherAtHour(hours, '2026-11-26T10:20:00Z', before)).toBeNull();
    expect(weatherAtHour([], '2026-11-26T10:20:00Z', before)).toBeNull();
  });

  test('written and read again it is the same', () => {
    const again = readHourlyCsv(writeHourlyCsv(hours), 'UTC');
    expect(again.ok && again.value.hours[0]).toEqual(hours[0]);
  });

  test('a wrong cell is told by line and column and its row left out; without a needed column nothing is read', () => {
    const wrong = readHourlyCsv(`${file}soon,5,,3,,0\n2026-11-26 10:00,warm,,3,,0\n`, 'UTC');
    expect(wrong.ok && wrong.value.hours).toHaveLength(2);
    expect(wrong.ok && wrong.value.problems).toEqual([
      { line: 4, column: 'time', message: '“soon” is not a date and time such as 2026-11-26 08:40.' },
      { line: 5, column: 'temperature', message: 'Air temperature: a number in °C is needed, not “warm”.' },
    ]);
    const missing = readHourlyCsv('time,temperature\n2026-11-26 10:00,5\n', 'UTC');
    expect(missing.ok ? null : toldInSi(missing.refusal)).toBe(
      'The first line must name the columns; missing: wind, from.',
    );
    expect(readHourlyCsv('', 'UTC').ok).toBe(false);
  });
});
