import Papa from 'papaparse';
import { median } from '../statistics/quantile';
import { type Outcome, refuse, success } from '../units/outcome';
import { cellIn, clockIn, type DateForm, dateIn, monthFirstIn, numberIn, onOrOff } from './cells';
import {
  type ColumnMap,
  chargeHeading,
  headedSo,
  isUtc,
  type LogColumn,
  type LogUnit,
  logUnitNamed,
  logUnits,
  perUnit,
  searchOrder,
} from './columns';
import { RowSplitter } from './lines';

/** How a log is written: what a pilot may correct, and what is remembered for the next file with the same headings. */
export interface LogLayout {
  readonly delimiter: string;
  readonly decimalComma: boolean;
  readonly headings: readonly string[];
  readonly columns: ColumnMap;
  /** Dates are written 11/25/2026; a layout remembered from before may not say. */
  readonly monthFirst?: boolean;
}

/** What a log must tell to be a flight. */
export const neededColumns = ['time', 'charge'] as const satisfies readonly LogColumn[];

const delimiters = [',', ';', '\t', '|'] as const;
/** A line of anything else has no more columns than this. */
const maxColumns = 400;

/** Under which a corrected layout is remembered. */
export const headingKey = (headings: readonly string[]) =>
  headings.map((one) => one.trim().toLowerCase()).join('|');

/**
 * How the first lines of a file are to be read: delimiter, decimal comma, and by name, unit and plausible values which column
 * tells what. Refused where they are no table.
 */
export function layoutOf(head: string, timeZone: string): Outcome<LogLayout> {
  const lines = rowsOf(head).filter((row) => row.trim() !== '');
  const [first = ''] = lines;
  const delimiter = delimiters.reduce((best, one) =>
    first.split(one).length > first.split(best).length ? one : best,
  );
  const headings = splitCells(first, delimiter);
  if (headings.length < 2 || headings.length > maxColumns || lines.length < 2) {
    return refuse(
      'not-a-log',
      'This is no table with a line of headings: a log needs columns for time and charge.',
    );
  }
  // The last line of a piece may be cut.
  const rows = lines.slice(1, 200).map((line) => splitCells(line, delimiter));
  const decimalComma =
    delimiter !== ',' && rows.some((row) => row.some((cell) => /^\s*-?\d+,\d+\s*$/.test(cell)));
  const columns: { [C in LogColumn]?: { index: number; unit: LogUnit } } = {};
  const taken = new Set<number>();
  const monthFirst = hasMonthFirst(rows);
  for (const column of searchOrder) {
    const candidates = headedSo(column, headings).flatMap((index) => {
      const heading = headings[index] as string;
      const values = rows.map((row) => row[index] ?? '').filter((cell) => cell.trim() !== '');
      const manner = { decimalComma, form: { monthFirst, timeZone: isUtc(heading) ? 'UTC' : timeZone } };
      const unit = taken.has(index) ? null : unitOf(column, heading, values, manner);
      if (unit === null) return [];
      return { index, unit, likely: column === 'charge' ? likelyCharge(heading, values, unit, manner) : 1 };
    });
    const likeliest = Math.max(0, ...candidates.map(({ likely }) => likely));
    const found = candidates.find(({ likely }) => likely > 0 && likely === likeliest);
    if (!found) continue;
    columns[column] = { index: found.index, unit: found.unit };
    taken.add(found.index);
  }
  return success({ delimiter, decimalComma, headings, columns, monthFirst });
}

function rowsOf(text: string): string[] {
  const rows: string[] = [];
  const splitter = new RowSplitter((row) => rows.push(row));
  splitter.feed(text);
  splitter.end();
  return rows;
}

/** One date that can only be so decides; where all may be either, the day comes first, as in most of the world. */
function hasMonthFirst(rows: readonly (readonly string[])[]): boolean {
  return rows.some((row) => row.some((cell) => monthFirstIn(cell) === true));
}

export function splitCells(line: string, delimiter: string): string[] {
  return Papa.parse<string[]>(line, { delimiter }).data[0] ?? [];
}

/** The columns that are still to be named before it is a flight. */
export function missingColumns({ columns }: Pick<LogLayout, 'columns'>): LogColumn[] {
  return neededColumns.filter((column) => columns[column] === undefined);
}

/** What SI values each column may have; what lies beyond is some other column under a like name. */
const plausible: Partial<Record<LogColumn, readonly [least: number, most: number]>> = {
  charge: [0, 1],
  'minutes left': [0, 7200],
  voltage: [2, 70],
  height: [-500, 9000],
  speed: [0, 100],
  distance: [0, 50_000],
  temperature: [-40, 110],
  latitude: [-90, 90],
  longitude: [-180, 180],
};

/** How the cells of a column are read. */
interface Manner {
  readonly decimalComma: boolean;
  readonly form: DateForm;
}

/**
 * How likely a column is the pack's charge, 0 where it is not: by its heading first, and by whether it begins near full and does not
 * rise. A column that others' levels are headed like must do both.
 */
function likelyCharge(heading: string, values: readonly string[], unit: LogUnit, manner: Manner): number {
  const charges = values.flatMap((text) => cellIn(text, unit, manner.decimalComma, manner.form) ?? []);
  const isNearFull = (charges[0] ?? 0) >= 0.5;
  const isFalling = charges.every((charge, i) => i === 0 || charge <= (charges[i - 1] as number) + 0.02);
  const byName = chargeHeading(heading);
  if (byName === 0 || (byName === 1 && !(isNearFull && isFalling))) return 0;
  return 4 * byName + 2 * Number(isFalling) + Number(isNearFull);
}

/** The unit of a column: as its heading says, else as its values look; null where they are not of this kind. */
function unitOf(
  column: LogColumn,
  heading: string,
  values: readonly string[],
  manner: Manner,
): LogUnit | null {
  const { decimalComma, form } = manner;
  if (values.length === 0) return null;
  if (column === 'motors') return most(values, (text) => onOrOff(text) !== null) ? 'on or off' : null;
  if (column === 'time') return timeUnit(heading, values, manner);
  const named = logUnitNamed(column, heading);
  const guesses = named ? [named] : (logUnits[column] as readonly LogUnit[]);
  const [least, largest] = plausible[column] ?? [-Infinity, Infinity];
  const fits = (unit: LogUnit) =>
    most(values, (text) => {
      const value = cellIn(text, unit, decimalComma, form);
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

/** Rows that would go on for longer in a unit are in a smaller one (assumed: no flight lasts two hours). */
const maxFlightS = 7200;
/** No time is later, s since 1970: the year 5138. What would be in a unit is in a smaller one. */
export const maxInstantS = 1e11;
const plainTimeUnits = ['s', 'ms', 'µs', 'ns'] as const satisfies readonly LogUnit[];

/** Times: dates, clocks, or numbers in seconds or parts of them by how far they go. */
function timeUnit(
  heading: string,
  values: readonly string[],
  { decimalComma, form }: Manner,
): LogUnit | null {
  if (most(values, (text) => dateIn(text, form) !== null)) return 'date and time';
  if (most(values, (text) => clockIn(text) !== null)) return 'clock';
  const numbers = values.flatMap((text) => numberIn(text, decimalComma) ?? []);
  if (numbers.length < values.length * 0.8) return null;
  const named = logUnitNamed('time', heading);
  if (named) return named;
  const steps = numbers.slice(1).map((value, i) => Math.abs(value - (numbers[i] as number)));
  const length = steps.length > 0 ? median(steps) * numbers.length : 0;
  const fits = (unit: LogUnit) => {
    const inS = perUnit[unit] ?? 1;
    return length * inS <= maxFlightS && (numbers[0] ?? 0) * inS <= maxInstantS;
  };
  return plainTimeUnits.find(fits) ?? null;
}

/** A day of rows and more: what was read so was read in too large a unit. */
const maxLogS = 86_400;

/** The layout by which a log is read again since by this one it would go on for days; null where it does not. */
export function inSmallerTimeUnit(layout: LogLayout, fromS: number, untilS: number): LogLayout | null {
  const { time } = layout.columns;
  const heading = layout.headings[time?.index ?? -1] ?? '';
  const smaller = plainTimeUnits[plainTimeUnits.indexOf(time?.unit as 's') + 1];
  const isSure =
    !time || !smaller || !plainTimeUnits.includes(time.unit as 's') || logUnitNamed('time', heading);
  if (isSure || untilS - fromS <= maxLogS) return null;
  return { ...layout, columns: { ...layout.columns, time: { ...time, unit: smaller } } };
}

/** Nine of ten: a log may have gaps and a torn line. */
function most(values: readonly string[], is: (text: string) => boolean): boolean {
  return values.filter(is).length >= values.length * 0.9;
}
