import { Body, Observer, SearchAltitude, SearchRiseSet } from 'astronomy-engine';
import { sunTimes } from './sun';

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

test('where the sun does not rise there is no time, and it says so', () => {
  expect(sunTimes('2026-12-21T12:00:00Z', { latitudeDeg: 80, longitudeDeg: 15 })).toMatchObject({
    rise: null,
    always: 'down',
  });
});
