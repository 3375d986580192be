import fc from 'fast-check';
import { holds } from '../../fixtures/seeds';
import { keptBy, reachedBy } from './orderStatistic';

// By hand: nine of ten of 1 … 10 have 2 or more, and nine of ten have 9 or less.
test('what nine of ten reach, and what nine of ten stay below', () => {
  const ten = [3, 9, 1, 7, 5, 10, 2, 8, 6, 4];
  expect([reachedBy(0.9, ten), keptBy(0.9, ten)]).toEqual([2, 9]);
  expect([reachedBy(1, ten), keptBy(1, ten)]).toEqual([1, 10]);
  expect(() => reachedBy(0.9, [])).toThrow(RangeError);
});

test('it is one of the values, and so many have it or pass it (seed 31)', () => {
  const values = fc.array(fc.double({ min: -1e3, max: 1e3, noNaN: true }), { minLength: 1, maxLength: 60 });
  holds(
    fc.property(values, fc.double({ min: 0.5, max: 0.99, noNaN: true }), (sample, share) => {
      const [least, most] = [reachedBy(share, sample), keptBy(share, sample)];
      expect(sample).toContain(least);
      expect(sample).toContain(most);
      const shareOf = (test: (value: number) => boolean) => sample.filter(test).length / sample.length;
      expect(shareOf((value) => value >= least)).toBeGreaterThanOrEqual(share - 1e-9);
      expect(shareOf((value) => value <= most)).toBeGreaterThanOrEqual(share - 1e-9);
    }),
    { seed: 31, numRuns: 200 },
  );
});
