import {
  type AircraftRecord,
  type BatteryRecord,
  type DayAtPlace,
  type Estimate,
  type EstimateRequest,
  estimate,
  type Outcome,
} from '@acorn-tally/core';
import { useMemo } from 'react';
import { packAtTheHour } from '../state/atTheHour';
import { beliefAbout } from '../state/belief';
import { flightFromHome, siteFromHome } from '../state/home';

export interface BatteryEstimate {
  readonly battery: BatteryRecord;
  readonly outcome: Outcome<Estimate>;
}

export function requestFor(
  aircraft: AircraftRecord,
  battery: BatteryRecord,
  conditions: DayAtPlace,
): EstimateRequest {
  return {
    aircraft: aircraft.spec,
    battery: packAtTheHour(battery, conditions),
    batteryId: battery.id,
    conditions: conditions.weather,
    flight: flightFromHome(conditions, aircraft.flight),
    policy: aircraft.policy,
    site: siteFromHome(conditions),
  };
}

/** Every battery's middle values, reckoned anew whenever anything they depend on changes. */
export function useEstimates(
  aircraft: AircraftRecord,
  batteries: readonly BatteryRecord[],
  conditions: DayAtPlace,
): readonly BatteryEstimate[] {
  return useMemo(
    () =>
      batteries.map((battery) => {
        const request = requestFor(aircraft, battery, conditions);
        return { battery, outcome: estimate(request, beliefAbout(aircraft).middle) };
      }),
    [aircraft, batteries, conditions],
  );
}
