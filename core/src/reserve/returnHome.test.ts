import fc from 'fast-check';
import { jayOnTheFell } from '../../fixtures/jay';
import { holds } from '../../fixtures/seeds';
import { type Atmosphere, stillAir } from '../air/conditions';
import type { Aircraft } from '../aircraft/aircraft';
import { airframePriors } from '../aircraft/airframe';
import { cellPriors } from '../battery/cells';
import { boxPriors, solveBox } from '../flight/box';
import { boxPairPriors } from '../flight/boxPair';
import { nominal } from '../units/assumed';
import { writeInSi } from '../units/sentence';
import { type ComesHome, homeRuleOf } from './homing';
import { returnLegs, returnPriors } from './returnHome';

const usual = nominal({ ...boxPriors, ...boxPairPriors, ...airframePriors, ...cellPriors, ...returnPriors });
const { aircraft, battery } = jayOnTheFell;
const box = solveBox(aircraft, battery, usual);
if (!box.ok) throw new Error(writeInSi(box.refusal));
const { powertrain } = box.value;

const windy =
  (windMps: number, windFromDeg: number): Atmosphere =>
  () => ({ densityKgm3: 1.2, temperatureC: 10, windMps, windFromDeg, windDeviationMps: 0, gustMps: windMps });

const home = (
  distanceM: number,
  heightM: number,
  air: Atmosphere,
  returnHeightM = 40,
  comesHome: ComesHome = 'by-itself',
  more: Partial<Aircraft> = { returnHolds: 'airspeed' },
) => {
  const legs = returnLegs(
    {
      aircraft: { ...aircraft, ...more },
      powertrain,
      atmosphere: air,
      coefficients: usual,
      fliesFaster: false,
    },
    { distanceM, bearingDeg: 60, heightM },
    homeRuleOf({ comesHome }, returnHeightM, 20),
  );
  return legs.ok ? legs.value : legs.refusal;
};
const seconds = (legs: ReturnType<typeof home>) =>
  Array.isArray(legs) ? legs.reduce((sum, leg) => sum + leg.durationS, 0) : Number.POSITIVE_INFINITY;

test('still air by hand: rise 20 m at 4 m/s, 400 m at 8 m/s, down 40 m at 3 m/s, 20 s to land', () => {
  expect(seconds(home(400, 20, stillAir(10, 1.2)))).toBeCloseTo(20 / 4 + 400 / 8 + 40 / 3 + 20, 9);
});

test('above the return height it stays up; very near it lands where it is, a little farther it rises low', () => {
  const air = stillAir(10, 1.2);
  expect(seconds(home(400, 90, air))).toBeCloseTo(400 / 8 + 90 / 3 + 20, 9);
  expect(seconds(home(4, 2, air))).toBeCloseTo(2 / 3 + 20, 9);
  expect(seconds(home(15, 2, air))).toBeCloseTo(8 / 4 + 15 / 8 + 10 / 3 + 20, 9);
});

test('8 m/s against a 9–10 m/s headwind never comes home (common practice), and says how fast it drifts', () => {
  const refusal = home(300, 60, windy(9.5, 240));
  expect(refusal).toMatchObject({ code: 'home-unreachable', values: { driftMps: expect.closeTo(1.5, 9) } });
});

test('a wind across is named where there is one to speak of: 12° off 9.5 m/s are 2 m/s, 2° are 0.3', () => {
  const said = (fromDeg: number) => {
    const refusal = home(300, 60, windy(9.5, fromDeg));
    return 'code' in refusal ? writeInSi(refusal) : '';
  };
  expect(said(252)).toContain('and 2 m/s across');
  expect(said(242)).not.toContain('across');
});

test('more headwind never shortens the way home (seed 6)', () => {
  const wind = fc.double({ min: 0, max: 12, noNaN: true });
  holds(
    fc.property(wind, wind, fc.double({ min: 30, max: 2000, noNaN: true }), (a, b, distanceM) => {
      const of = (windMps: number) => seconds(home(distanceM, 60, windy(windMps, 240)));
      expect(of(Math.max(a, b))).toBeGreaterThanOrEqual(of(Math.min(a, b)) - 1e-9);
    }),
    { seed: 6 },
  );
});

// By hand: 0.9 of the 12 and 16 m/s that modes of a camera drone fly; low is 10 m clear of the 20 m that stand there.
test('by hand it comes home with the stick forward, in fast mode faster, and low below its return height where that is clear', () => {
  const air = windy(0, 240);
  const cruise = (comesHome: ComesHome, heightM = 60) => {
    const legs = home(400, heightM, air, 40, comesHome);
    if (!Array.isArray(legs)) throw new Error('It does not come home.');
    const [first] = legs;
    const across = legs.find(({ kind }) => kind === 'cruise');
    return [first?.kind, across?.heightM, across?.groundMps.toFixed(2)];
  };
  expect(cruise('by-itself')).toEqual(['cruise', 60, '8.00']);
  expect(cruise('by-hand')).toEqual(['cruise', 60, '10.80']);
  expect(cruise('by-hand-fast', 20)).toEqual(['rise', 40, '14.40']);
  expect(cruise('by-hand-low')).toEqual(['come-down', 30, '10.80']);
  expect(seconds(home(300, 60, windy(9.5, 240), 40, 'by-hand'))).toBeLessThan(400);
});

// Wind triangle by hand: 8 m/s through the air against 5 leaves 3, with 5 behind 13; 8 over ground takes 13 (12 is all there is), or 3.
test('its automatic return holds airspeed or ground speed by type; unknown, it is planned on what takes more of the pack', () => {
  const timeS = (fromDeg: number, returnHolds: Aircraft['returnHolds']) =>
    seconds(home(400, 60, windy(5, fromDeg), 40, 'by-itself', { returnHolds })) - 60 / 3 - 20;
  expect(timeS(240, 'airspeed')).toBeCloseTo(400 / 3, 6);
  expect(timeS(240, 'ground-speed')).toBeCloseTo(400 / 7, 6);
  expect(timeS(240, null)).toBeCloseTo(400 / 3, 6);
  expect(timeS(60, 'airspeed')).toBeCloseTo(400 / 13, 6);
  expect(timeS(60, 'ground-speed')).toBeCloseTo(400 / 8, 6);
  expect(timeS(60, null)).toBeCloseTo(400 / 8, 6);
});
