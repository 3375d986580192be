import type { DayAtPlace } from '../records/day';
import type { AircraftRecord, BatteryRecord } from '../records/records';
import { defaultReturnHeightM } from '../reserve/homing';
import type { ReturnRequest } from '../wayHome/request';
import { flightFromHome, siteFromHome } from './home';
import { packAtTheHour } from './packAtTheHour';

/** The way home of a battery from where its aircraft is flown, with a charge (0–1) on the gauge, on a day at its place. */
export function returnRequestFor(
  aircraft: AircraftRecord,
  battery: BatteryRecord,
  conditions: DayAtPlace,
  charge: number,
): ReturnRequest {
  const { policy, spec } = aircraft;
  const flight = flightFromHome(conditions, aircraft.flight);
  const site = siteFromHome(conditions);
  return {
    aircraft: spec,
    battery: packAtTheHour(battery, conditions),
    batteryId: battery.id,
    conditions: conditions.weather,
    policy,
    position: {
      distanceM: flight.farthestM,
      bearingDeg: flight.bearingDeg,
      heightM: flight.heightM,
      charge,
    },
    returnHeightM: flight.returnHeightM ?? defaultReturnHeightM,
    addedMassKg: flight.addedMassKg ?? null,
    mix: flight.mix.length > 0 ? flight.mix : null,
    // None are listed: that is not yet to say that nothing stands there.
    obstacles: site?.obstacles?.length ? site.obstacles : null,
    tallestM: site?.tallestM ?? null,
    ceilingM: site?.ceilingM ?? null,
    landingPlaces: site?.landingPlaces ?? null,
    below: site?.below ?? null,
    at: conditions.at,
    coordinates: site?.coordinates ?? null,
  };
}
