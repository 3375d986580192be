import {
  type Battery,
  type BatteryRecord,
  type DayAtPlace,
  type DayContent,
  packAt,
  splitConditions,
  weatherAtHour,
} from '@acorn-tally/core';

/** A battery as it will be at the ribbon’s hour: how long it has stood, and how warm it is where it waits. */
export function packAtTheHour(battery: BatteryRecord, conditions: DayAtPlace): Battery {
  return packAt(battery.pack, battery.keeping, conditions.at, conditions.weather.airTemperatureC);
}

/** What changes when the ribbon is set to another hour: its weather too, where the hourly rows give it. */
export function atAnotherHour(conditions: DayAtPlace, at: string): Partial<DayContent> {
  const conditionsThen = weatherAtHour(conditions.hours ?? [], at, conditions.weather);
  if (!conditionsThen) return { at };
  return { at, weather: splitConditions(conditionsThen).weather, weatherFrom: conditions.hoursFrom };
}
