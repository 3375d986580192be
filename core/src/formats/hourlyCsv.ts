import { conditionsRanges, windRanges } from '../air/conditions';
import type { HourlyWeather } from '../air/hours';
import { type Outcome, refuse, success } from '../units/outcome';
import type { Quantity } from '../units/quantity';
import { CellReader, type CsvProblem, readCsv, writeCsv } from './csv';

/** The columns of hourly weather: heading, unit in it, and the ways others head the same. */
const columns = {
  at: ['time', 'date', 'datetime', 'hour', 'valid'],
  temperature: ['temperature °c', 'temperature', 'temp', 'temp °c', 'air'],
  humidity: ['humidity %', 'humidity', 'rh'],
  qnh: ['qnh hpa', 'qnh', 'pressure', 'pressure hpa'],
  wind: ['wind m/s', 'wind', 'wind speed'],
  gust: ['gust m/s', 'gust', 'gusts', 'wind gust'],
  from: ['from °', 'from', 'direction', 'wind direction', 'wind from'],
  readAt: ['read at m', 'read at', 'height'],
} as const;
type Column = keyof typeof columns;
const needed: readonly Column[] = ['at', 'temperature', 'wind', 'from'];

/** A forecast gives the wind for 10 m where it does not say (WMO standard). */
const forecastHeightM = 10;
const mostRows = 24 * 31;

export interface HourlyRows {
  readonly hours: readonly HourlyWeather[];
  readonly problems: readonly CsvProblem[];
}

/**
 * Hourly weather from CSV: time, temperature, wind and direction at least, in SI or with the unit after the number.
 * A wrong row is told by line and column and left out; refused when a needed column or every row is missing.
 */
export function readHourlyCsv(file: string): Outcome<HourlyRows> {
  const { headings, rows } = readCsv(file);
  const heading = (column: Column) => columns[column].find((name) => headings.includes(name)) ?? '';
  const missing = needed.filter((column) => heading(column) === '');
  if (missing.length > 0) {
    return refuse(
      'columns-missing',
      `The first line must name the columns; missing: ${missing.map((column) => columns[column][0]).join(', ')}.`,
    );
  }
  if (rows.length > mostRows) {
    return refuse('too-many-rows', `At most ${mostRows} hours, a month, are read; these are ${rows.length}.`);
  }
  const problems: CsvProblem[] = [];
  const hours = rows.flatMap((row) => {
    const cells = new CellReader(row);
    const hour = hourOf(cells, heading);
    problems.push(...cells.problems);
    return hour && cells.problems.length === 0 ? [hour] : [];
  });
  if (hours.length === 0) {
    const [first] = problems;
    return refuse(
      'no-hours',
      first ? `No hour could be read. Line ${first.line}: ${first.message}` : 'There is no hour in it.',
    );
  }
  return success({ hours: [...hours].sort((a, b) => Date.parse(a.at) - Date.parse(b.at)), problems });
}

function hourOf(cells: CellReader, heading: (column: Column) => string): HourlyWeather | null {
  const optional = (column: Column, quantity: Quantity) =>
    heading(column) === '' ? null : cells.quantity(heading(column), quantity);
  const at = cells.instant(heading('at'));
  if (at === null) {
    if (cells.problems.length === 0) cells.wrong(heading('at'), 'Time is empty.');
    return null;
  }
  return {
    at,
    airTemperatureC: cells.needed(heading('temperature'), conditionsRanges.airTemperatureC),
    relativeHumidity: optional('humidity', conditionsRanges.relativeHumidity),
    qnhHpa: optional('qnh', conditionsRanges.qnhHpa),
    wind: {
      speedMps: cells.needed(heading('wind'), windRanges.speedMps),
      gustMps: optional('gust', windRanges.gustMps),
      fromDeg: cells.needed(heading('from'), windRanges.fromDeg),
      readingHeightM: optional('readAt', windRanges.readingHeightM) ?? forecastHeightM,
    },
  };
}

/** The same rows as a file, so that what is read can be written and the other way round. */
export function writeHourlyCsv(hours: readonly HourlyWeather[]): string {
  const blank = (value: number | null | undefined, factor = 1) =>
    value == null ? '' : Number((value * factor).toFixed(2));
  return writeCsv(
    (Object.keys(columns) as Column[]).map((column) => columns[column][0]),
    hours.map(({ at, airTemperatureC, relativeHumidity, qnhHpa, wind }) => [
      at,
      airTemperatureC,
      blank(relativeHumidity, 100),
      blank(qnhHpa),
      wind.speedMps,
      blank(wind.gustMps),
      wind.fromDeg,
      wind.readingHeightM,
    ]),
  );
}
