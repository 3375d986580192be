import type { FlightOfPlan } from '@acorn-tally/core';

/** The shots of a flight, each once. */
export function shotsOf({ shots }: Pick<FlightOfPlan, 'shots'>): string[] {
  return [...new Set(shots.map(({ shotId }) => shotId))];
}
