import fc from 'fast-check';
import { boxMiddle } from '../../fixtures/beliefs';
import { jayOnTheFell } from '../../fixtures/jay';
import { holds } from '../../fixtures/seeds';
import { estimate } from '../estimate/estimate';
import { minutesAndSeconds } from '../units/clock';
import { timeAtCharge } from './compare';
import { type ProjectionKind, projections } from './projections';
import { type Checkpoint, requestForTest, type TestFlight } from './testFlight';

const { aircraft, battery, conditions } = jayOnTheFell;
const hover: TestFlight = {
  pattern: 'low-hover',
  heightM: 5,
  startCharge: 0.98,
  endCharge: 0.2,
  durationS: 921,
};
const schoolsOf = (test: TestFlight, advertisedFlightTimeS = aircraft.advertisedFlightTimeS) => {
  const all = projections(
    { test, aircraft: { ...aircraft, advertisedFlightTimeS }, battery, conditions },
    boxMiddle,
  );
  return Object.fromEntries(all.map((one) => [one.kind, one])) as Record<
    ProjectionKind,
    (typeof all)[number]
  >;
};

test('98 → 20 % in 15:21 is 19:41 for all of it; who takes 98 for 100 gets 19:11 (hand-worked, common practice)', () => {
  const schools = schoolsOf(hover);
  expect(minutesAndSeconds(schools['straight-line'].toZeroS)).toBe('19:41');
  expect(minutesAndSeconds(schools['forgotten-start'].toZeroS)).toBe('19:11');
  expect(schools['straight-line'].ofBoxFraction).toBeCloseTo(921 / 0.78 / 1860, 12);
});

test('with readings on one straight line its last third promises the same; drained faster at the end, less', () => {
  const straight = [300, 600, 800].map((timeS) => ({ timeS, charge: 0.98 - (0.78 * timeS) / 921 }));
  const schools = schoolsOf({ ...hover, checkpoints: straight });
  expect(schools['last-third'].toZeroS).toBeCloseTo(schools['straight-line'].toZeroS, 6);
  // By hand: 40 % at 10:14 (two thirds), then 20 % in 307 s: 307 s more to 0 %; the 2 % above the start at 921/78 s each.
  const bent = schoolsOf({ ...hover, checkpoints: [{ timeS: 614, charge: 0.4 }] });
  expect(bent['last-third'].toZeroS).toBeCloseTo(921 + 307 + (2 * 921) / 78, 6);
});

/** A flight of the model, thirstier by a ratio, stopped at a charge; its time to 0 % is known. */
function simulated(powerRatio: number, endCharge: number, startCharge = 1) {
  const { middle } = boxMiddle;
  const coefficients = { ...middle.coefficients, flightPowerRatio: powerRatio };
  const test = { ...hover, startCharge, endCharge };
  const request = requestForTest(test, aircraft, battery, conditions);
  const flown = estimate(request, { basis: boxMiddle.basis, middle: { ...middle, coefficients } });
  if (!flown.ok) throw new Error('it flies');
  const at = (charge: number) => timeAtCharge(flown.value.curve, charge) as number;
  const checkpoints: Checkpoint[] = [0.8, 0.6, 0.4]
    .filter((charge) => charge > endCharge && charge < startCharge)
    .map((charge) => ({ timeS: at(charge), charge }));
  return { test: { ...test, durationS: at(endCharge), checkpoints }, zeroS: at(0), at };
}

test('simulated flights of a thirstier or a leaner aircraft, stopped anywhere: the drain curve finds the end that was not flown', () => {
  holds(
    fc.property(
      fc.double({ min: 0.8, max: 1.3, noNaN: true }),
      fc.integer({ min: 5, max: 60 }),
      (ratio, end) => {
        const { test, zeroS } = simulated(ratio, end / 100);
        const curve = schoolsOf(test)['drain-curve'];
        expect(curve.toZeroS / zeroS).toBeCloseTo(1, 3);
        expect(curve.missFraction).toBeNull();
      },
    ),
    { seed: 13, numRuns: 40 },
  );
});

test('a reading just after lift-off, half a per cent off by its rounding, moves the drain curve by less than a three-hundredth', () => {
  const { test, zeroS, at } = simulated(1, 0.2);
  // Read as 97 %, while it was 97.5: a fifth of what was spent so far.
  const checkpoints = [{ timeS: at(0.975), charge: 0.97 }, ...test.checkpoints];
  const curve = schoolsOf({ ...test, checkpoints })['drain-curve'];
  expect(Math.abs(curve.toZeroS / zeroS - 1)).toBeLessThan(1 / 300);
});

test('a straight line through the first half promises too much, since the volts fall and the current rises', () => {
  const { test, zeroS } = simulated(1, 0.5);
  const line = schoolsOf(test)['straight-line'];
  expect(line.toZeroS).toBeGreaterThan(zeroS);
  expect(line.missFraction).toBeCloseTo(line.toZeroS / zeroS - 1, 3);
});

test('where 0 % was read, all schools are held against that, the drain curve too', () => {
  const { test, at } = simulated(1.1, 0.02, 0.98);
  const zeroS = at(0);
  const whole = {
    ...test,
    durationS: zeroS + 40,
    endCharge: 0,
    checkpoints: [...test.checkpoints, { timeS: zeroS, kind: 'empty' as const }],
  };
  const schools = schoolsOf(whole);
  expect(schools['drain-curve'].missFraction).not.toBeNull();
  expect(Math.abs(schools['drain-curve'].missFraction as number)).toBeLessThan(0.02);
  // The flight went on for 40 s at 0 %, which a straight line takes for slow flying.
  expect(schools['straight-line'].missFraction as number).toBeGreaterThan(0.02);
});

test('what the model cannot fly is projected by lines alone', () => {
  const all = projections(
    {
      test: { ...hover, pattern: 'there-and-back', mode: 'slow' },
      aircraft,
      battery,
      conditions: { ...conditions, wind: { speedMps: 30, fromDeg: 0, readingHeightM: 10 } },
    },
    boxMiddle,
  );
  expect(all.map(({ kind }) => kind)).toEqual(['straight-line', 'forgotten-start', 'last-third']);
  expect(all.every(({ missFraction }) => missFraction === null)).toBe(true);
});
