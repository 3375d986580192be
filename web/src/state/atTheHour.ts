import {
  type Battery,
  type BatteryRecord,
  type ConditionsContent,
  type ConditionsRecord,
  packAt,
  weatherAtHour,
} from '@acorn-tally/core';

/** A battery as it will be at the ribbon’s hour: how long it has stood, and how warm it is where it waits. */
export function packAtTheHour(battery: BatteryRecord, conditions: ConditionsRecord): Battery {
  return packAt(battery.pack, battery.keeping, conditions.at, conditions.weather.airTemperatureC);
}

/** What changes when the ribbon is set to another hour: its weather too, where the hourly rows give it. */
export function atAnotherHour(conditions: ConditionsRecord, at: string): Partial<ConditionsContent> {
  const weather = weatherAtHour(conditions.hours ?? [], at, conditions.weather);
  return weather ? { at, weather, weatherFrom: conditions.hoursFrom ?? null } : { at };
}
