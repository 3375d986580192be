import type { Shot, SwapPlan } from '@acorn-tally/core';
import { countInWords } from '../fields/percent';

export function counted(count: number, one: string, many: string): string {
  return `${countInWords(count)} ${count === 1 ? one : many}`;
}

/** Whether flights take off from more than one place. */
export function isFromSeveral({ flights }: Pick<SwapPlan, 'flights'>): boolean {
  return new Set(flights.map(({ launchPlaceId }) => launchPlaceId)).size > 1;
}

/** What charges when, in order of time. */
export function chargingOf({ lanes }: SwapPlan) {
  return lanes
    .flatMap(({ batteryId, spans }) => spans.map((span) => ({ ...span, batteryId })))
    .filter(({ kind }) => kind === 'charging')
    .sort((a, b) => Date.parse(a.fromAt) - Date.parse(b.fromAt));
}

/** Shots of which every take has a place. */
export function placedShots({ flights }: Pick<SwapPlan, 'flights'>, shots: readonly Shot[]): number {
  const placed = flights.flatMap((flight) => flight.shots.map(({ shotId }) => shotId));
  return shots.filter(({ id, takes }) => placed.filter((one) => one === id).length >= (takes ?? 1)).length;
}

/** A plan in the making, by what has a place so far. */
export function headlineSoFar(plan: SwapPlan, shots: readonly Shot[], doneAt: string): string {
  const flights = `${counted(plan.figures.takeoffs, 'take-off', 'take-offs')}, done by ${doneAt}`;
  return `So far ${countInWords(placedShots(plan, shots))} of ${counted(shots.length, 'shot has', 'shots have')} a place: ${flights}`;
}

/** The answer in a sentence: "Four batteries do it, five take-offs, done by 09:10". */
export function planHeadline(plan: SwapPlan, shotCount: number, doneAt: string): string {
  if (shotCount === 0) return 'No shots yet';
  const { takeoffs, batteriesFlown } = plan.figures;
  const without = new Set(plan.unplaced.map(({ shotId }) => shotId)).size;
  if (takeoffs === 0) return 'None of the shots can be flown';
  const flights = `${counted(takeoffs, 'take-off', 'take-offs')}, done by ${doneAt}`;
  const sentence =
    without === 0
      ? `${counted(batteriesFlown, 'battery does', 'batteries do')} it, ${flights}`
      : `${counted(without, 'shot finds', 'shots find')} no place; ${counted(shotCount - without, 'is', 'are')} flown in ${flights}`;
  return sentence.charAt(0).toUpperCase() + sentence.slice(1);
}

/** What is known of the number of take-offs. */
export function provedInWords({ figures, unplaced, complete }: SwapPlan, isWhole: boolean): string {
  const { takeoffs, takeoffsBound, proved } = figures;
  if (takeoffs === 0) return '';
  if (proved) return unplaced.length === 0 ? 'fewest possible, proved' : 'no plan places more, proved';
  const cut = isWhole && !complete ? 'the search stopped at its limit' : '';
  const least =
    takeoffsBound > 1 && takeoffsBound < takeoffs
      ? `no plan has fewer than ${countInWords(takeoffsBound)}`
      : '';
  return [least, cut].filter(Boolean).join(', ');
}

/** A chance as pilots say it: "1 in 9", "2 in 3", "hardly ever". */
export function chanceInWords(chance: number): string {
  if (chance < 0.01) return 'hardly ever';
  if (chance > 0.99) return 'nearly always';
  if (chance <= 0.4) return `1 in ${Math.round(1 / chance)}`;
  return `${Math.round(chance * 10)} in 10`;
}
