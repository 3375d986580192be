import { normalQuantile } from '../statistics/normalQuantile';
import { sobolPoints } from '../statistics/sobol';
import { type Belief, beliefOf, type DrawCount, type Knowledge } from './belief';

/**
 * The belief that some knowledge makes: its middle, and seeded Sobol draws of all unknowns at once. The same knowledge, count and seed
 * give the same belief, everywhere.
 */
export function beliefFrom(knowledge: Knowledge, { draws, seed }: DrawCount): Belief {
  return beliefOf(knowledge, (unknowns) =>
    sobolPoints(draws, unknowns, seed).map((shares) => shares.map(normalQuantile)),
  );
}
