import { doneInWords } from './doneInWords';

test.each([
  ['removing Jay 5', 'Jay 5 removed'],
  ['retiring Jay 2 and Jay 3', 'Jay 2 and Jay 3 retired'],
  ['bringing back the Jay', 'The Jay is back'],
  ['recording a test', 'Done: recording a test'],
])('%s is told as %s', (label, told) => {
  expect(doneInWords(label)).toBe(told);
});
