import type { OwnReturn, ReturnBand } from '@acorn-tally/core';
import { ownCallInWords } from './ownCallWords';

const told = (chanceOwnLate: number | null, lateByS: number | null = 222, isMarginKnown = false) =>
  ownCallInWords({ charge: 0.21, isMarginKnown } as OwnReturn, { lateByS, chanceOwnLate } as ReturnBand);

test('its automatic return is called too late, or early enough, where nine draws of ten say so; between, the share is told', () => {
  expect(told(0.95)).toEqual({
    says: 'Its automatic return starts at about 21 %: about 3:42 too late in this wind',
    isLate: true,
  });
  expect(told(0.89)).toEqual({
    says: 'Its automatic return starts at about 21 %: too late in 89 in 100',
    isLate: true,
  });
  expect(told(0.05, -60)).toMatchObject({ isLate: false });
  expect(told(0.95, 222, true)?.says).toContain('starts at 21 %');
  expect([told(null), told(0.5, null)]).toEqual([null, null]);
});
