import { minutesAndSeconds } from '../units/clock';
import { compareTest, timeAtCharge } from './compare';
import { straightLine } from './straightLine';
import { patternMix, testFlightProblem } from './testFlight';

const flight = { startCharge: 0.98, endCharge: 0.2, durationS: 15 * 60 + 21 };

test('straight line: 98 → 20 % in 15:21 makes 19:41 of a whole charge; the slip makes 19:11 (common practice)', () => {
  const line = straightLine(flight);
  expect(minutesAndSeconds(line.fullGaugeS)).toBe('19:41');
  expect(minutesAndSeconds(line.forgottenStartS)).toBe('19:11');
  expect(minutesAndSeconds(line.toZeroS)).toBe('19:17');
});

const point = (timeS: number, charge: number) => ({
  timeS,
  charge,
  cellVoltageV: 4,
  packTemperatureC: 20,
  powerW: 40,
});

test('a test is held against the time at which the estimate reaches the same charge', () => {
  const curve = [point(0, 0.98), point(500, 0.6), point(1000, 0.1)];
  expect(timeAtCharge(curve, 0.35)).toBeCloseTo(750, 9);
  const comparison = compareTest({ ...flight, endCharge: 0.35, durationS: 800 }, curve, 1860);
  expect(comparison.estimatedS).toBeCloseTo(750, 9);
  expect(comparison.missFraction).toBeCloseTo(-0.0625, 9);
  expect(comparison.boxFraction).toBeCloseTo(800 / 0.63 / 1860, 9);
});

test('an estimate that never gets so low has no miss', () => {
  expect(compareTest(flight, [point(0, 0.98), point(100, 0.9)], 1860).missFraction).toBeNull();
});

test('the end must lie below the start', () => {
  expect(testFlightProblem({ startCharge: 0.5, endCharge: 0.5 })).toContain('below the 50 %');
  expect(testFlightProblem(flight)).toBeNull();
});

test('patterns become mixes: hovers hover, a circle banks, the rest keeps its mode', () => {
  expect(patternMix({ pattern: 'low-hover', mode: 'fast' })).toEqual([{ style: 'hover', share: 1 }]);
  expect(patternMix({ pattern: 'circle', mode: 'slow' })[0]).toMatchObject({
    style: 'slow',
    circleRadiusM: 15,
  });
  expect(patternMix({ pattern: 'there-and-back', mode: 'fast', airspeedMps: 12 })[0]).toMatchObject({
    airspeedMps: 12,
  });
});
