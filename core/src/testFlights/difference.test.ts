import fc from 'fast-check';
import { boxMiddle } from '../../fixtures/beliefs';
import { jayOnTheFell } from '../../fixtures/jay';
import { holds } from '../../fixtures/seeds';
import type { Conditions } from '../air/conditions';
import { estimate } from '../estimate/estimate';
import { timeAtCharge } from './compare';
import { explainDifference, type FlownTest } from './difference';
import { kindsFlown } from './kindsFlown';
import { requestForTest, type TestFlight } from './testFlight';

const { aircraft, conditions } = jayOnTheFell;
const pack = { ...jayOnTheFell.battery, startCharge: 1, startTemperatureC: null };
const hover = {
  pattern: 'low-hover',
  heightM: 5,
  startCharge: 0.98,
  endCharge: 0.25,
  durationS: 60,
} as const;

/** A flight as the model flies it, with a load nobody noted; the gauge is read on the way down. */
function flown(
  change: Partial<TestFlight>,
  weather: Partial<Conditions> = {},
  hiddenLoadW = 0,
  battery = pack,
): FlownTest {
  const test: TestFlight = { ...hover, ...change };
  const request = requestForTest(test, aircraft, battery, { ...conditions, ...weather });
  const loaded = { ...request, flight: { ...request.flight, recordingLoadW: hiddenLoadW } };
  const made = estimate(loaded, boxMiddle);
  if (!made.ok) throw new Error('it flies');
  const at = (charge: number) => timeAtCharge(made.value.curve, charge) as number;
  const checkpoints = [0.7, 0.5, 0.35].map((charge) => ({ timeS: at(charge), charge }));
  return { test: { ...test, durationS: at(test.endCharge), checkpoints }, request };
}

function explained(first: FlownTest, second: FlownTest) {
  const outcome = explainDifference(first, second, boxMiddle);
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.value;
}

test('1.5 W of recording put into one flight of a pair is found again, whatever start, air, wind and pack they had', () => {
  holds(
    fc.property(
      fc.integer({ min: 90, max: 100 }),
      fc.integer({ min: -5, max: 30 }),
      fc.double({ min: 0, max: 5, noNaN: true }),
      fc.integer({ min: 0, max: 150 }),
      (start, airTemperatureC, speedMps, cycles) => {
        const first = flown({});
        const second = flown(
          { startCharge: start / 100, startTemperatureC: 22 },
          { airTemperatureC, wind: { ...conditions.wind, speedMps, gustMps: null } },
          1.5,
          { ...pack, cycles },
        );
        const { extraPowerW, causes, restS, firstS, secondS } = explained(first, second);
        expect(extraPowerW).toBeCloseTo(1.5, 2);
        expect(restS).toBeLessThan(-20);
        const sum = causes.reduce((total, { seconds }) => total + seconds, 0);
        expect(sum + restS).toBeCloseTo(secondS - firstS, 6);
      },
    ),
    { seed: 15, numRuns: 30 },
  );
});

test('pairs are compared down to the higher end; loads of both are told apart, and another ground under the wind is no rest', () => {
  const pair = explained(flown({ endCharge: 0.3 }, {}, 1), flown({ endCharge: 0.2 }, {}, 2.5));
  expect(pair.downToCharge).toBe(0.3);
  expect(pair.extraPowerW).toBeCloseTo(1.5, 2);
  const wind = { wind: { ...conditions.wind, speedMps: 3, gustMps: null } };
  const high = { heightM: 60, pattern: 'high-hover' } as const;
  const rough = explained(
    flown(high, { ...wind, roughnessM: 0.03 }),
    flown(high, { ...wind, roughnessM: 0.25 }),
  );
  expect(Math.abs(rough.restS)).toBeLessThan(1);
  expect(Math.abs(rough.causes.find(({ cause }) => cause === 'wind')?.seconds ?? 0)).toBeGreaterThan(5);
});

test('a load that was noted is no difference; a charge of 90 % at the start is told as the start, and nothing is left', () => {
  const load = flown({ recordingLoadW: 1.5 }, {}, 1.5);
  expect(explained(load, load).restS).toBeCloseTo(0, 6);
  const { causes, restS, firstS, secondS } = explained(flown({}), flown({ startCharge: 0.9 }));
  expect(Math.abs(restS)).toBeLessThan(1);
  const byCause = Object.fromEntries(causes.map(({ cause, seconds }) => [cause, seconds]));
  expect(byCause.start).toBeCloseTo(secondS - firstS, 0);
  expect(byCause.air).toBeCloseTo(0, 6);
  expect(byCause.wind).toBeCloseTo(0, 6);
});

test('the scatter of a pair: 4 % of luck each and the reading make ±7.3 % eight times in ten; another pack adds its 3 %', () => {
  const one = flown({});
  const sameOne = { ...one, request: { ...one.request, batteryId: 'jay-1' } };
  const same = explained(sameOne, sameOne);
  expect(same.scatterS / same.firstS).toBeCloseTo(1.2816 * Math.SQRT2 * Math.hypot(0.04, 0.006), 4);
  const other = explained(sameOne, { ...one, request: { ...one.request, batteryId: 'jay-2' } });
  expect(other.scatterS / other.firstS).toBeCloseTo(1.2816 * Math.SQRT2 * Math.hypot(0.04, 0.006, 0.03), 4);
});

test('flights of one kind are taken together, hovers whatever mode was noted; 19:41 and 20:19 make 20:00 ± 0:27', () => {
  const test = (wholeS: number, more: Partial<TestFlight> = {}): TestFlight => ({
    ...hover,
    startCharge: 1,
    endCharge: 0.5,
    durationS: wholeS / 2,
    ...more,
  });
  const kinds = kindsFlown([
    test(1181),
    test(900, { pattern: 'circle', mode: 'slow' }),
    test(1219, { mode: 'fast' }),
    test(1100, { recording: 'high' }),
  ]);
  expect(kinds.map(({ pattern, recording, flights }) => [pattern, recording, flights])).toEqual([
    ['low-hover', null, 2],
    ['circle', null, 1],
    ['low-hover', 'high', 1],
  ]);
  expect(kinds[0]).toMatchObject({ meanS: 1200, mode: null });
  expect(kinds[0]?.scatterS).toBeCloseTo(38 / Math.SQRT2, 6);
  expect(kinds[1]?.scatterS).toBeNull();
});
