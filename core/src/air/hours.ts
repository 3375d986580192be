import type { Conditions } from './conditions';

/** The weather of one hour at a place. Unknown fields are null. */
export interface HourlyWeather {
  /** ISO 8601. */
  readonly at: string;
  readonly airTemperatureC: number;
  readonly relativeHumidity?: number | null;
  readonly qnhHpa?: number | null;
  readonly wind: Conditions['wind'];
}

/** A month of hours: more is no forecast. */
export const maxHours = 24 * 31;

/** How far outside the rows an hour may lie and still be answered by the nearest one. */
const reachMs = 3_600_000;

/**
 * The weather at an instant from hourly rows in order of time: straight between two rows, wind direction the short way
 * round, gusts and humidity only where both rows give them. Null more than an hour outside the rows.
 */
export function weatherAtHour(
  hours: readonly HourlyWeather[],
  at: string,
  before: Conditions,
): Conditions | null {
  const time = Date.parse(at);
  const after = hours.findIndex((hour) => Date.parse(hour.at) >= time);
  const to = hours[after === -1 ? hours.length - 1 : after];
  if (!to) return null;
  const from = after > 0 ? (hours[after - 1] as HourlyWeather) : to;
  const [fromMs, toMs] = [Date.parse(from.at), Date.parse(to.at)];
  if (time < fromMs - reachMs || time > toMs + reachMs) return null;
  const share = toMs > fromMs && time <= toMs ? (time - fromMs) / (toMs - fromMs) : 1;
  const between = (a: number, b: number) => round(a + share * (b - a));
  const ifBoth = (a: number | null | undefined, b: number | null | undefined) =>
    a == null || b == null ? null : between(a, b);
  return {
    ...before,
    airTemperatureC: between(from.airTemperatureC, to.airTemperatureC),
    relativeHumidity: ifBoth(from.relativeHumidity, to.relativeHumidity) ?? before.relativeHumidity ?? null,
    qnhHpa: ifBoth(from.qnhHpa, to.qnhHpa) ?? before.qnhHpa ?? null,
    wind: {
      speedMps: between(from.wind.speedMps, to.wind.speedMps),
      gustMps: ifBoth(from.wind.gustMps, to.wind.gustMps),
      fromDeg: turned(from.wind.fromDeg, to.wind.fromDeg, share),
      readingHeightM: (share < 0.5 ? from : to).wind.readingHeightM,
    },
  };
}

/** From one direction to another the short way round, degrees 0–360. */
function turned(fromDeg: number, toDeg: number, share: number): number {
  const turnDeg = ((toDeg - fromDeg + 540) % 360) - 180;
  return Math.round((fromDeg + share * turnDeg + 360) % 360);
}

function round(value: number): number {
  return Number(value.toFixed(2));
}
