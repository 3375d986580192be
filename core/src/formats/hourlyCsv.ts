import { conditionsRanges, forecastHeightM, windRanges } from '../air/conditions';
import { type HourlyWeather, maxHours } from '../air/hours';
import { type Outcome, refuse, success } from '../units/outcome';
import type { Quantity } from '../units/quantity';
import type { ChosenUnits } from '../units/units';
import { CellReader, type CsvProblem, readCsv, writeCsv } from './csv';
import { fileTooLong, longestFile } from './fileLength';
import { headed } from './headings';

/** The columns of hourly weather: the heading we write, its bare name, and the ways others head the same. */
const columns = {
  at: ['time', 'time', 'date', 'datetime', 'hour', 'valid'],
  temperature: ['temperature °c', 'temperature', 'temp', 'temp °c', 'air'],
  humidity: ['humidity %', 'humidity', 'rh'],
  qnh: ['qnh hpa', 'qnh', 'pressure', 'pressure hpa'],
  wind: ['wind m/s', 'wind', 'wind speed'],
  gust: ['gust m/s', 'gust', 'gusts', 'wind gust', 'wind gusts', 'gust speed'],
  from: ['from °', 'from', 'direction', 'wind direction', 'wind from'],
  readAt: ['read at m', 'read at', 'height'],
} as const;
type Column = keyof typeof columns;
const needed: readonly Column[] = ['at', 'temperature', 'wind', 'from'];

export interface HourlyRows {
  readonly hours: readonly HourlyWeather[];
  readonly problems: readonly CsvProblem[];
}

/**
 * Hourly weather from CSV: time, temperature, wind and direction at least, in the unit a heading or a cell names, else in the
 * reader's own; times without an offset are the zone's.
 * A wrong row is told by line and column and left out; refused when a needed column or every row is missing.
 */
export function readHourlyCsv(file: string, timeZone: string, units?: ChosenUnits): Outcome<HourlyRows> {
  if (file.length > longestFile) return fileTooLong(file);
  const { rows, has, ignored } = headed(readCsv(file), Object.values(columns), units);
  const heading = (column: Column) => (has(columns[column][0]) ? columns[column][0] : '');
  const missing = needed.filter((column) => heading(column) === '');
  if (missing.length > 0) {
    return refuse('columns-missing', 'The first line must name the columns; missing: {names}.', {
      names: missing.map((column) => columns[column][1]).join(', '),
    });
  }
  if (rows.length > maxHours) {
    return refuse('too-many-rows', 'At most {mostCount} hours, a month, are read; these are {readCount}.', {
      mostCount: maxHours,
      readCount: rows.length,
    });
  }
  const problems: CsvProblem[] = [];
  const hours = rows.flatMap((row) => {
    const cells = new CellReader(row, timeZone);
    const hour = hourOf(cells, heading);
    problems.push(...cells.problems);
    return hour && cells.problems.length === 0 ? [hour] : [];
  });
  if (hours.length === 0) {
    const [first] = problems;
    if (!first) return refuse('no-hours', 'There is no hour in it.');
    return refuse('no-hours', 'No hour could be read. Line {lineCount}: {message}', {
      lineCount: first.line,
      message: first.message,
    });
  }
  return success({
    hours: [...hours].sort((a, b) => Date.parse(a.at) - Date.parse(b.at)),
    problems: [...ignored, ...problems],
  });
}

function hourOf(cells: CellReader, heading: (column: Column) => string): HourlyWeather | null {
  const optional = (column: Column, quantity: Quantity) =>
    heading(column) === '' ? null : cells.quantity(heading(column), quantity);
  const at = cells.instant(heading('at'));
  if (at === null) {
    if (cells.problems.length === 0) cells.wrong(heading('at'), 'Time is empty.');
    return null;
  }
  const speedMps = cells.needed(heading('wind'), windRanges.speedMps);
  const gustMps = optional('gust', windRanges.gustMps);
  if (gustMps !== null && gustMps < speedMps)
    cells.wrong(heading('gust'), 'The gust is weaker than the wind: one of them is wrong.');
  return {
    at,
    airTemperatureC: cells.needed(heading('temperature'), conditionsRanges.airTemperatureC),
    relativeHumidity: optional('humidity', conditionsRanges.relativeHumidity),
    qnhHpa: optional('qnh', conditionsRanges.qnhHpa),
    wind: {
      speedMps,
      gustMps,
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
