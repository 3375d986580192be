import { type Coordinates, type HourlyWeather, type Light, lightBetween, sunTimes } from '@acorn-tally/core';
import type { Clock } from '../state/clock';

/** Part of a day in one light; minutes by the clocks of the place, since midnight. */
export interface LightSpan {
  readonly fromMin: number;
  readonly toMin: number;
  readonly light: Light;
}

export interface HourPoint {
  readonly minute: number;
  readonly airTemperatureC: number;
  readonly windMps: number;
  readonly gustMps: number | null;
}

export const minutesADay = 1440;
const msPerMin = 60_000;

/** What the clocks show at an instant, in minutes since midnight. */
export function minuteOfDay(clock: Clock, at: string): number {
  const [hours = 0, minutes = 0] = clock.format(at, 'HH:mm').split(':').map(Number);
  return hours * 60 + minutes;
}

/** "08:40" of 520 minutes. */
export function clockOfMinute(minute: number): string {
  const two = (value: number) => String(value).padStart(2, '0');
  return `${two(Math.floor(minute / 60))}:${two(minute % 60)}`;
}

/** Midnight of a day by the clocks of the place, and of the next, as instants. */
function boundsOf(day: string, clock: Clock): readonly [startMs: number, endMs: number] {
  const start = Date.parse(clock.read(day) ?? day);
  const next = new Date(Date.parse(`${day}T00:00Z`) + minutesADay * msPerMin).toISOString().slice(0, 10);
  return [start, Date.parse(clock.read(next) ?? next)];
}

/** The hourly rows of one day, its midnight at the end included. */
export function hoursOfDay(hours: readonly HourlyWeather[], day: string, clock: Clock): HourPoint[] {
  const [startMs, endMs] = boundsOf(day, clock);
  return hours
    .filter(({ at }) => Date.parse(at) >= startMs && Date.parse(at) <= endMs)
    .map(({ at, airTemperatureC, wind }) => ({
      minute: Date.parse(at) === endMs ? minutesADay : minuteOfDay(clock, at),
      airTemperatureC,
      windMps: wind.speedMps,
      gustMps: wind.gustMps ?? null,
    }));
}

/** The days that have rows, as "2026-11-26". */
export function daysWithHours(hours: readonly HourlyWeather[], clock: Clock): string[] {
  return [...new Set(hours.map(({ at }) => clock.format(at, 'YYYY-MM-DD')))];
}

/** The light of one day, from midnight to midnight, without gaps. */
export function lightOfDay(day: string, coordinates: Coordinates, clock: Clock): LightSpan[] {
  const [startMs, endMs] = boundsOf(day, clock);
  const share = (ms: number) => ((ms - startMs) / (endMs - startMs)) * minutesADay;
  return lightBetween(startMs, endMs, coordinates).map(({ fromMs, toMs, light }) => ({
    fromMin: share(fromMs),
    toMin: share(toMs),
    light,
  }));
}

/** When the light changes, in words, in the order of the day; empty in the endless night or day. */
export function lightInWords(day: string, coordinates: Coordinates, clock: Clock): string[] {
  const [startMs, endMs] = boundsOf(day, clock);
  const times = sunTimes(new Date((startMs + endMs) / 2).toISOString(), coordinates);
  if (times.always === 'up') return ['the sun does not set'];
  const said = (words: string, at: string | null) =>
    at === null ? [] : [`${words} ${clock.format(at, 'HH:mm')}`];
  return [
    ...(times.always === 'down' ? ['the sun does not rise'] : []),
    ...said('civil twilight from', times.dawn),
    ...said('sunrise', times.rise),
    ...said('low sun until', times.lowUntil),
    ...said('and again from', times.lowFrom),
    ...said('sunset', times.set),
    ...said('civil twilight until', times.dusk),
  ];
}
