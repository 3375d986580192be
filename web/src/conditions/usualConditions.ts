import type { ConditionsContent } from '@acorn-tally/core';

/** What a new database begins with: a mild day with a light wind, as a forecast for 10 m gives it. */
export function usualConditions(now: Date): ConditionsContent {
  return {
    place: 'My site',
    at: now.toISOString(),
    weather: {
      airTemperatureC: 15,
      elevationM: 0,
      roughnessM: 0.1,
      wind: { speedMps: 3, gustMps: null, fromDeg: 240, readingHeightM: 10 },
    },
  };
}
