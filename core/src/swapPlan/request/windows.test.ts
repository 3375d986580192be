import { startWithin, windowsOf, windowUntilMs } from './windows';

const startAt = '2026-11-26T07:30:00Z';
const startMs = Date.parse(startAt);
const fell = { latitudeDeg: 54.52, longitudeDeg: -2.81 };
const at = (time: string) => `2026-11-26T${time}:00Z`;

test('a shot that asks for nothing may be flown at any time; a clock makes one window, cut to the shoot', () => {
  expect(windowsOf({ durationS: 60 }, startMs, 7200, null)).toBeNull();
  const shot = { durationS: 60, earliestAt: at('08:00'), latestAt: at('12:00') };
  expect(windowsOf(shot, startMs, 7200, null)).toEqual([{ fromS: 1800, untilS: 7200 }]);
  expect(windowsOf({ ...shot, earliestAt: at('06:00') }, startMs, 7200, null)?.[0]?.fromS).toBe(0);
});

// Sunrise of that day at 54.52° N, 2.81° W is 08:01 UTC, sunset 15:58, and the sun passes 6° at 09:06 and again at 14:48 (see air/light.test).
test('low sun is twice a day; what has no room for a take is left out', () => {
  const windows = windowsOf({ durationS: 300, light: 'low-sun' }, startMs, 9 * 3600, fell) ?? [];
  expect(windows.map(({ fromS, untilS }) => [Math.round(fromS / 600), Math.round(untilS / 600)])).toEqual([
    [3, 10],
    [44, 51],
  ]);
  const short = { durationS: 300, light: 'low-sun', latestAt: at('08:04') } as const;
  expect(windowsOf(short, startMs, 9 * 3600, fell)).toEqual([]);
});

test('the earliest start that fits wholly into a window', () => {
  const windows = [
    { fromS: 100, untilS: 200 },
    { fromS: 500, untilS: 900 },
  ];
  expect([0, 150, 151, 600, 801].map((fromS) => startWithin(windows, fromS, 50))).toEqual([
    100, 150, 500, 600, 801,
  ]);
  expect(startWithin(windows, 851, 50)).toBeNull();
  expect(startWithin(null, 42, 9999)).toBe(42);
});

test('when the light of a take is over', () => {
  const request = { startAt, endAt: at('16:30'), coordinates: fell };
  const until = windowUntilMs(request, { durationS: 300, light: 'low-sun' }, at('08:30'));
  expect(new Date(until ?? 0).toISOString().slice(11, 16)).toBe('09:06');
  expect(windowUntilMs(request, { durationS: 300 }, at('08:30'))).toBeNull();
  const latest = { durationS: 300, latestAt: at('10:00') };
  expect(windowUntilMs(request, latest, at('08:30'))).toBe(Date.parse(at('10:00')));
});
