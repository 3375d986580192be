import {
  type AircraftRecord,
  type BatteryRecord,
  type DayAtPlace,
  type Estimate,
  estimate,
  estimateRequestFor,
  type Outcome,
} from '@acorn-tally/core';
import { useMemo } from 'react';
import { beliefAbout } from '../state/belief';

export interface BatteryEstimate {
  readonly battery: BatteryRecord;
  readonly outcome: Outcome<Estimate>;
}

/** Every battery's middle values, computed again whenever anything they depend on changes. */
export function useEstimates(
  aircraft: AircraftRecord,
  batteries: readonly BatteryRecord[],
  conditions: DayAtPlace,
): readonly BatteryEstimate[] {
  return useMemo(
    () =>
      batteries.map((battery) => {
        const request = estimateRequestFor(aircraft, battery, conditions);
        return { battery, outcome: estimate(request, beliefAbout(aircraft).middle) };
      }),
    [aircraft, batteries, conditions],
  );
}
