import fc from 'fast-check';
import { holds } from '../../fixtures/seeds';
import { normalMean } from './gaussHermite';
import { normalQuantile } from './normalQuantile';
import { median, quantile } from './quantile';
import { ranks } from './ranks';
import { roundToSum } from './roundToSum';
import { shapleyValues } from './shapley';
import { sobolDimensions, sobolPoints } from './sobol';
import { solveBetween, solveNear } from './solve';

test('Shapley values of the glove game are 2/3, 1/6, 1/6 (Shapley 1953; any game theory handbook)', () => {
  // Player 0 has a left glove, 1 and 2 have right ones; a pair is worth 1.
  const worth = (present: number) => (present & 1 && present & 6 ? 1 : 0);
  const values = shapleyValues(3, worth);
  expect(values[0]).toBeCloseTo(2 / 3, 12);
  expect(values[1]).toBeCloseTo(1 / 6, 12);
  expect(values[2]).toBeCloseTo(1 / 6, 12);
});

test('Shapley values of random games sum to the whole (seed 41)', () => {
  holds(
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
  holds(
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

test.each([
  [0.9, 1.2815516],
  [0.975, 1.959964],
  [0.999, 3.0902323],
  [0.1, -1.2815516],
  [1e-12, -7.0344838],
])(
  'the normal quantile of %d is %d to one part in ten million (Wichura 1988; Abramowitz & Stegun, table 26.1 and following)',
  (p, z) => {
    expect(Math.abs(normalQuantile(p) / z - 1)).toBeLessThan(2e-7);
  },
);

test('quantiles of 1 … 10 are 1.9, 5.5 and 9.1 (definition 7, Hyndman & Fan 1996, as the R language gives them)', () => {
  const sample = [7, 3, 10, 1, 9, 2, 8, 4, 6, 5];
  expect([0.1, 0.5, 0.9].map((share) => quantile(sample, share))).toEqual([
    expect.closeTo(1.9, 12),
    expect.closeTo(5.5, 12),
    expect.closeTo(9.1, 12),
  ]);
});

describe('Sobol points', () => {
  const points = sobolPoints(512, sobolDimensions, 7);

  test('put one of 512 into each 512th of every axis (Sobol 1967)', () => {
    for (let d = 0; d < sobolDimensions; d++) {
      expect(new Set(points.map((point) => Math.floor((point[d] as number) * 512))).size).toBe(512);
    }
  });

  test('put one into each box of 2^-a by 2^-b, a + b = 9, of the first two axes: a (0, 9, 2)-net (Sobol 1967)', () => {
    for (let a = 0; a <= 9; a++) {
      const boxes = points.map(
        ([x = 0, y = 0]) => `${Math.floor(x * 2 ** a)} ${Math.floor(y * 2 ** (9 - a))}`,
      );
      expect(new Set(boxes).size).toBe(512);
    }
  });

  test('the integral of the g-function over eight axes is 1, far closer than random points come (Saltelli & Sobol 1995)', () => {
    const g = (point: readonly number[]) =>
      point.slice(0, 8).reduce((product, x, i) => product * ((Math.abs(4 * x - 2) + i) / (1 + i)), 1);
    const mean = points.reduce((sum, point) => sum + g(point), 0) / points.length;
    // The standard error of 512 random points would be 0.036 (variance 0.67, by hand from the product of 1 + 1/(3(1+i)²)).
    expect(Math.abs(mean - 1)).toBeLessThan(0.012);
  });

  test.each([
    [5, [0.875, 0.875, 0.625, 0.625, 0.625, 0.375, 0.625, 0.625]],
    [85, [0.9921875, 0.9921875, 0.1640625, 0.6796875, 0.7265625, 0.1640625, 0.2890625, 0.2109375]],
    [
      341,
      [
        0.998046875, 0.505859375, 0.193359375, 0.337890625, 0.013671875, 0.740234375, 0.615234375,
        0.537109375,
      ],
    ],
    [
      511,
      [
        0.001953125, 0.501953125, 0.876953125, 0.662109375, 0.783203125, 0.619140625, 0.501953125,
        0.306640625,
      ],
    ],
  ])(
    'point %d without its shift, in axes 1, 2, 6, 21, 22, 41, 64 and 95, is that of SciPy 1.17 (qmc.Sobol)',
    (i, wanted) => {
      const whole = (point: number, axis: number) => (points[point]?.[axis] as number) * 2 ** 32 - 0.5;
      const unshifted = [0, 1, 5, 20, 21, 40, 63, 94].map(
        (axis) => ((whole(i, axis) ^ whole(0, axis)) >>> 0) / 2 ** 32,
      );
      expect(unshifted).toEqual(wanted);
    },
  );

  // Σ axis · 1024 · coordinate over all axes; 341, 682 and 1023 flip nine, ten and the tenth direction alone (their Gray codes).
  test.each([
    [341, 2_291_080],
    [682, 2_187_480],
    [1023, 2_540_776],
  ])('and over all 96 axes at once point %d sums up as SciPy’s does', (i, sum) => {
    const many = sobolPoints(1024, sobolDimensions, 7);
    const whole = (point: number, axis: number) => (many[point]?.[axis] as number) * 2 ** 32 - 0.5;
    const found = Array.from(
      { length: sobolDimensions },
      (_, axis) => (axis + 1) * (((whole(i, axis) ^ whole(0, axis)) >>> 0) / 2 ** 22),
    );
    expect(found.reduce((a, b) => a + b, 0)).toBe(sum);
  });

  test('the same seed gives the same points, another seed others; an axis beyond the table is as even and moves no other', () => {
    expect(sobolPoints(512, sobolDimensions, 7)).toEqual(points);
    expect(sobolPoints(4, 3, 8)).not.toEqual(sobolPoints(4, 3, 7));
    const more = sobolPoints(512, sobolDimensions + 2, 7);
    expect(more.map((point) => point.slice(0, sobolDimensions))).toEqual(points);
    for (const beyond of [sobolDimensions, sobolDimensions + 1])
      expect(new Set(more.map((point) => Math.floor((point[beyond] as number) * 512))).size).toBe(512);
    expect(more.map((point) => point[sobolDimensions])).not.toEqual(
      more.map((point) => point[sobolDimensions + 1]),
    );
  });
});

test('the secant finds the root of a nearly straight function, and gives up on one that has none', () => {
  expect(solveNear((x) => Math.log(x) - 1, 2.5, 0.4, 1e-4)).toBeCloseTo(Math.E, 7);
  expect(solveNear((x) => x * x + 1, 3, 6, 1e-6)).toBeNull();
});

test('ranks with ties share the mean of their places (Conover & Iman 1981, by hand)', () => {
  expect(ranks([30, 10, 20, 20, 5])).toEqual([4, 1, 2.5, 2.5, 0]);
  expect(ranks([])).toEqual([]);
});
