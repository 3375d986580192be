import {
  type Coordinates,
  clockTime,
  fingerprint,
  type HourlyWeather,
  practiceStation,
  readClockTime,
  standardQnhHpa,
  sunTimes,
  timeZoneAt,
} from '@acorn-tally/core';

/** What the stand-in station reports: made up, the same for the same place and day. */
export interface StationReport {
  readonly practice: true;
  readonly station: string;
  readonly metar: string;
  readonly hours: readonly HourlyWeather[];
}

const hoursOfDay = Array.from({ length: 24 }, (_, hour) => hour);
/** The report is of this hour by the clocks of the place. */
const reportHour = 9;
const knotMps = 1852 / 3600;

/**
 * A practice weather station: a made-up day for a place, from a seed of place and day. Colder with height (6.5 K per km,
 * ISO 2533), with latitude and in winter; coldest at dawn, windiest after noon, by the clocks of the place. Nothing of it was
 * measured anywhere.
 */
export function stationReport(day: string, elevationM: number, coordinates: Coordinates): StationReport {
  const chance = seeded(
    `${day} ${coordinates.latitudeDeg.toFixed(2)} ${coordinates.longitudeDeg.toFixed(2)}`,
  );
  const season =
    Math.cos((2 * Math.PI * (dayOfYear(day) - 200)) / 365) * Math.sign(coordinates.latitudeDeg || 1);
  const meanC =
    27 - 0.38 * Math.abs(coordinates.latitudeDeg) + 8 * season - 0.0065 * elevationM + spread(chance(), 3);
  const swingC = 2 + 3 * chance();
  const meanMps = 2 + 5 * chance();
  const fromDeg = Math.round(chance() * 36) * 10;
  const turnDeg = spread(chance(), 60);
  const qnhHpa = Math.round(standardQnhHpa + spread(chance(), 18));
  const gustRatio = 1.35 + 0.35 * chance();
  const timeZone = timeZoneAt(coordinates);
  const atHour = (hour: number) =>
    readClockTime(`${day} ${String(hour).padStart(2, '0')}:00`, timeZone) as string;
  const { rise, set } = sunTimes(atHour(12), coordinates);
  const hourOf = (at: string | null, otherwise: number) =>
    at === null ? otherwise : Number(clockTime(at, timeZone).slice(11, 13));
  const [dawnHour, duskHour] = [hourOf(rise, 6), hourOf(set, 18)];
  const warmestHour = (dawnHour + duskHour) / 2 + hoursAfterNoon;
  const hours = hoursOfDay.map((hour) => {
    const warmth = warmthAt(hour, dawnHour, warmestHour);
    const speedMps = Math.max(0.5, meanMps * (1 + 0.35 * warmth) + spread(chance(), 0.4));
    return {
      at: atHour(hour),
      airTemperatureC: Math.round((meanC + swingC * warmth) * 10) / 10,
      relativeHumidity: Math.round(100 * Math.min(1, Math.max(0.3, 0.78 - 0.15 * warmth))) / 100,
      qnhHpa,
      wind: {
        speedMps: Math.round(speedMps * 10) / 10,
        gustMps: Math.round(speedMps * gustRatio * 10) / 10,
        fromDeg: Math.round((fromDeg + (turnDeg * hour) / 24 + 360) % 360),
        readingHeightM: 10,
      },
    };
  });
  return {
    practice: true,
    station: practiceStation,
    metar: metarOf(hours[reportHour] as HourlyWeather),
    hours,
  };
}

/** How far the air lags behind the sun (common practice: warmest two to three hours after the sun's noon). */
const hoursAfterNoon = 2.5;

/** From −1 at dawn, up to 1 at the warmest hour, and down again through the night. */
function warmthAt(hour: number, dawnHour: number, warmestHour: number): number {
  const sinceDawn = (hour - dawnHour + 24) % 24;
  const warmingHours = warmestHour - dawnHour;
  return sinceDawn < warmingHours
    ? -Math.cos((Math.PI * sinceDawn) / warmingHours)
    : Math.cos((Math.PI * (sinceDawn - warmingHours)) / (24 - warmingHours));
}

/** The report as text, in the form of WMO Manual on Codes 306, FM 15. */
function metarOf({ at, airTemperatureC, relativeHumidity, qnhHpa, wind }: HourlyWeather): string {
  const two = (value: number) => String(Math.abs(value)).padStart(2, '0');
  const knots = (mps: number) => Math.round(mps / knotMps);
  const degrees = (value: number) => `${value < 0 ? 'M' : ''}${two(value)}`;
  const air = Math.round(airTemperatureC);
  // From memory: the dew point lies about 1 K lower for each 5 % below saturation.
  const dew = Math.round(air - (100 - 100 * (relativeHumidity ?? 1)) / 5);
  const from = String((Math.round(wind.fromDeg / 10) * 10) % 360 || 360).padStart(3, '0');
  return [
    `METAR ${practiceStation} ${at.slice(8, 10)}${at.slice(11, 13)}${at.slice(14, 16)}Z`,
    `${from}${two(knots(wind.speedMps))}G${two(knots(wind.gustMps ?? 0))}KT`,
    '9999',
    `${degrees(air)}/${degrees(dew)}`,
    `Q${String(qnhHpa).padStart(4, '0')}`,
  ].join(' ');
}

/** Numbers 0–1 that follow from a text (mulberry32; public domain). */
function seeded(text: string): () => number {
  let state = Number.parseInt(fingerprint(text).slice(0, 8), 16);
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 2 ** 32;
  };
}

function spread(chance: number, width: number): number {
  return (2 * chance - 1) * width;
}

function dayOfYear(day: string): number {
  return (Date.parse(day) - Date.parse(`${day.slice(0, 4)}-01-01`)) / 86_400_000;
}
