import { type Band, type Estimate, type PlannedFigures, plannedIn, provisionalPlan } from '@acorn-tally/core';

/** What to act on, and whether it belongs to what is on the screen now or still follows the middle. */
export interface ShownPlan extends PlannedFigures {
  readonly fresh: boolean;
}

/** Null until there has been a band. */
export function shownPlan(estimate: Estimate, band: Band | null, fresh: boolean): ShownPlan | null {
  const planned = band && fresh ? plannedIn(band) : provisionalPlan(estimate, band);
  return planned && { ...planned, fresh };
}
