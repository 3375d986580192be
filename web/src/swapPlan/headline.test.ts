import { type PlannedFlight, type SwapPlan, sentence } from '@acorn-tally/core';
import { chanceInWords, earlyInWords, planHeadline } from './headline';

const flight = (batteryId: string): PlannedFlight => ({
  batteryId,
  takeoffS: 0,
  turnBackS: 600,
  touchdownS: 660,
  swappedS: 930,
  turnBackCharge: 0.4,
  touchdownCharge: { p10: 0.26, p50: 0.3 },
  chanceEarly: 0.05,
  spareS: 60,
  shots: [],
});
const plan = (batteries: string[], unplaced: string[]): SwapPlan => ({
  flights: batteries.map(flight),
  unplaced: unplaced.map((shotId) => ({ shotId, reason: sentence('no-battery', 'No battery at hand.') })),
  unusedBatteryIds: [],
  doneS: 0,
});

test('the headline states the answer', () => {
  expect(planHeadline(plan(['a', 'b'], []), 5)).toBe('Two batteries do it, two take-offs');
  expect(planHeadline(plan(['a'], []), 1)).toBe('One battery does it, one take-off');
  expect(planHeadline(plan(['a'], ['x']), 3)).toBe(
    'One shot finds no battery; two are flown in one take-off',
  );
  expect(planHeadline(plan([], ['x', 'y']), 2)).toBe('None of the shots can be flown');
  expect(planHeadline(plan([], []), 0)).toBe('No shots yet');
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
  expect(earlyInWords(0.11)).toContain('Of such flights 1 in 9 must turn back before the last shot ends');
  expect(earlyInWords(0)).toBe('Such a flight must hardly ever turn back before its last shot ends.');
});
