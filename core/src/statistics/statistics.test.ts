import fc from 'fast-check';
import { normalMean } from './gaussHermite';
import { median } from './median';
import { roundToSum } from './roundToSum';
import { shapleyValues } from './shapley';
import { solveBetween } from './solve';

test('Shapley values of the glove game are 2/3, 1/6, 1/6 (Shapley 1953; any game theory handbook)', () => {
  // Player 0 has a left glove, 1 and 2 have right ones; a pair is worth 1.
  const worth = (present: number) => (present & 1 && present & 6 ? 1 : 0);
  const values = shapleyValues(3, worth);
  expect(values[0]).toBeCloseTo(2 / 3, 12);
  expect(values[1]).toBeCloseTo(1 / 6, 12);
  expect(values[2]).toBeCloseTo(1 / 6, 12);
});

test('Shapley values of random games sum to the whole (seed 41)', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -1e3, max: 1e3, noNaN: true }), { minLength: 32, maxLength: 32 }),
      (worths) => {
        const sum = shapleyValues(5, (present) => worths[present] as number).reduce((a, b) => a + b, 0);
        expect(sum).toBeCloseTo((worths[31] as number) - (worths[0] as number), 8);
      },
    ),
    { seed: 41 },
  );
});

test('the five-node rule gives the moments of the normal distribution: E x² = σ², E x⁴ = 3σ⁴, E x⁸ = 105σ⁸', () => {
  expect(normalMean((x) => x ** 2, 0, 2)).toBeCloseTo(4, 9);
  expect(normalMean((x) => x ** 4, 0, 1)).toBeCloseTo(3, 9);
  expect(normalMean((x) => x ** 8, 0, 1)).toBeCloseTo(105, 6);
});

test('roots: √2, the Dottie number, and none where none is bracketed', () => {
  expect(solveBetween((x) => x * x - 2, 0, 2, 1e-12)).toBeCloseTo(Math.SQRT2, 11);
  expect(solveBetween((x) => Math.cos(x) - x, 0, 1, 1e-12)).toBeCloseTo(0.7390851332151607, 11);
  expect(solveBetween((x) => x * x + 1, -1, 1, 1e-12)).toBeNull();
});

test('rounded parts sum to the rounded total and stay within one of themselves (seed 42)', () => {
  fc.assert(
    fc.property(
      fc.array(fc.double({ min: -900, max: 900, noNaN: true }), { minLength: 1, maxLength: 9 }),
      (parts) => {
        const total = parts.reduce((a, b) => a + b, 0);
        const rounded = roundToSum(parts, total);
        expect(rounded.reduce((a, b) => a + b, 0)).toBeCloseTo(Math.round(total), 9);
        parts.forEach((part, i) => {
          expect(Math.abs((rounded[i] as number) - part)).toBeLessThanOrEqual(1);
        });
      },
    ),
    { seed: 42 },
  );
});

test('the median of an even count is the mean of the middle two; of nothing there is none', () => {
  expect(median([4, 1, 3, 2])).toBe(2.5);
  expect(() => median([])).toThrow('does not exist');
});
