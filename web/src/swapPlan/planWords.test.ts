import type { SwapPlan } from '@acorn-tally/core';
import { costInWords } from './PinCost';
import { chanceInWords, headlineSoFar, planHeadline, provedInWords } from './planWords';

const plan = (takeoffs: number, batteriesFlown: number, without: string[], more = {}): SwapPlan => ({
  flights: [],
  lanes: [],
  unplaced: without.map((shotId) => ({ shotId, take: 1 })) as never,
  figures: {
    takeoffs,
    batteriesFlown,
    takeoffsBound: takeoffs,
    boundBy: 'packing',
    proved: true,
    endAt: '',
    mustsPlaced: 0,
    nicesPlaced: 0,
    ...more,
  },
  robustness: [],
  packs: [],
  cautions: [],
  complete: true,
});

test('the headline states the answer', () => {
  expect(planHeadline(plan(5, 4, []), 9, '09:10')).toBe(
    'Four batteries do it, five take-offs, done by 09:10',
  );
  expect(planHeadline(plan(1, 1, []), 1, '09:10')).toBe('One battery does it, one take-off, done by 09:10');
  expect(planHeadline(plan(1, 1, ['x', 'x']), 3, '09:10')).toBe(
    'One shot finds no place; two are flown in one take-off, done by 09:10',
  );
  expect(planHeadline(plan(0, 0, ['x', 'y']), 2, '')).toBe('None of the shots can be flown');
  expect(planHeadline(plan(0, 0, []), 0, '')).toBe('No shots yet');
});

test('a plan in the making says so, by what has all its takes placed', () => {
  const flight = (...shotIds: string[]) => ({ shots: shotIds.map((shotId) => ({ shotId })) });
  const made = { ...plan(2, 2, []), flights: [flight('a', 'b'), flight('b')] } as never;
  const shots = [{ id: 'a' }, { id: 'b', takes: 3 }, { id: 'c' }] as never;
  expect(headlineSoFar(made, shots, '09:10')).toBe(
    'So far one of three shots have a place: two take-offs, done by 09:10',
  );
});

test('"fewest possible" is said only when it is proved', () => {
  expect(provedInWords(plan(4, 4, []), true)).toBe('fewest possible, proved');
  expect(provedInWords(plan(4, 4, [], { proved: false, takeoffsBound: 3 }), true)).toBe(
    'no plan has fewer than three',
  );
  expect(provedInWords(plan(4, 4, ['x'], { proved: false }), true)).not.toContain('fewest possible');
});

test('a chance is said as pilots say it', () => {
  expect([0, 0.004, 0.02, 0.11, 0.5, 0.64, 1].map(chanceInWords)).toEqual([
    'hardly ever',
    'hardly ever',
    '1 in 50',
    '1 in 9',
    '5 in 10',
    '6 in 10',
    'nearly always',
  ]);
});

test('what pins cost is against the plan without them; one that was found and is no better says nothing', () => {
  const at = (endAt: string, takeoffs: number, mustsPlaced = 3) =>
    plan(takeoffs, 2, [], { endAt: `2026-11-26T${endAt}:00Z`, mustsPlaced });
  expect(costInWords(at('09:10', 3), at('09:04', 2))).toBe('one take-off more, 6 min later');
  expect(costInWords(at('09:00', 2, 2), at('09:04', 3))).toBe(
    'one take without a place, one take-off less, 4 min earlier',
  );
  expect(costInWords(at('09:10', 3), at('09:20', 3))).toBe('nothing');
  expect(costInWords(at('09:10', 2), at('09:00', 3))).toBe('nothing');
});
