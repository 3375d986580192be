import { type Battery, type BatteryRecord, type ConditionsRecord, packAt } from '@acorn-tally/core';

/** A battery as it will be at the ribbon’s hour: how long it has stood, and how warm it is where it waits. */
export function packAtTheHour(battery: BatteryRecord, conditions: ConditionsRecord): Battery {
  return packAt(battery.pack, battery.keeping, conditions.at, conditions.weather.airTemperatureC);
}
