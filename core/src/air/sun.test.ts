import { Body, Equator, Horizon, Observer, SearchAltitude, SearchRiseSet } from 'astronomy-engine';
import { clockTime } from '../units/timeZone';
import { lightAt, sunPosition, sunTimes } from './sun';
import { timeZoneAt, timeZoneOf } from './timeZoneOf';

// Two general-purpose packages against each other; shared checks ask for one minute.
test.each([
  ['Hollin Fell, late November', 54.4, -2.9, '2026-11-26'],
  ['on the equator at the equinox', 0, 10, '2026-03-20'],
  ['southern summer', -43.5, 170, '2026-12-21'],
  ['Arctic Circle in autumn', 66, 25, '2026-10-10'],
])('sun times agree with another package within a minute: %s', (_, latitudeDeg, longitudeDeg, day) => {
  const noon = new Date(Date.parse(`${day}T12:00:00Z`) - (longitudeDeg / 15) * 3_600_000);
  const start = new Date(noon.getTime() - 12 * 3_600_000);
  const observer = new Observer(latitudeDeg, longitudeDeg, 0);
  const times = sunTimes(noon.toISOString(), { latitudeDeg, longitudeDeg });
  const other = {
    dawn: SearchAltitude(Body.Sun, observer, +1, start, 1, -6),
    rise: SearchRiseSet(Body.Sun, observer, +1, start, 1),
    set: SearchRiseSet(Body.Sun, observer, -1, start, 1),
    dusk: SearchAltitude(Body.Sun, observer, -1, start, 1, -6),
  };
  for (const [name, found] of Object.entries(other)) {
    const ours = Date.parse(times[name as keyof typeof other] ?? '');
    expect(Math.abs(ours - (found?.date.getTime() ?? 0)) / 60_000).toBeLessThan(1);
  }
});

test.each([
  ['Hollin Fell at nine', 54.4, -2.9, '2026-11-26T09:00:00Z'],
  ['and at half past two', 54.4, -2.9, '2026-11-26T14:30:00Z'],
  ['southern afternoon', -43.5, 170, '2026-12-21T04:00:00Z'],
])(
  'the sun stands where another package has it, within a tenth of a degree: %s',
  (_, latitudeDeg, longitudeDeg, at) => {
    const observer = new Observer(latitudeDeg, longitudeDeg, 0);
    const { ra, dec } = Equator(Body.Sun, new Date(at), observer, true, true);
    const other = Horizon(new Date(at), observer, ra, dec, 'normal');
    const ours = sunPosition(at, { latitudeDeg, longitudeDeg });
    expect(Math.abs(ours.azimuthDeg - other.azimuth)).toBeLessThan(0.1);
    expect(Math.abs(ours.altitudeDeg - other.altitude)).toBeLessThan(0.1);
  },
);

test('where the sun does not rise there is no time, and it says so', () => {
  expect(sunTimes('2026-12-21T12:00:00Z', { latitudeDeg: 80, longitudeDeg: 15 })).toMatchObject({
    rise: null,
    always: 'down',
  });
});

// Until 25 Nov 2026 the browser's clocks were used: a sunrise in Sydney stood in the evening.
test.each([
  ['Sydney in November', -33.87, 151.21, '2026-11-26', 5, 6],
  ['Auckland at midwinter', -36.85, 174.76, '2026-06-21', 7, 8],
  ['Ushuaia at midsummer', -54.8, -68.3, '2026-12-21', 4, 6],
  ['Anchorage in spring', 61.2, -149.9, '2026-04-20', 5, 7],
  ['Apia, on the other side of the date line', -13.8, -171.8, '2026-11-26', 5, 7],
])(
  'by the clocks of the place the sun rises in the morning and sets after it: %s',
  (_, latitudeDeg, longitudeDeg, day, from, to) => {
    const place = { latitudeDeg, longitudeDeg };
    const zone = timeZoneAt(place);
    const noon = new Date(Date.parse(`${day}T12:00:00Z`) - (longitudeDeg / 15) * 3_600_000).toISOString();
    const { rise, set } = sunTimes(noon, place);
    const hour = Number(clockTime(rise ?? '', zone).slice(11, 13));
    expect(hour).toBeGreaterThanOrEqual(from);
    expect(hour).toBeLessThan(to);
    expect(clockTime(rise ?? '', zone).slice(0, 10)).toBe(clockTime(set ?? '', zone).slice(0, 10));
    expect(clockTime(set ?? '', zone) > clockTime(rise ?? '', zone)).toBe(true);
  },
);

test('midnight sun: no rise and no set, always up, and broad day at one in the night (Tromsø and McMurdo, by the almanac)', () => {
  const tromso = { latitudeDeg: 69.65, longitudeDeg: 18.96 };
  const mcMurdo = { latitudeDeg: -77.85, longitudeDeg: 166.67 };
  expect(sunTimes('2026-06-21T10:44:00Z', tromso)).toMatchObject({ rise: null, set: null, always: 'up' });
  expect(sunTimes('2026-11-26T00:53:00Z', mcMurdo)).toMatchObject({ rise: null, set: null, always: 'up' });
  // The sun's least height there is 90° − 77.85° subtracted from its declination of 21.1°: 8.9° above the horizon.
  expect(lightAt('2026-11-25T12:50:00Z', mcMurdo)).toBe('day');
  expect(lightAt('2026-12-21T11:00:00Z', tromso)).not.toBe('day');
  expect(sunTimes('2026-12-21T10:44:00Z', tromso)).toMatchObject({ rise: null, always: 'down' });
});

// IANA time zone database; places well inside their zones, and three on the borders of a day.
test.each([
  [54.52, -2.81, 'Europe/London'],
  [-33.87, 151.21, 'Australia/Sydney'],
  [-77.85, 166.67, 'Antarctica/McMurdo'],
  [27.72, 85.32, 'Asia/Kathmandu'],
  [21.31, -157.86, 'Pacific/Honolulu'],
  [1.87, -157.43, 'Pacific/Kiritimati'],
  [40.42, -3.7, 'Europe/Madrid'],
])('the zone of %d, %d is %s', (latitudeDeg, longitudeDeg, zone) => {
  expect(timeZoneAt({ latitudeDeg, longitudeDeg })).toBe(zone);
});

test('a chosen zone wins, one that no machine knows does not, and without a place it is the one given', () => {
  const coordinates = { latitudeDeg: -33.87, longitudeDeg: 151.21 };
  expect(timeZoneOf({ coordinates, timeZone: 'Australia/Perth' }, 'Europe/London')).toBe('Australia/Perth');
  expect(timeZoneOf({ coordinates, timeZone: 'Middle/Earth' }, 'Europe/London')).toBe('Australia/Sydney');
  expect(timeZoneOf(null, 'Europe/London')).toBe('Europe/London');
  expect(timeZoneOf({}, 'Europe/London')).toBe('Europe/London');
});
