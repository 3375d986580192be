import type { Conditions } from '../air/conditions';
import type { HourlyWeather } from '../air/hours';
import type { Site } from '../air/site';
import type { DayRecord, Ground, PlaceRecord, Weather, WeatherSource } from './records';

/** A day together with its place: the conditions a flight meets. */
export interface DayAtPlace {
  /** Of the day. */
  readonly id: string;
  readonly placeId: string;
  /** What the place is called. */
  readonly place: string;
  readonly at: string;
  readonly weather: Conditions;
  readonly site: Site;
  readonly weatherFrom: WeatherSource | null;
  readonly hours: readonly HourlyWeather[] | null;
  readonly hoursFrom: WeatherSource | null;
}

export function dayAtPlace(day: DayRecord, place: PlaceRecord): DayAtPlace {
  const { id, placeId, at, weather, weatherFrom = null, hours = null, hoursFrom = null } = day;
  const { name, elevationM, roughnessM = null, ...rest } = place;
  const { coordinates, timeZone, tallestM, ceilingM, obstacles, landingPlaces, home, below } = rest;
  return {
    id,
    placeId,
    place: name,
    at,
    weather: { ...weather, elevationM, roughnessM },
    site: { coordinates, timeZone, tallestM, ceilingM, obstacles, landingPlaces, home, below },
    weatherFrom,
    hours,
    hoursFrom,
  };
}

/** The two halves of conditions: what the ground is like stays with the place, what the air does is the day's. */
export function splitConditions(conditions: Conditions): {
  readonly ground: Ground;
  readonly weather: Weather;
} {
  const { elevationM, roughnessM, ...weather } = conditions;
  return { ground: { elevationM, roughnessM }, weather };
}
