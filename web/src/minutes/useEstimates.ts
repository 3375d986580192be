import {
  type AircraftRecord,
  type BatteryRecord,
  type ConditionsRecord,
  type Estimate,
  type EstimateRequest,
  estimate,
  type Outcome,
} from '@acorn-tally/core';
import { useMemo } from 'react';

export interface BatteryEstimate {
  readonly battery: BatteryRecord;
  readonly outcome: Outcome<Estimate>;
}

export function requestFor(
  aircraft: AircraftRecord,
  battery: BatteryRecord,
  conditions: ConditionsRecord,
): EstimateRequest {
  return {
    aircraft: aircraft.spec,
    battery: battery.pack,
    conditions: conditions.weather,
    flight: aircraft.flight,
    policy: aircraft.policy,
  };
}

/** Every battery's middle values, reckoned anew whenever anything they depend on changes. */
export function useEstimates(
  aircraft: AircraftRecord,
  batteries: readonly BatteryRecord[],
  conditions: ConditionsRecord,
): readonly BatteryEstimate[] {
  return useMemo(
    () =>
      batteries.map((battery) => ({ battery, outcome: estimate(requestFor(aircraft, battery, conditions)) })),
    [aircraft, batteries, conditions],
  );
}
