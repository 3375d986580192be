import fc from 'fast-check';
import { holds } from '../../fixtures/seeds';
import { emptyToFullFrom } from './chargeTiming';
import { chargingTimeS } from './charging';

test('within the constant current, 20 → 70 % in 20 min: the label says 54 min (0.5 of 0.8 in 33 min of it, by hand)', () => {
  // τ-law by hand: the constant part takes 0.8/(0.8 + 0.2·ln 10/0.9) = 0.6099 of the whole for 80 %.
  const wholeS = (20 * 60) / (0.5 / (0.8 + (0.2 * Math.log(10)) / 0.9));
  expect(
    emptyToFullFrom([
      { timeS: 0, charge: 0.2 },
      { timeS: 1200, charge: 0.7 },
    ]),
  ).toBeCloseTo(wholeS, 6);
});

test('a charge timed anywhere, also into the taper, tells the charger it was made with', () => {
  holds(
    fc.property(
      fc.integer({ min: 300, max: 36_000 }),
      fc.uniqueArray(fc.integer({ min: 0, max: 100 }), { minLength: 2, maxLength: 8 }),
      (emptyToFullS, percents) => {
        const charges = percents.sort((a, b) => a - b).map((percent) => percent / 100);
        const marks = charges.map((charge) => ({
          timeS: 300 + chargingTimeS(charges[0] as number, charge, emptyToFullS),
          charge,
        }));
        expect(emptyToFullFrom(marks)).toBeCloseTo(emptyToFullS, 3);
      },
    ),
    { seed: 13, numRuns: 200 },
  );
});

test('a pack that takes nothing up tells nothing', () => {
  expect(emptyToFullFrom([])).toBeNull();
  expect(
    emptyToFullFrom([
      { timeS: 0, charge: 1 },
      { timeS: 600, charge: 1 },
    ]),
  ).toBeNull();
});
