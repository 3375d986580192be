import { answered } from '../../fixtures/answered';
import { boxMiddle } from '../../fixtures/beliefs';
import { fell, jay, jay1 } from '../../fixtures/records';
import { estimate } from '../estimate/estimate';
import { returnAnswer } from '../wayHome/returnInFull';
import { packAtTheHour } from './packAtTheHour';
import { returnRequestFor } from './returnRequest';

const conditions = {
  ...fell,
  site: {
    tallestM: 31,
    ceilingM: 100,
    obstacles: [{ name: 'chimney', distanceM: 60, widthM: 10, heightM: 31 }],
    landingPlaces: [{ name: 'lower gate', distanceM: 70, bearingDeg: 20 }],
    below: 'water',
  },
} as const;

test('the way home is asked of the same aircraft, pack, day and place as the minutes, so both turn at one charge', () => {
  const request = returnRequestFor(jay, jay1, conditions, 0.5);
  const minutes = answered(
    estimate(
      {
        aircraft: jay.spec,
        battery: packAtTheHour(jay1, conditions),
        conditions: conditions.weather,
        flight: { ...jay.flight, returnHeightM: request.returnHeightM },
        policy: jay.policy,
      },
      boxMiddle,
    ),
  );
  const home = answered(returnAnswer(request, boxMiddle));
  expect(home.turnBackCharge.p50).toBeCloseTo(minutes.turnBackCharge.p50, 3);
  expect(request.position).toEqual({ distanceM: 100, bearingDeg: 0, heightM: 30, charge: 0.5 });
});

test('what is known of the place goes along; where nothing is known nothing is made up', () => {
  const request = returnRequestFor(jay, jay1, conditions, 0.5);
  expect(request).toMatchObject({
    obstacles: conditions.site.obstacles,
    landingPlaces: conditions.site.landingPlaces,
    below: 'water',
  });
  const bare = returnRequestFor(jay, jay1, fell, 0.5);
  expect([bare.obstacles, bare.landingPlaces, bare.below]).toEqual([null, null, null]);
});

test('a pack that waits outside is as cold as the air of the hour, one in a pocket is not', () => {
  const frost = { ...conditions, weather: { ...conditions.weather, airTemperatureC: -6 } };
  const kept = (keptAt: 'outside' | 'pocket') =>
    returnRequestFor(jay, { ...jay1, keeping: { keptAt } }, frost, 0.5).battery.startTemperatureC;
  expect(kept('outside') ?? -6).toBe(-6);
  expect(kept('pocket')).toBeGreaterThan(15);
});

test('a charge that stood till the hour is less by what it lost, by the clock whatever its offset (4 % on the first day)', () => {
  const full = { ...jay1.pack, startCharge: 1 };
  const days = (chargedAt: string) =>
    returnRequestFor(jay, { ...jay1, pack: full, keeping: { chargedAt } }, conditions, 0.5).battery
      .daysSinceCharge;
  // The hour is 26 Nov, 08:40 UTC.
  expect(days('2026-11-25T08:40:00Z')).toBeCloseTo(1, 9);
  expect(days('2026-11-25T19:40:00+11:00')).toBeCloseTo(1, 9);
  expect(days('2026-11-25T20:40:00Z')).toBeCloseTo(0.5, 9);
});
