import fc from 'fast-check';
import { nominal } from '../units/assumed';
import type { Battery } from './battery';
import { cellChargeOf, gaugeOf } from './gauge';
import { chemistryOf, openCircuitVoltage } from './openCircuit';
import { loadAt, packOf, packPriors } from './pack';
import { packThermals, warmedC } from './thermal';
import { healthOf } from './wear';

const usual = nominal(packPriors);
const battery: Battery = {
  ratedCapacityMah: 2250,
  nominalVoltageV: 7.7,
  cellCount: 2,
  fullCellVoltageV: 4.4,
  startCharge: 1,
};

test('three chemistries from the label (common practice: 4.35–4.40 V full; 3.7 V; 3.6 V nominal)', () => {
  expect(chemistryOf(battery)).toBe('high-voltage lithium-polymer');
  expect(chemistryOf({ nominalVoltageV: 22.2, cellCount: 6, fullCellVoltageV: 4.2 })).toBe('lithium-polymer');
  expect(chemistryOf({ nominalVoltageV: 7.2, cellCount: 2, fullCellVoltageV: 4.2 })).toBe('lithium-ion');
});

test('rest voltage ends at the full cell and rises all the way (seed 43)', () => {
  const rest = openCircuitVoltage('high-voltage lithium-polymer', 4.4);
  expect(rest(1)).toBeCloseTo(4.4, 9);
  const charge = fc.double({ min: 0, max: 1, noNaN: true });
  fc.assert(
    fc.property(charge, charge, (a, b) => {
      expect(rest(Math.max(a, b))).toBeGreaterThanOrEqual(rest(Math.min(a, b)));
    }),
    { seed: 43 },
  );
});

test('resistance: 30 mΩ at 2.25 Ah and 25 °C; doubled at about 2 °C (Arrhenius, 20 kJ/mol, by hand); cold is more', () => {
  const pack = packOf(battery, null, usual);
  expect(pack.resistanceOhm(0.5, 25)).toBeCloseTo(0.03, 9);
  // ln 2 = (20000/8.314)·(1/T − 1/298.15) → T = 274.6 K.
  expect(pack.resistanceOhm(0.5, 1.42)).toBeCloseTo(0.06, 3);
  expect(pack.resistanceOhm(0, 25)).toBeCloseTo(0.06, 9);
});

test('current at constant power obeys V = OCV − I·R and P/cells = V·I (Plett vol. 1, ch. 2)', () => {
  const pack = packOf(battery, null, usual);
  const load = loadAt(pack, 40, 0.6, 10);
  if (!load) throw new Error('The pack should carry 40 W.');
  const { currentA, cellVoltageV, heatW } = load;
  const ohm = pack.resistanceOhm(0.6, 10);
  expect(cellVoltageV).toBeCloseTo(pack.openCircuitV(0.6) - currentA * ohm, 9);
  expect(2 * cellVoltageV * currentA).toBeCloseTo(40, 9);
  expect(heatW).toBeCloseTo(2 * currentA ** 2 * ohm, 9);
});

test('more power than the cells can give is null, not NaN', () => {
  expect(loadAt(packOf(battery, null, usual), 5000, 1, 25)).toBeNull();
});

test('gauge and cell charge are inverse; 0 % on the gauge leaves what is hidden', () => {
  expect(cellChargeOf(0, 0.05)).toBeCloseTo(0.05, 12);
  expect(gaugeOf(0, 0.05)).toBeLessThan(0);
  for (const gauge of [0, 0.25, 0.98, 1])
    expect(gaugeOf(cellChargeOf(gauge, 0.07), 0.07)).toBeCloseTo(gauge, 12);
});

test('wear: 80 % left after 300 cycles (common practice), measured health wins, and it has a floor', () => {
  expect(healthOf({ ...battery, cycles: 300 }, usual.wearPerCycle)).toBeCloseTo(0.8, 12);
  expect(healthOf({ ...battery, cycles: 300, health: 0.93 }, usual.wearPerCycle)).toBe(0.93);
  expect(healthOf({ ...battery, cycles: 2000 }, usual.wearPerCycle)).toBe(0.4);
});

test('a pack tends to the air plus heat over cooling, and is there after ten time constants', () => {
  const thermals = packThermals(17.3, 1);
  const tenConstantsS = (10 * thermals.heatCapacityJpK) / thermals.coolingWpK;
  expect(warmedC(thermals, 20, -5, 1, tenConstantsS)).toBeCloseTo(-5 + 1 / thermals.coolingWpK, 2);
});
