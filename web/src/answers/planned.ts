import { type Band, type Estimate, type Planned, plannedIn, plannedMeanwhile } from '@acorn-tally/core';

/** What to act on, and whether it belongs to what is on the screen now or still follows the middle. */
export interface ShownPlan extends Planned {
  readonly fresh: boolean;
}

/** Null until there has been a band. */
export function shownPlan(estimate: Estimate, band: Band | null, fresh: boolean): ShownPlan | null {
  const planned = band && fresh ? plannedIn(band) : plannedMeanwhile(estimate, band);
  return planned && { ...planned, fresh };
}
