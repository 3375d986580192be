import { flightTimeByGeneralSolverS } from '../../fixtures/generalSolver';
import { jayOnTheFell } from '../../fixtures/jay';
import { airframePriors } from '../aircraft/airframe';
import { cellPriors, cellsOf } from '../battery/cells';
import { nominal } from '../units/assumed';
import { boxPriors } from './box';
import { drain, emptyCurve, endOf } from './drain';
import { smoothTimesAt } from './smoothTimes';

const usual = nominal({ ...boxPriors, ...airframePriors, ...cellPriors });
const cells = cellsOf(jayOnTheFell.battery, 1, null, usual);
const start = { timeS: 0, charge: 0.99, temperatureC: 12 };

test('a drain passes 97 to 6 % of its charge within 0.1 % of when a general solver says (Hairer, Nørsett & Wanner)', () => {
  const charges = [0.97, 0.94, 0.86, 0.71, 0.55, 0.34, 0.17, 0.06];
  const ours = smoothTimesAt(drain(cells, 42, 5, start), cells, charges);
  charges.forEach((charge, i) => {
    const generalS = flightTimeByGeneralSolverS(cells, 42, 5, start, 1e-11, charge);
    expect(Math.abs((ours[i] as number) / generalS - 1)).toBeLessThan(0.001);
  });
});

test('beyond its end and before its start it goes straight on, so that what is fitted has a slope; without a drain there is none', () => {
  const curve = drain(cells, 42, 5, start);
  const end = endOf(curve)?.charge as number;
  const [at, below, further] = smoothTimesAt(curve, cells, [end, end - 0.02, end - 0.04]) as [
    number,
    number,
    number,
  ];
  expect(below).toBeGreaterThan(at);
  expect(further - below).toBeCloseTo(below - at, 9);
  expect(smoothTimesAt(curve, cells, [1])[0]).toBeLessThan(0);
  expect(smoothTimesAt(emptyCurve(), cells, [0.5])[0]).toBeNaN();
});
