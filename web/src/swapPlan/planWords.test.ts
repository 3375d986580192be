import type { SwapPlan, WaitReason } from '@acorn-tally/core';
import { costInWords } from './PinCost';
import {
  chanceInWords,
  headlineSoFar,
  leftInWords,
  planHeadline,
  provedInWords,
  waitInWords,
} from './planWords';

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
  withoutPins: null,
  laterStart: null,
  cautions: [],
  complete: true,
});

test('the headline states the answer', () => {
  expect(planHeadline(plan(5, 4, []), 9, '09:10')).toBe(
    'Four batteries are enough: five take-offs, done by 09:10',
  );
  expect(planHeadline(plan(1, 1, []), 1, '09:10')).toBe('One battery is enough: one take-off, done by 09:10');
  expect(planHeadline(plan(1, 1, ['x', 'x']), 3, '09:10')).toBe(
    'One shot does not fit; two are flown in one take-off, done by 09:10',
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
    'at least three take-offs are needed',
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
  const free = (endAt: string, takeoffs: number) => ({
    takesPlaced: 3,
    takeoffs,
    endAt: `2026-11-26T${endAt}:00Z`,
  });
  expect(costInWords(at('09:10', 3), free('09:04', 2))).toBe('one take-off more, 6 minutes later');
  expect(costInWords(at('09:00', 2, 2), free('10:30', 3))).toBe(
    'one take fewer, one take-off fewer, 1 h 30 min earlier',
  );
  expect(costInWords(at('09:10', 3), free('09:20', 3))).toBe('nothing');
  expect(costInWords(at('09:10', 2), free('09:00', 3))).toBe('nothing');
  expect(costInWords(at('09:10', 2), free('09:10', 2))).toBe('nothing');
});

test('what would be left of a plan is told by the names of what is lost first, or of the little that is left', () => {
  const names = {
    shot: (id: string) => `Shot ${id.toUpperCase()}`,
    number: (id: string) => 'abc'.indexOf(id),
  };
  const flights = [{ shots: ['c', 'a', 'b'].map((shotId) => ({ shotId })) }] as never;
  const left = (droppedShotIds: string[], takeoffs = 2, atLeast = false) =>
    leftInWords(
      { change: 'wind', takeoffs, endAt: '', droppedShotIds, atLeast },
      { ...plan(2, 2, []), flights },
      names,
    );
  expect(left([])).toBe('all planned shots, as many take-offs');
  expect(left(['b'], 3)).toBe('without Shot B, one take-off more');
  expect(left(['a', 'b'], 1)).toBe('only Shot C can be flown');
  expect(left(['a', 'b', 'c'], 0)).toBe('nothing can be flown');
  expect(left(['b'], 1, true)).toBe('as far as searched, without Shot B, one take-off fewer');
});

test('a flight that waits on the ground says until when, and for what', () => {
  const flight = { takeoffAt: '09:13', shots: [{ shotId: 'yard', startAt: '09:20' }] } as never;
  const names = { shot: () => 'Into the milking yard', clock: { format: (at: string) => at } } as never;
  const wait = (reason: WaitReason, shotId: string | null = null) =>
    waitInWords(flight, { fromAt: '', reason, shotId }, names);
  expect(wait('window', 'yard')).toBe('on the ground until 09:13: Into the milking yard begins at 09:20');
  expect(wait('charge')).toBe('on the ground until 09:13: its battery charges until then');
  expect(wait('weather-unknown')).toBe('on the ground until 09:13: the weather before then is not known');
  expect(wait('weather')).toBe(
    'on the ground until 09:13: in the weather before then no battery lasts for it',
  );
});
