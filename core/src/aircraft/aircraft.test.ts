import { nominal } from '../units/assumed';
import { gravityMps2 } from '../units/physics';
import { airframeOf, airframePriors } from './airframe';
import { groundEffectPowerRatio, isInGroundEffect } from './groundEffect';
import { inducedVelocityMps } from './inducedVelocity';
import { rotorPowerW } from './rotorPower';
import { reversalPowerW, turnLoadFactor } from './turn';

const level = { thrustN: 20, densityKgm3: 1.225, discAreaM2: 0.503, alongDiscMps: 0, throughDiscMps: 0 };
const hoverMps = Math.sqrt(level.thrustN / (2 * level.densityKgm3 * level.discAreaM2));

test('induced velocity: v_h in hover, v_h²/V far faster (Glauert; Leishman ch. 2)', () => {
  expect(inducedVelocityMps(level)).toBeCloseTo(hoverMps, 9);
  expect(inducedVelocityMps({ ...level, alongDiscMps: 60 })).toBeCloseTo(hoverMps ** 2 / 60, 3);
});

test('induced velocity in a climb is −Vc/2 + √(Vc²/4 + v_h²) (momentum theory, Leishman ch. 2)', () => {
  const climbMps = 4;
  const expected = -climbMps / 2 + Math.sqrt(climbMps ** 2 / 4 + hoverMps ** 2);
  expect(inducedVelocityMps({ ...level, throughDiscMps: climbMps })).toBeCloseTo(expected, 9);
});

describe('the rotary-wing curve of Zeng, Xu & Zhang (IEEE Trans. Wireless Commun. 2019), its induced part by our law', () => {
  const v0 = 4.03;
  const thrustN = 2 * 1.225 * 0.503 * v0 ** 2;
  const powerW = (v: number) =>
    79.8563 * (1 + (3 * v ** 2) / 120 ** 2) +
    (88.6279 * inducedVelocityMps({ ...level, thrustN, alongDiscMps: v })) / v0 +
    0.5 * 0.6 * 1.225 * 0.05 * 0.503 * v ** 3;
  const speeds = Array.from({ length: 300 }, (_, i) => (i + 1) / 10);
  const minBy = (f: (v: number) => number) => speeds.reduce((best, v) => (f(v) < f(best) ? v : best));

  test('hover 168.48 W', () => expect(powerW(0)).toBeCloseTo(168.48, 2));

  test('least power 126.0 W at 10.2 m/s', () => {
    const v = minBy(powerW);
    expect(v).toBeCloseTo(10.2, 1);
    expect(powerW(v)).toBeCloseTo(126.0, 1);
  });

  test('least energy per metre 8.83 J/m at 18.3 m/s', () => {
    const v = minBy((speed) => powerW(speed) / speed);
    expect(v).toBeCloseTo(18.3, 1);
    expect(powerW(v) / v).toBeCloseTo(8.83, 2);
  });
});

describe('our power curve', () => {
  const airframe = airframeOf(
    {
      kind: 'camera',
      takeoffMassKg: 0.249,
      rotorCount: 4,
      advertisedFlightTimeS: 1800,
      advertisedSpeedMps: 5,
    },
    nominal(airframePriors),
  );
  const at = (airspeedMps: number, more = {}) =>
    rotorPowerW(airframe, { airspeedMps, climbMps: 0, densityKgm3: 1.225, loadFactor: 1, ...more });

  test('hover is ideal induced power over 0.7, for a profile share of 0.3 (by hand)', () => {
    const weightN = 0.249 * gravityMps2;
    const idealW = weightN * Math.sqrt(55 / (2 * 1.225));
    expect(at(0)).toBeCloseTo(idealW / 0.7, 6);
  });

  test('it falls from hover to a least power between 3 and 9 m/s, then rises to more than double at 16 m/s', () => {
    const speeds = Array.from({ length: 33 }, (_, i) => i / 2);
    const least = speeds.reduce((best, v) => (at(v) < at(best) ? v : best));
    expect(least).toBeGreaterThan(3);
    expect(least).toBeLessThan(9);
    expect(at(16)).toBeGreaterThan(2 * at(least));
  });

  test('thin air, a climb and a tight turn cost', () => {
    expect(at(0, { densityKgm3: 1 })).toBeGreaterThan(at(0));
    expect(at(5, { climbMps: 3 })).toBeGreaterThan(at(5) + 0.249 * gravityMps2 * 2);
    expect(at(10, { loadFactor: turnLoadFactor(10, 15) })).toBeGreaterThan(at(10));
  });
});

test('a 45° bank has load factor √2: V² = r·g (flight mechanics)', () => {
  expect(turnLoadFactor(Math.sqrt(20 * gravityMps2), 20)).toBeCloseTo(Math.SQRT2, 12);
  expect(turnLoadFactor(10, null)).toBe(1);
});

test('six reversals a minute of 1 kg at 10 m/s throw away 5 W (½·m·V², by hand)', () => {
  expect(reversalPowerW(1, 10, 6)).toBeCloseTo(5, 12);
});

test.each([
  [60, 2],
  [70.53, 3],
])(
  'a level turn banked %d° pulls %d times the weight (load factor chart, FAA-H-8083-3, ch. 3)',
  (bankDeg, loadFactor) => {
    const speedMps = 12;
    const radiusM = speedMps ** 2 / (gravityMps2 * Math.tan((bankDeg * Math.PI) / 180));
    expect(turnLoadFactor(speedMps, radiusM)).toBeCloseTo(loadFactor, 3);
  },
);

test('ground effect: a radius up the rotor lifts 1.067 times as much for its power, two diameters up 0.4 % (Cheeseman & Bennett 1955)', () => {
  // T_in/T_out = 1/(1 − 1/16) = 1.0667 at constant power; power for the same thrust is its inverse to the 1.5.
  expect(groundEffectPowerRatio(0.5, 1)).toBeCloseTo(1.0667 ** -1.5, 4);
  expect(groundEffectPowerRatio(2, 1)).toBeCloseTo((1 - 1 / 256) ** 1.5, 9);
  expect(isInGroundEffect(2, 1)).toBe(false);
});
