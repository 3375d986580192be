import type { DayContent, PlaceContent } from '@acorn-tally/core';

/** Where a new database begins: open ground at the sea. */
export const defaultPlace: PlaceContent = { name: 'My site', elevationM: 0, roughnessM: 0.1 };

/** When: a mild day with a light wind, as a forecast for 10 m gives it. */
export function defaultDay(now: Date): Omit<DayContent, 'placeId'> {
  return {
    at: now.toISOString(),
    weather: {
      airTemperatureC: 15,
      wind: { speedMps: 3, gustMps: null, fromDeg: 240, readingHeightM: 10 },
    },
  };
}
