import {
  type BatteryRecord,
  type DayAtPlace,
  packAtTheHour,
  takeoffCharge,
  type UnfitReason,
  unfitToFly,
} from '@acorn-tally/core';
import { likeliest } from './belief';

/** Why a battery is not to be flown as it is at the chosen hour; null where nothing stands against it. */
export function unfitNow(battery: BatteryRecord, conditions: DayAtPlace): UnfitReason | null {
  const pack = packAtTheHour(battery, conditions);
  const charge = takeoffCharge(pack, likeliest(battery.aircraftId));
  return unfitToFly(pack, charge, conditions.weather.airTemperatureC);
}
