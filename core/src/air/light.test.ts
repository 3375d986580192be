import { lightBetween } from './light';

// Sun times at 54.52° N 2.81° W on 26 Nov 2026, checked against another package in core: sunrise 08:01, low sun until 09:06.
const fell = { latitudeDeg: 54.52, longitudeDeg: -2.81 };
const at = (clock: string) => Date.parse(`2026-11-26T${clock}:00Z`);

test('the light of a shoot in the morning: twilight until sunrise, then a low sun, then day, without gaps', () => {
  const spans = lightBetween(at('07:30'), at('10:00'), fell);
  expect(spans.map(({ light }) => light)).toEqual(['twilight', 'low sun', 'day']);
  expect(spans[0]?.fromMs).toBe(at('07:30'));
  expect(spans.at(-1)?.toMs).toBe(at('10:00'));
  for (const [i, span] of spans.slice(1).entries()) expect(span.fromMs).toBe(spans[i]?.toMs);
  const minutes = (ms: number | undefined, clock: string) => Math.abs((ms ?? 0) - at(clock)) / 60_000;
  expect(minutes(spans[0]?.toMs, '08:01')).toBeLessThan(1);
  expect(minutes(spans[1]?.toMs, '09:06')).toBeLessThan(1);
});

// Until 26 Nov 2026 refraction was counted twice, and every light changed some four minutes too early in the morning.
test('over midnight one night is one span, and under the midnight sun one day', () => {
  expect(lightBetween(at('20:00'), at('20:00') + 8 * 3_600_000, fell)).toEqual([
    { fromMs: at('20:00'), toMs: at('20:00') + 8 * 3_600_000, light: 'night' },
  ]);
  const mcMurdo = { latitudeDeg: -77.85, longitudeDeg: 166.67 };
  expect(lightBetween(at('00:00'), at('06:00'), mcMurdo).map(({ light }) => light)).toEqual(['day']);
});

test('wherever and whenever, each span is in another light than the one before it (a year by fortnights, pole to pole)', () => {
  for (let latitudeDeg = -88; latitudeDeg <= 88; latitudeDeg += 8)
    for (let day = 0; day < 365; day += 14) {
      const fromMs = Date.UTC(2026, 0, 1 + day, 5);
      const spans = lightBetween(fromMs, fromMs + 86_400_000, { latitudeDeg, longitudeDeg: 20 });
      const repeated = spans.slice(1).filter(({ light }, i) => light === spans[i]?.light);
      expect([latitudeDeg, day, repeated]).toEqual([latitudeDeg, day, []]);
    }
});
