import type { Step } from './changes';
import { numberedBefore } from './undoHistory';

const step = (ordinal: number): Step => ({ label: '', key: '', at: 0, ordinal, offered: false, changes: [] });
const ordinals = (steps: readonly Step[]) => steps.map(({ ordinal }) => ordinal);

test('steps that were left come before those made since, in their order; where none was made they keep their numbers', () => {
  expect(ordinals(numberedBefore([step(4), step(5)], []))).toEqual([4, 5]);
  expect(ordinals(numberedBefore([step(4), step(5)], [step(6)]))).toEqual([4, 5]);
  expect(ordinals(numberedBefore([step(1), step(2)], [step(2), step(3)]))).toEqual([0, 1]);
});
