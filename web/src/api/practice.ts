import type { Coordinates, HourlyWeather } from '@acorn-tally/core';
import { call } from './client';

/** What the practice weather station made up for a place and day. */
export interface StationReport {
  readonly station: string;
  readonly metar: string;
  readonly hours: readonly HourlyWeather[];
}

export function practiceWeather(
  day: string,
  elevationM: number,
  { latitudeDeg, longitudeDeg }: Coordinates,
): Promise<StationReport> {
  const query = new URLSearchParams({
    day,
    elevationM: String(elevationM),
    latitudeDeg: String(latitudeDeg),
    longitudeDeg: String(longitudeDeg),
  });
  return call('GET', `/practice/weather-station?${query}`);
}
