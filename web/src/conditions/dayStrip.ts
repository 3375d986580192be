import { type Coordinates, type HourlyWeather, type Light, lightAt, sunTimes } from '@acorn-tally/core';
import dayjs from 'dayjs';

/** Part of a day in one light; minutes since midnight. */
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

/** The hourly rows of one local day, its midnight at the end included. */
export function hoursOfDay(hours: readonly HourlyWeather[], day: string): HourPoint[] {
  const start = dayjs(day).startOf('day');
  return hours
    .map(({ at, airTemperatureC, wind }) => ({
      minute: dayjs(at).diff(start, 'minute', true),
      airTemperatureC,
      windMps: wind.speedMps,
      gustMps: wind.gustMps ?? null,
    }))
    .filter(({ minute }) => minute >= 0 && minute <= minutesADay);
}

/** The local days that have rows, as "2026-11-26". */
export function daysWithHours(hours: readonly HourlyWeather[]): string[] {
  return [...new Set(hours.map(({ at }) => dayjs(at).format('YYYY-MM-DD')))];
}

/** The light of one local day, from midnight to midnight, without gaps. */
export function lightOfDay(day: string, coordinates: Coordinates): LightSpan[] {
  const start = dayjs(day).startOf('day');
  const times = sunTimes(start.add(12, 'hour').toISOString(), coordinates);
  const minute = (at: string | null) => (at === null ? null : dayjs(at).diff(start, 'minute', true));
  const edges = [times.dawn, times.rise, times.lowUntil, times.lowFrom, times.set, times.dusk]
    .map(minute)
    .filter((at): at is number => at !== null && at > 0 && at < minutesADay);
  const bounds = [0, ...edges.sort((a, b) => a - b), minutesADay];
  return bounds.slice(1).flatMap((toMin, i) => {
    const fromMin = bounds[i] as number;
    const middle = start.add((fromMin + toMin) / 2, 'minute').toISOString();
    return toMin > fromMin ? [{ fromMin, toMin, light: lightAt(middle, coordinates) }] : [];
  });
}

/** When the light changes, in words, in the order of the day; empty in the endless night or day. */
export function lightInWords(day: string, coordinates: Coordinates): string[] {
  const times = sunTimes(dayjs(day).startOf('day').add(12, 'hour').toISOString(), coordinates);
  if (times.always === 'up') return ['the sun does not set'];
  const clock = (at: string | null) => (at === null ? null : dayjs(at).format('HH:mm'));
  const said = (words: string, at: string | null) => (clock(at) === null ? [] : [`${words} ${clock(at)}`]);
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
