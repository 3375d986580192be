import fc from 'fast-check';
import { nominal } from '../units/assumed';
import type { Battery } from './battery';
import { cellChargeOf, gaugeOf } from './gauge';
import { chemistryOf, openCircuitV, restVoltagesV } from './openCircuit';
import { cellVoltageV, currentA, packHeatW, packOf, packPriors } from './pack';
import { resistanceOhm } from './resistance';
import { chargeAfterStanding } from './standing';
import { packThermals, plateCoolingWpm2K, warmedC } from './thermal';
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
  const volts = restVoltagesV('high-voltage lithium-polymer', 4.4);
  const rest = (charge: number) => openCircuitV(volts, charge);
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
  expect(resistanceOhm(pack.resistance, 0.5, 25)).toBeCloseTo(0.03, 9);
  // ln 2 = (20000/8.314)·(1/T − 1/298.15) → T = 274.6 K.
  expect(resistanceOhm(pack.resistance, 0.5, 1.42)).toBeCloseTo(0.06, 3);
  expect(resistanceOhm(pack.resistance, 0, 25)).toBeCloseTo(0.06, 9);
});

test('current at constant power obeys V = OCV − I·R and P/cells = V·I (Plett vol. 1, ch. 2)', () => {
  const pack = packOf(battery, null, usual);
  const ampere = currentA(pack, 40, 0.6, 10);
  const ohm = resistanceOhm(pack.resistance, 0.6, 10);
  const volts = openCircuitV(pack.restVoltagesV, 0.6) - ampere * ohm;
  expect(2 * volts * ampere).toBeCloseTo(40, 9);
  expect(cellVoltageV(pack, 40, 0.6, 10)).toBeCloseTo(volts, 9);
  expect(packHeatW(pack, 40, 0.6, ampere)).toBeCloseTo(2 * ampere ** 2 * ohm, 9);
});

test('more power than the cells can give is null, not NaN', () => {
  expect(currentA(packOf(battery, null, usual), 5000, 1, 25)).toBe(0);
});

test('gauge and cell charge are inverse; 0 % on the gauge leaves what is hidden', () => {
  expect(cellChargeOf(0, 0.05)).toBeCloseTo(0.05, 12);
  expect(gaugeOf(0, 0.05)).toBeLessThan(0);
  for (const gauge of [0, 0.25, 0.98, 1])
    expect(gaugeOf(cellChargeOf(gauge, 0.07), 0.07)).toBeCloseTo(gauge, 12);
});

test('wear: 80 % left after 300 cycles (common practice), measured health wins, and it has a floor', () => {
  expect(healthOf({ ...battery, cycles: 300 }, usual)).toBeCloseTo(0.8, 12);
  expect(healthOf({ ...battery, cycles: 300, health: 0.93 }, usual)).toBe(0.93);
  expect(healthOf({ ...battery, cycles: 2000 }, usual)).toBe(0.4);
});

test('a pack tends to the air plus heat over cooling, and is there after ten time constants', () => {
  const thermals = packThermals(17.3, 1);
  const tenConstantsS = (10 * thermals.heatCapacityJpK) / thermals.coolingWpK;
  expect(warmedC(thermals, 20, -5, 1, tenConstantsS)).toBeCloseTo(-5 + 1 / thermals.coolingWpK, 2);
});

describe('a smart pack standing (common practice)', () => {
  test('full → about 96 % after a day, at storage after five; then only the cell’s own 2 to 3 % a month', () => {
    expect(chargeAfterStanding(1, 1, 5)).toBeCloseTo(0.96, 9);
    expect(chargeAfterStanding(1, 5, 5)).toBeCloseTo(0.6, 9);
    expect(chargeAfterStanding(1, 35, 5)).toBeCloseTo(0.57, 9);
  });

  test('one that never sheds, or stands at storage, keeps its charge but for the cell’s own loss', () => {
    expect(chargeAfterStanding(1, 30, 0)).toBeCloseTo(0.97, 9);
    expect(chargeAfterStanding(0.5, 10, 5)).toBeCloseTo(0.49, 9);
  });

  test('standing twice is standing once for as long, and never adds charge (seed 44)', () => {
    const days = fc.double({ min: 0, max: 8, noNaN: true });
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 1, noNaN: true }),
        days,
        days,
        fc.integer({ min: 0, max: 10 }),
        (charge, a, b, toStorage) => {
          const once = chargeAfterStanding(charge, a + b, toStorage);
          expect(chargeAfterStanding(chargeAfterStanding(charge, a, toStorage), b, toStorage)).toBeCloseTo(
            once,
            9,
          );
          expect(once).toBeLessThanOrEqual(charge);
        },
      ),
      { seed: 44 },
    );
  });
});

test('air at 250 K, 5 m/s along 10 cm of plate: Re = 43,700, Nu = 124, h = 27.7 W/m²K (Incropera, eq. 7.30 with table A.4, by hand)', () => {
  const air = { conductivityWpmK: 0.0223, viscosityM2ps: 11.44e-6, prandtl: 0.72 };
  expect(plateCoolingWpm2K(5, 0.1, air)).toBeCloseTo(27.75, 2);
});
