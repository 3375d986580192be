import { writeInSi } from '../units/sentence';
import { readHourlyCsv, writeHourlyCsv } from './hourlyCsv';

const file = `time,temperature,humidity,wind,gust,from
2026-11-26T08:00Z,4,90,3,5,350
2026-11-26T09:00Z,6,80 %,12 mph,,10
`;

describe('hourly weather', () => {
  const read = readHourlyCsv(file, 'UTC');
  if (!read.ok) throw new Error(writeInSi(read.refusal));
  const { hours, problems } = read.value;

  test('is read with typed units; the wind is a forecast’s, for 10 m, unless it says otherwise', () => {
    expect(problems).toEqual([]);
    expect(hours[1]).toMatchObject({
      relativeHumidity: 0.8,
      wind: { speedMps: expect.closeTo(5.36448, 5), gustMps: null, readingHeightM: 10 },
    });
  });

  test.each(['from (deg)', 'direction [degrees]', 'from'])(
    'a direction headed %s is in degrees',
    (heading) => {
      const headed = readHourlyCsv(`time,temperature,wind,${heading}\n2026-11-26T08:00Z,4,3,240\n`, 'UTC');
      expect(headed.ok && headed.value.hours[0]?.wind.fromDeg).toBe(240);
    },
  );

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
    expect(missing.ok ? null : writeInSi(missing.refusal)).toBe(
      'The first line must name the columns; missing: wind, from.',
    );
    expect(readHourlyCsv('', 'UTC').ok).toBe(false);
  });
});

// IANA: Sydney is 11 h ahead in November; London goes from +1 to 0 at 02:00 on 25 Oct 2026, and on at 01:00 on 29 Mar 2026.
describe('times without an offset are the place’s', () => {
  const instants = (times: string[], timeZone: string) => {
    const read = readHourlyCsv(
      `time,temperature,wind,from\n${times.map((time) => `${time},5,3,240`).join('\n')}\n`,
      timeZone,
    );
    if (!read.ok) throw new Error(writeInSi(read.refusal));
    return read.value.hours.map(({ at }) => new Date(at).toISOString().slice(0, 16));
  };

  test('07:00 in Sydney is 20:00 of the day before in Greenwich; with an offset of its own it is what it says', () => {
    expect(instants(['2026-11-26 07:00'], 'Australia/Sydney')).toEqual(['2026-11-25T20:00']);
    expect(instants(['2026-11-26T07:00Z'], 'Australia/Sydney')).toEqual(['2026-11-26T07:00']);
    expect(instants(['2026-11-26T07:00+05:45'], 'Australia/Sydney')).toEqual(['2026-11-26T01:15']);
  });

  test('where the clocks go back the hour that comes twice is its first, where they go on the one left out is told on', () => {
    expect(instants(['2026-10-25 00:30', '2026-10-25 01:30', '2026-10-25 02:30'], 'Europe/London')).toEqual([
      '2026-10-24T23:30',
      '2026-10-25T00:30',
      '2026-10-25T02:30',
    ]);
    expect(instants(['2026-03-29 00:30', '2026-03-29 01:30', '2026-03-29 02:30'], 'Europe/London')).toEqual([
      '2026-03-29T00:30',
      '2026-03-29T01:30',
      '2026-03-29T01:30',
    ]);
  });

  test('rows in any order come out in order of time, whatever their offsets', () => {
    expect(
      instants(['2026-11-26T10:00+11:00', '2026-11-26T01:00Z', '2026-11-25T12:00-10:00'], 'UTC'),
    ).toEqual(['2026-11-25T22:00', '2026-11-25T23:00', '2026-11-26T01:00']);
  });
});

// NIST SP 811, app. B: 36 km/h are 10 m/s, 50 °F are 10 °C.
test('gusts under a heading that names their unit are read in it, and so is all else', () => {
  const file = 'Time,Temp (°F),Wind km/h,Gusts km/h,Direction\n2026-11-26 10:00,50,18,36,240\n';
  const read = readHourlyCsv(file, 'UTC');
  if (!read.ok) throw new Error(read.refusal.code);
  const [hour] = read.value.hours;
  expect(hour?.airTemperatureC).toBeCloseTo(10, 9);
  expect([hour?.wind.speedMps, hour?.wind.gustMps]).toEqual([expect.closeTo(5, 9), expect.closeTo(10, 9)]);
  expect(read.value.problems).toEqual([]);
});
