import type { SwapPlan } from '@acorn-tally/core';

const numberWords = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

function counted(count: number, one: string, many: string): string {
  return `${numberWords[count] ?? count} ${count === 1 ? one : many}`;
}

/** The answer in a sentence: "Four batteries do it, four take-offs". */
export function planHeadline(plan: SwapPlan, shotCount: number): string {
  if (shotCount === 0) return 'No shots yet';
  const used = new Set(plan.flights.map(({ batteryId }) => batteryId)).size;
  const takeoffs = counted(plan.flights.length, 'take-off', 'take-offs');
  if (plan.unplaced.length === shotCount) return 'None of the shots can be flown';
  const sentence =
    plan.unplaced.length === 0
      ? `${counted(used, 'battery does', 'batteries do')} it, ${takeoffs}`
      : `${counted(plan.unplaced.length, 'shot finds', 'shots find')} no battery; ${counted(shotCount - plan.unplaced.length, 'is', 'are')} flown in ${takeoffs}`;
  return sentence.charAt(0).toUpperCase() + sentence.slice(1);
}
