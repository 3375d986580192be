import Papa from 'papaparse';
import { median } from '../statistics/quantile';
import { type Outcome, refuse, success } from '../units/outcome';
import { cellIn, clockIn, dateIn, numberIn, onOrOff } from './cells';
import {
  type ColumnMap,
  headedSo,
  type LogColumn,
  type LogUnit,
  logUnits,
  searchOrder,
  unitNamed,
} from './columns';

/** How a log is written: what a pilot may correct, and what is remembered for the next file with the same headings. */
export interface LogLayout {
  readonly delimiter: string;
  readonly decimalComma: boolean;
  readonly headings: readonly string[];
  readonly columns: ColumnMap;
}

/** What a log must tell to be a flight. */
export const neededColumns = ['time', 'charge'] as const satisfies readonly LogColumn[];

const delimiters = [',', ';', '\t', '|'] as const;
/** A line of anything else has no more columns than this. */
const mostColumns = 400;

/** Under which a corrected layout is remembered. */
export const headingKey = (headings: readonly string[]) =>
  headings.map((one) => one.trim().toLowerCase()).join('|');

/**
 * How the first lines of a file are to be read: delimiter, decimal comma, and by name, unit and plausible values which column
 * tells what. Refused where they are no table.
 */
export function layoutOf(head: string, timeZone: string): Outcome<LogLayout> {
  const lines = head.split(/\r\n|\n|\r/).filter((line) => line.trim() !== '');
  const [first = ''] = lines;
  const delimiter = delimiters.reduce((best, one) =>
    first.split(one).length > first.split(best).length ? one : best,
  );
  const headings = cellsOf(first, delimiter);
  if (headings.length < 2 || headings.length > mostColumns || lines.length < 2) {
    return refuse(
      'not-a-log',
      'This is no table with a line of headings: a log needs columns for time and charge.',
    );
  }
  // The last line of a piece may be cut.
  const rows = lines.slice(1, 200).map((line) => cellsOf(line, delimiter));
  const decimalComma =
    delimiter !== ',' && rows.some((row) => row.some((cell) => /^\s*-?\d+,\d+\s*$/.test(cell)));
  const columns: { [C in LogColumn]?: { index: number; unit: LogUnit } } = {};
  const taken = new Set<number>();
  for (const column of searchOrder) {
    for (const index of headedSo(column, headings)) {
      const values = rows.map((row) => row[index] ?? '').filter((cell) => cell.trim() !== '');
      const unit = taken.has(index)
        ? null
        : unitOf(column, headings[index] as string, values, decimalComma, timeZone);
      if (unit === null) continue;
      columns[column] = { index, unit };
      taken.add(index);
      break;
    }
  }
  return success({ delimiter, decimalComma, headings, columns });
}

export function cellsOf(line: string, delimiter: string): string[] {
  return Papa.parse<string[]>(line, { delimiter }).data[0] ?? [];
}

/** The columns that are still to be named before it is a flight. */
export function missingColumns({ columns }: Pick<LogLayout, 'columns'>): LogColumn[] {
  return neededColumns.filter((column) => columns[column] === undefined);
}

/** What SI values each column may have; what lies beyond is some other column under a like name. */
const plausible: Partial<Record<LogColumn, readonly [least: number, most: number]>> = {
  charge: [0, 1],
  voltage: [2, 70],
  height: [-500, 9000],
  speed: [0, 100],
  distance: [0, 50_000],
  temperature: [-40, 110],
  latitude: [-90, 90],
  longitude: [-180, 180],
};

/** The unit of a column: as its heading says, else as its values look; null where they are not of this kind. */
function unitOf(
  column: LogColumn,
  heading: string,
  values: readonly string[],
  decimalComma: boolean,
  timeZone: string,
): LogUnit | null {
  if (values.length === 0) return null;
  if (column === 'motors') return most(values, (text) => onOrOff(text) !== null) ? 'on or off' : null;
  if (column === 'time') return timeUnit(heading, values, decimalComma, timeZone);
  const named = unitNamed(column, heading);
  const guesses = named ? [named] : (logUnits[column] as readonly LogUnit[]);
  const [least, largest] = plausible[column] ?? [-Infinity, Infinity];
  const fits = (unit: LogUnit) =>
    most(values, (text) => {
      const value = cellIn(text, unit, decimalComma, timeZone);
      return value !== null && value >= least && value <= largest;
    });
  if (column === 'charge' && !named) {
    const numbers = values.flatMap((text) => numberIn(text, decimalComma) ?? []);
    // A gauge that never shows more than one is a fraction.
    return fits('%') ? (Math.max(...numbers) <= 1 ? 'fraction' : '%') : null;
  }
  if (column === 'voltage' && named !== 'mV') {
    const numbers = values.flatMap((text) => numberIn(text, decimalComma) ?? []);
    if (numbers.length > 0 && Math.max(...numbers) > 1000) return fits('mV') ? 'mV' : null;
    if (named === null && numbers.length > 0 && Math.max(...numbers) <= 4.6)
      return fits('V') ? 'V a cell' : null;
  }
  return guesses.find(fits) ?? null;
}

/** Rows that as seconds would go on for longer, or be dated later, are milliseconds: two hours, and the year 5138. */
const longestFlightS = 7200;
const latestInstantS = 1e11;

/** Times: dates, clocks, or numbers in seconds or milliseconds by how far they go. */
function timeUnit(
  heading: string,
  values: readonly string[],
  decimalComma: boolean,
  timeZone: string,
): LogUnit | null {
  if (most(values, (text) => dateIn(text, timeZone) !== null)) return 'date and time';
  if (most(values, (text) => clockIn(text) !== null)) return 'clock';
  const numbers = values.flatMap((text) => numberIn(text, decimalComma) ?? []);
  if (numbers.length < values.length * 0.8) return null;
  const named = unitNamed('time', heading);
  if (named) return named;
  const steps = numbers.slice(1).map((value, i) => Math.abs(value - (numbers[i] as number)));
  const isLong = steps.length > 0 && median(steps) * numbers.length > longestFlightS;
  return isLong || (numbers[0] ?? 0) > latestInstantS ? 'ms' : 's';
}

/** Nine of ten: a log may have gaps and a torn line. */
function most(values: readonly string[], is: (text: string) => boolean): boolean {
  return values.filter(is).length >= values.length * 0.9;
}
