import { type DayAtPlace, type DayContent, splitConditions, weatherAtHour } from '@acorn-tally/core';

/** What changes when the ribbon is set to another hour: its weather too, where the hourly rows give it. */
export function atAnotherHour(conditions: DayAtPlace, at: string): Partial<DayContent> {
  const conditionsThen = weatherAtHour(conditions.hours ?? [], at, conditions.weather);
  if (!conditionsThen) return { at };
  return { at, weather: splitConditions(conditionsThen).weather, weatherFrom: conditions.hoursFrom };
}
