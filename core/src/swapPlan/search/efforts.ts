import type { Problem } from '../request/problem';
import type { PlanEffort } from '../request/request';
import { warmth } from './search';

/** Passes of the search: how many tries each has for so many takes, how many there are at most, and how far each may go uphill. */
export interface Passes {
  readonly tries: (takes: number) => number;
  readonly max: number;
  readonly warmth: readonly [number, number];
}

/** A problem of more takes than that is tried less often the more there are, since each try costs more. */
const manyTakes = 40;
const triesOf = (forTake: number, min: number) => (takes: number) =>
  takes <= manyTakes ? Math.max(min, forTake * takes) : Math.ceil((forTake * manyTakes ** 2) / takes);
const short = triesOf(5, 60);
/** In a problem of few takes a try costs next to nothing, and the best plan may be one that no small step leads to. */
const fewTakes = 12;
const triesOfFew = (takes: number) => (takes <= fewTakes ? Math.ceil(24_000 / takes ** 2) : 0);

const usual: readonly Passes[] = [
  { tries: short, max: 16, warmth: warmth.flights },
  { tries: triesOf(10, 60), max: 1, warmth: warmth.details },
  { tries: triesOfFew, max: 1, warmth: warmth.flights },
];
/** More effort goes on from less. */
export const efforts: Readonly<Record<PlanEffort, readonly Passes[]>> = {
  quick: [{ tries: short, max: 2, warmth: warmth.flights }],
  usual,
  long: [...usual, { tries: triesOf(300, 3000), max: 1, warmth: warmth.flights }],
};

/** A plan that leaves out what could be flown is believed only after so many tries; every second pass then begins from nothing. */
export const doubtTries = (takes: number) => Math.ceil(Math.min(600, 12_000 / takes));

/** In takes; weather that changes makes each flight twice the work. */
export function searchWeightOf({ takes, weathers }: Problem): number {
  return takes.length * (weathers.length > 1 ? 2 : 1);
}
