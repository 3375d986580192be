import type { EstimateRequest } from '../estimate/request';
import type { DayAtPlace } from '../records/day';
import type { AircraftRecord, BatteryRecord } from '../records/records';
import { flightFromHome, siteFromHome } from './home';
import { packAtTheHour } from './packAtTheHour';

/** A battery's flight as its aircraft is flown, on a day at its place. */
export function estimateRequestFor(
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
