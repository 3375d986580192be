import {
  type Advice,
  type AircraftRecord,
  advice,
  type BatteryRecord,
  type ConditionsRecord,
  type Estimate,
  type EstimateRequest,
  estimate,
  type Outcome,
} from '@acorn-tally/core';
import { useMemo } from 'react';
import { packAtTheHour } from '../state/atTheHour';

export interface BatteryEstimate {
  readonly battery: BatteryRecord;
  readonly outcome: Outcome<Estimate>;
  /** What to do about it, and what that gains. */
  readonly advice: readonly Advice[];
}

export function requestFor(
  aircraft: AircraftRecord,
  battery: BatteryRecord,
  conditions: ConditionsRecord,
): EstimateRequest {
  return {
    aircraft: aircraft.spec,
    battery: packAtTheHour(battery, conditions),
    conditions: conditions.weather,
    flight: aircraft.flight,
    policy: aircraft.policy,
    site: conditions.site ?? null,
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
      batteries.map((battery) => {
        const request = requestFor(aircraft, battery, conditions);
        const outcome = estimate(request);
        return { battery, outcome, advice: outcome.ok ? advice(request, outcome.value) : [] };
      }),
    [aircraft, batteries, conditions],
  );
}
