import { writeInSi } from '../units/sentence';
import { liftOffNotes } from './liftOff';

test('notes for the card: how to land precisely always, how to keep kit in frost only then', () => {
  expect(liftOffNotes(5).map(({ code }) => code)).toEqual(['precise-landing']);
  expect(liftOffNotes(-3).map(({ code }) => code)).toEqual([
    'frost-before',
    'precise-landing',
    'frost-after',
  ]);
  expect(liftOffNotes(5).map(writeInSi)[0]).toContain('rise straight up 7 m to 10 m first');
});
