import { jayOnTheFell } from '../../fixtures/jay';
import type { Style } from '../aircraft/aircraft';
import { nominal } from '../units/assumed';
import { writeInSi } from '../units/sentence';
import { movingPriors, steady } from './moving';
import { stylePowerW } from './powertrain';
import { flownStyle, speedPriors, stylePriors } from './styles';

const usual = nominal({ ...stylePriors, ...speedPriors, ...movingPriors });

const flown = (style: Style, windMps: number, more: object = {}, topMps = 20, fliesFaster = false) => {
  const air = { windMps, gustMps: windMps, densityKgm3: 1.2, temperatureC: 15 };
  const mode = { maxAirspeedMps: topMps };
  const aircraft = { ...jayOnTheFell.aircraft, modes: { slow: mode, normal: mode, fast: mode } };
  const outcome = flownStyle(
    { aircraft, coefficients: usual, fliesFaster },
    { style, ...more },
    air as never,
  );
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  return outcome.value;
};

// Wind triangles (any navigation handbook): 6 m/s over ground in 8 m/s of wind needs 14 against it, 2 before it, 10 across.
test('6 m/s over ground in 8 m/s of wind: 14 upwind, 2 downwind, 10 across (3-4-5 triangle), a quarter, a quarter, a half', () => {
  expect(flown('normal', 8).stretches).toEqual([
    { airspeedMps: 14, turningMps: 6, share: 0.25 },
    { airspeedMps: 2, turningMps: 6, share: 0.25 },
    { airspeedMps: 10, turningMps: 6, share: 0.5 },
  ]);
});

test('a circle is turned by the speed that is held over ground, not by the airspeed it takes', () => {
  const turned = (windMps: number) =>
    flown('normal', windMps, { circleRadiusM: 15 }, 40).stretches.map(({ turningMps }) => turningMps);
  expect([...new Set([...turned(0), ...turned(3), ...turned(9)])]).toEqual([6]);
});

// By hand: 1 kg thrown to and fro at 10 m/s six times a minute loses 5 W of motion; rotors that take 1.8 W for each ideal watt take 9.
test('what a reversal throws away is made good by the rotors, with their losses', () => {
  const airframe = {
    massKg: 1,
    discAreaM2: 0.2,
    dragAreaM2: 0.02,
    auxiliaryPowerW: 5,
    profileShareOfHover: 0.3,
    thrustCoefficient: 0.012,
    reversalCostRatio: 1,
  };
  const air = {
    densityKgm3: 1.2,
    windMps: 0,
    windFromDeg: 0,
    windDeviationMps: 0,
    gustMps: 0,
    temperatureC: 15,
  };
  const watt = (reversalsPerMin: number) =>
    stylePowerW(
      { airframe, scale: 1.8, flightRatio: 1, unsteadiness: steady },
      air,
      {
        stretches: [{ airspeedMps: 10, turningMps: 10, share: 1 }],
        reversalSpeedMps: 10,
        reversalsPerMin,
        circleRadiusM: null,
        heldGroundMps: 10,
        powerRatio: 1,
      },
      0,
    );
  expect(watt(6) - watt(0)).toBeCloseTo(9, 9);
});

// Speeds over ground of camera work (common practice): creeping shots under walking pace times two, a
// usual shot at the 5 to 7 m/s of a running subject, fast at the 12 to 15 m/s of a cyclist or a car in a village.
test.each([
  ['hover', 0, 0],
  ['slow', 1, 3],
  ['normal', 5, 7],
  ['fast', 12, 15],
] as const)('%s is flown at %d to %d m/s over ground in a calm (common practice)', (style, least, most) => {
  const stretches = flown(style, 0).stretches;
  expect(stretches).toHaveLength(1);
  expect(stretches[0]?.airspeedMps).toBeGreaterThanOrEqual(least);
  expect(stretches[0]?.airspeedMps).toBeLessThanOrEqual(most);
});

test('a hover holds against the wind with the wind’s own speed, and a held airspeed stays as it is', () => {
  expect(flown('hover', 7).stretches).toEqual([{ airspeedMps: 7, turningMps: 0, share: 1 }]);
  expect(flown('normal', 7, { airspeedMps: 9 }).stretches).toEqual([
    { airspeedMps: 9, turningMps: 9, share: 1 },
  ]);
});

test('no stretch asks for more than the mode’s top, and a wind beyond it is refused with its drift', () => {
  const held = flown('normal', 9, {}, 10).stretches;
  expect(held.map(({ airspeedMps }) => airspeedMps)).toEqual([10, 3, 10]);
  // Upwind 15 would be needed: 5 less over ground, by which it turns as well.
  expect(held.slice(0, 2).map(({ turningMps }) => turningMps)).toEqual([1, 6]);
  // 9 m/s of ground speed at most of a mode that flies 10: a tenth is kept to steer with (common practice).
  expect(flown('fast', 0, {}, 10).stretches).toMatchObject([{ airspeedMps: 9, share: 1 }]);
  expect(() => flown('normal', 11, {}, 10)).toThrow('wind-beyond-mode');
});

test('a mode that cannot hold names the slowest that does, in a sentence that is whole (slow 8, normal 12, fast 16 m/s where the sheet is silent)', () => {
  const told = (style: Style, windMps: number) => {
    const air = {
      windMps,
      gustMps: windMps,
      densityKgm3: 1.2,
      temperatureC: 15,
      windFromDeg: 0,
      windDeviationMps: 0,
    };
    const inAir = { aircraft: jayOnTheFell.aircraft, coefficients: usual, fliesFaster: false };
    const outcome = flownStyle(inAir, { style }, air);
    return outcome.ok ? null : writeInSi(outcome.refusal);
  };
  expect(told('slow', 7.9)).toBeNull();
  expect(told('slow', 9)).toBe(
    'Slow mode (8 m/s) cannot hold against 9 m/s of wind: it drifts back at 1 m/s. Fly lower, or this part in normal.',
  );
  expect(told('slow', 13)).toContain('this part in fast.');
  expect(told('normal', 17)).toMatch(/at 5 m\/s. Fly lower.$/);
  expect(told('hover', 17)).toMatch(/^No mode holds a hover/);
});

test('a flight’s own speed lies 5 % from an airspeed that was noted, 8 % from how its style is flown, never past the mode’s top', () => {
  const air = {
    windMps: 0,
    windFromDeg: 0,
    windDeviationMps: 0,
    gustMps: 0,
    densityKgm3: 1.2,
    temperatureC: 15,
  };
  const speed = (share: Parameters<typeof flownStyle>[1], ownSpeedDeviations: number) => {
    const { aircraft } = jayOnTheFell;
    const outcome = flownStyle(
      { aircraft, coefficients: { ...usual, ownSpeedDeviations }, fliesFaster: false },
      share,
      air,
    );
    return outcome.ok ? outcome.value.stretches[0]?.airspeedMps : null;
  };
  expect(speed({ style: 'normal', airspeedMps: 8 }, 1)).toBeCloseTo(8 * Math.exp(0.05), 12);
  expect(speed({ style: 'slow' }, -1)).toBeCloseTo((speed({ style: 'slow' }, 0) ?? 0) * Math.exp(-0.08), 12);
  expect(speed({ style: 'normal', airspeedMps: 8 }, 40)).toBeLessThan(30);
});
