import fc from 'fast-check';
import { boxDrawn, boxMiddle } from '../../fixtures/beliefs';
import { holds } from '../../fixtures/seeds';
import type { Aircraft } from '../aircraft/aircraft';
import { type Airframe, airframeOf } from '../aircraft/airframe';
import { rotorPowerW } from '../aircraft/rotorPower';
import type { Battery } from '../battery/battery';
import { cellsOf } from '../battery/cells';
import { gravityMps2 } from '../units/physics';
import { boxDensityKgm3, boxTemperatureC, newBattery, solveBox } from './box';
import { boxPairPriors, likeliestAirframe } from './boxPair';
import { drain, endOf } from './drain';
import { electricalPowerW } from './powertrain';

/** A racing style: 795 g, four rotors of 13.5 cm, six cells of 2 Ah. */
const racer = {
  takeoffMassKg: 0.795,
  rotorCount: 4,
  rotorDiameterM: 0.135,
  kind: 'racing',
  advertisedFlightTimeS: 1200,
  advertisedSpeedMps: 11.1,
  advertisedHoverTimeS: 960,
} as Aircraft;
const battery: Battery = {
  ratedCapacityMah: 2000,
  nominalVoltageV: 22.2,
  cellCount: 6,
  fullCellVoltageV: 4.2,
  startCharge: 1,
  cycles: 0,
};
const solved = (change: Partial<Aircraft> = {}, { coefficients } = boxMiddle.middle) => {
  const box = solveBox({ ...racer, ...change }, newBattery(battery), coefficients);
  if (!box.ok) throw new Error(box.refusal.code);
  return box.value;
};
const powerW = ({ powertrain }: ReturnType<typeof solved>, airspeedMps: number) =>
  electricalPowerW(powertrain, { airspeedMps, climbMps: 0, densityKgm3: boxDensityKgm3, loadFactor: 1 });

const fresh = cellsOf(newBattery(battery), 1, null, boxMiddle.middle.coefficients);
const lastsS = (watt: number) =>
  endOf(drain(fresh, watt, boxTemperatureC, { timeS: 0, charge: 1, temperatureC: boxTemperatureC }))?.timeS ??
  0;
/** The power that empties the new pack in a time, by halving, W. */
function steadyW(durationS: number): number {
  let [low, high] = [20, 600];
  for (let i = 0; i < 50; i++) {
    const middle = (low + high) / 2;
    if (lastsS(middle) > durationS) low = middle;
    else high = middle;
  }
  return low;
}
const rotorW = (airframe: Airframe, airspeedMps: number) =>
  rotorPowerW(airframe, { airspeedMps, climbMps: 0, densityKgm3: boxDensityKgm3, loadFactor: 1 });
const ratioOf = (airframe: Airframe) => rotorW(airframe, 11.1) / rotorW(airframe, 0);

test('half a minute on the box moves fast flight by less than 15 % (it moved it from 0.88 to 2.04 hovers), and it tilts as racing styles do', () => {
  const pairs = [
    [20, 16],
    [20.5, 15.5],
    [19.5, 16.5],
  ] as const;
  const boxes = pairs.map(([flight, hover]) =>
    solved({ advertisedFlightTimeS: flight * 60, advertisedHoverTimeS: hover * 60 }),
  );
  const fast = boxes.map((box) => powerW(box, 20) / powerW(box, 0));
  expect(Math.max(...fast) / Math.min(...fast)).toBeLessThan(1.15);
  // At its top of 27 m/s such an aircraft leans by 20° and more (common practice).
  for (const { powertrain } of boxes) {
    const dragN = 0.5 * boxDensityKgm3 * powertrain.airframe.dragAreaM2 * 27 ** 2;
    const tiltDeg = (Math.atan(dragN / (racer.takeoffMassKg * gravityMps2)) * 180) / Math.PI;
    expect(tiltDeg).toBeGreaterThan(20);
  }
});

test('the hover lasts as the box says; what the flight time says more is taken for 9 % of doubt', () => {
  const box = solved();
  expect(lastsS(powerW(box, 0))).toBeCloseTo(960, 1);
  expect(Math.abs(Math.log(lastsS(powerW(box, 11.1)) / 1200))).toBeLessThan(2 * 0.09);
  expect(box.hoverTimeFinding).toBeNull();
});

test('a drag area on the spec sheet is kept, with a hover time beside it too', () => {
  expect(solved({ dragAreaM2: 0.02 }).powertrain.airframe.dragAreaM2).toBe(0.02);
});

test('draws of the drag are those of the posterior, integrated by hand on a grid', () => {
  const { spread } = boxPairPriors.boxPairRatio;
  const guessed = airframeOf(racer, boxMiddle.middle.coefficients);
  const boxes = boxDrawn(512).draws.map((world) => solved({}, world).powertrain.airframe);
  const logs = boxes.map(({ dragAreaM2 }) => Math.log(dragAreaM2 / guessed.dragAreaM2));
  const mean = logs.reduce((a, b) => a + b, 0) / logs.length;
  const deviation = Math.sqrt(logs.reduce((a, b) => a + (b - mean) ** 2, 0) / logs.length);

  const wanted = (steadyW(1200) - guessed.auxiliaryPowerW) / (steadyW(960) - guessed.auxiliaryPowerW);
  let [weights, first, second] = [0, 0, 0];
  for (let d = -5; d <= 5; d += 0.05) {
    for (let p = -4; p <= 4; p += 0.1) {
      const airframe: Airframe = {
        ...guessed,
        dragAreaM2: guessed.dragAreaM2 * Math.exp(0.25 * d),
        profileShareOfHover: Math.min(0.5, Math.max(0.1, 0.3 + 0.05 * p)),
      };
      const miss = Math.log(ratioOf(airframe) / wanted) / spread;
      const weight = Math.exp(-0.5 * (miss ** 2 + d ** 2 + p ** 2));
      weights += weight;
      first += weight * 0.25 * d;
      second += weight * (0.25 * d) ** 2;
    }
  }
  const gridMean = first / weights;
  const gridDeviation = Math.sqrt(second / weights - gridMean ** 2);
  expect(Math.abs(mean - gridMean)).toBeLessThan(0.1 * gridDeviation);
  expect(Math.abs(deviation / gridDeviation - 1)).toBeLessThan(0.1);
  expect(gridDeviation).toBeLessThan(0.9 * 0.25);
});

test('it is the likeliest: no airframe near it is likelier, whatever the box says (seed 251)', () => {
  const guessed = airframeOf(racer, boxMiddle.middle.coefficients);
  holds(
    fc.property(fc.double({ min: 0.6, max: 1.3, noNaN: true }), (wanted) => {
      const cost = (airframe: Airframe) =>
        (Math.log(ratioOf(airframe) / wanted) / 0.09) ** 2 +
        (Math.log(airframe.dragAreaM2 / guessed.dragAreaM2) / 0.25) ** 2 +
        ((airframe.profileShareOfHover - 0.3) / 0.05) ** 2;
      const best = likeliestAirframe(guessed, { wanted, ratioOf, isDragKnown: false });
      for (const [drag, share] of [
        [1.02, 0],
        [0.98, 0],
        [1, 0.003],
        [1, -0.003],
      ] as const) {
        const near = {
          ...best,
          dragAreaM2: best.dragAreaM2 * drag,
          profileShareOfHover: best.profileShareOfHover + share,
        };
        expect(cost(near)).toBeGreaterThan(cost(best) - 1e-6);
      }
    }),
    { seed: 251, numRuns: 60 },
  );
});
