import { airframePriors } from '../aircraft/airframe';
import type { Battery } from '../battery/battery';
import { loadAt, type Pack, packOf, packPriors } from '../battery/pack';
import { nominal } from '../units/assumed';
import { boxDensityKgm3, boxTemperatureC, newBattery, solveBox } from './box';
import { drain, flyLegs, momentAtCharge } from './drain';
import { electricalPowerW } from './powertrain';

const usual = nominal({ ...airframePriors, ...packPriors });

const battery: Battery = {
  ratedCapacityMah: 2350,
  nominalVoltageV: 7.7,
  cellCount: 2,
  fullCellVoltageV: 4.4,
  startCharge: 1,
};
const jay = {
  kind: 'camera',
  takeoffMassKg: 0.249,
  rotorCount: 4,
  rotorDiameterM: 0.12,
  advertisedFlightTimeS: 1860,
  advertisedSpeedMps: 5.5,
} as const;
const cold = { timeS: 0, charge: 0.99, temperatureC: 6 };

/** The same equations in time, by classical Runge–Kutta in steps of 0.25 s: slow, and written another way. */
function drainedByRungeKutta(pack: Pack, powerW: number, airC: number, toCharge: number): number {
  const slope = (charge: number, temperatureC: number): [number, number] => {
    const load = loadAt(pack, powerW, charge, temperatureC);
    if (!load) throw new Error('The pack gave out before the charge was reached.');
    const { heatCapacityJpK, coolingWpK } = pack.thermals;
    return [
      -load.currentA / (3600 * pack.capacityAh(temperatureC)),
      (load.heatW - coolingWpK * (temperatureC - airC)) / heatCapacityJpK,
    ];
  };
  const dt = 0.25;
  let [charge, temperatureC, timeS] = [cold.charge, cold.temperatureC, 0];
  while (charge > toCharge) {
    const [a, ta] = slope(charge, temperatureC);
    const [b, tb] = slope(charge + (dt / 2) * a, temperatureC + (dt / 2) * ta);
    const [c, tc] = slope(charge + (dt / 2) * b, temperatureC + (dt / 2) * tb);
    const [d, td] = slope(charge + dt * c, temperatureC + dt * tc);
    charge += (dt / 6) * (a + 2 * b + 2 * c + d);
    temperatureC += (dt / 6) * (ta + 2 * tb + 2 * tc + td);
    timeS += dt;
  }
  return timeS;
}

test.each([0.5, 0.1])(
  'the drain to %d of the charge agrees with a Runge–Kutta solution within 0.1 % of time',
  (charge) => {
    const pack = packOf(battery, null, usual);
    const timeS = momentAtCharge(drain(pack, 38, 5, cold), charge).timeS;
    const exactS = drainedByRungeKutta(pack, 38, 5, charge);
    expect(Math.abs(timeS / exactS - 1)).toBeLessThan(0.001);
  },
);

test('legs in time and the drain in charge are one flight', () => {
  const pack = packOf(battery, null, usual);
  const moment = momentAtCharge(drain(pack, 38, 5, cold), 0.4);
  const flown = flyLegs(pack, [{ powerW: 38, durationS: moment.timeS }], 5, cold);
  expect(flown?.charge).toBeCloseTo(0.4, 4);
});

test('minutes per per cent shrink towards the end: the voltage sags (common practice)', () => {
  const curve = drain(packOf(battery, null, usual), 38, 20, {
    timeS: 0,
    charge: 0.95,
    temperatureC: 20,
  });
  const at = (charge: number) => momentAtCharge(curve, charge).timeS;
  expect(at(0.3) - at(0.4)).toBeLessThan(at(0.8) - at(0.9));
});

test('an overloaded or empty pack drains nothing, in a bounded number of steps', () => {
  const pack = packOf(battery, null, usual);
  expect(drain(pack, 1e5, 20, cold)).toHaveLength(0);
  expect(drain(pack, 1, 20, { ...cold, charge: 0 }).length).toBeLessThanOrEqual(1);
  expect(drain(pack, 0.01, -30, cold).length).toBeLessThan(300);
});

test('the box is solved: a new full pack at the advertised speed lasts the advertised time', () => {
  const solved = solveBox(jay, battery, usual);
  if (!solved.ok) throw new Error(solved.refusal.message);
  const flow = { airspeedMps: 5.5, climbMps: 0, densityKgm3: boxDensityKgm3, loadFactor: 1 };
  const powerW = electricalPowerW(solved.value.powertrain, flow);
  const pack = packOf(newBattery(battery), null, usual);
  const curve = drain(pack, powerW, boxTemperatureC, { timeS: 0, charge: 1, temperatureC: boxTemperatureC });
  expect(curve[curve.length - 1]?.timeS).toBeCloseTo(1860, 1);
});

test('with a hover time the box is solved for both', () => {
  const solved = solveBox({ ...jay, advertisedHoverTimeS: 1620 }, battery, usual);
  if (!solved.ok) throw new Error(solved.refusal.message);
  expect(solved.value.hoverTimeIgnored).toBe(false);
  const flow = { airspeedMps: 0, climbMps: 0, densityKgm3: boxDensityKgm3, loadFactor: 1 };
  const powerW = electricalPowerW(solved.value.powertrain, flow);
  const pack = packOf(newBattery(battery), null, usual);
  const curve = drain(pack, powerW, boxTemperatureC, { timeS: 0, charge: 1, temperatureC: boxTemperatureC });
  expect(curve[curve.length - 1]?.timeS).toBeCloseTo(1620, 1);
});

test('a box that contradicts itself says so', () => {
  const refusalOf = (change: object) => {
    const solved = solveBox({ ...jay, ...change }, battery, usual);
    return solved.ok
      ? solved.value.hoverTimeIgnored
        ? 'hover time set aside'
        : 'fine'
      : solved.refusal.code;
  };
  expect(refusalOf({ advertisedFlightTimeS: 7200 })).toBe('box-too-good');
  expect(refusalOf({ advertisedFlightTimeS: 130 })).toMatch(/box-(too-poor|time-impossible)/);
  expect(refusalOf({ advertisedHoverTimeS: 3600 })).toBe('hover time set aside');
});
