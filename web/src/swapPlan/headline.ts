import type { SwapPlan } from '@acorn-tally/core';
import { countInWords } from '../fields/percent';

function counted(count: number, one: string, many: string): string {
  return `${countInWords(count)} ${count === 1 ? one : many}`;
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

/** A chance as pilots say it: "1 in 9", "2 in 3", "hardly ever". */
export function chanceInWords(chance: number): string {
  if (chance < 0.01) return 'hardly ever';
  if (chance > 0.99) return 'nearly always';
  if (chance <= 0.4) return `1 in ${Math.round(1 / chance)}`;
  return `${Math.round(chance * 10)} in 10`;
}

/** The same as a sentence about one flight. */
export function earlyInWords(chance: number): string {
  const words = chanceInWords(chance);
  return /^\d/.test(words)
    ? `Of such flights ${words} must turn back before the last shot ends.`
    : `Such a flight must ${words} turn back before its last shot ends.`;
}

/** The instant some seconds after another. */
export function after(at: string, seconds: number): string {
  return new Date(Date.parse(at) + seconds * 1000).toISOString();
}
