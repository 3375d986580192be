import Papa from 'papaparse';
import { isDay } from '../units/instant';
import { type Quantity, readTyped } from '../units/quantity';
import { readClockTime } from '../units/timeZone';

/** One thing wrong in a file: the line as an editor counts it, the column as it is headed there. */
export interface CsvProblem {
  readonly line: number;
  readonly column: string | null;
  readonly message: string;
}

export interface CsvRow {
  readonly line: number;
  /** The text under a heading, trimmed; empty where there is none. Headings are compared in small letters. */
  text(heading: string): string;
  /** The unit of numbers under a heading that name none; null for the quantity's own. */
  unitOf?(heading: string, quantity: Quantity): string | null;
  /** How the file itself heads that column. */
  named?(heading: string): string;
}

export interface CsvTable {
  readonly headings: readonly string[];
  /** As the file writes them. */
  readonly written: readonly string[];
  readonly rows: readonly CsvRow[];
}

/** Reads a table with a heading line; comma, semicolon and tab are told apart by the parser. Empty lines are passed over. */
export function readCsv(file: string): CsvTable {
  const { data } = Papa.parse<string[]>(file.replace(/^\uFEFF/, '').trimEnd(), { skipEmptyLines: false });
  const [head = [], ...body] = data;
  const written = head.map((heading) => heading.trim());
  const headings = written.map((heading) => heading.toLowerCase());
  const rows = body
    .map((cells, i) => ({
      line: i + 2,
      empty: cells.every((cell) => cell.trim() === ''),
      text: (heading: string) => asTyped(cells[headings.indexOf(heading.toLowerCase())]?.trim() ?? ''),
    }))
    .filter(({ empty }) => !empty);
  return { headings, written, rows };
}

/** A table program takes a text that begins so for a formula (OWASP, CSV injection): it is written with an apostrophe before. */
const formula = /^'*[=+\-@\t\r]/;

function asTyped(cell: string): string {
  return cell.startsWith("'") && formula.test(cell) ? cell.slice(1) : cell;
}

export function writeCsv(
  headings: readonly string[],
  rows: readonly (readonly (string | number)[])[],
): string {
  const data = rows.map((row) => [...row]);
  return `${Papa.unparse({ fields: [...headings], data }, { escapeFormulae: formula })}\r\n`;
}

/** Reads cells of one row and gathers what is wrong with them. */
export class CellReader {
  readonly problems: CsvProblem[] = [];

  constructor(
    private readonly row: CsvRow,
    /** Of clock times that name no offset. */
    private readonly timeZone: string,
  ) {}

  /** A number in the quantity's own unit or with a unit written after it; null where the cell is empty. */
  quantity(heading: string, quantity: Quantity): number | null {
    const text = this.row.text(heading);
    if (text === '') return null;
    const unit = /[\d.,]$/.test(text) ? (this.row.unitOf?.(heading, quantity) ?? null) : null;
    // A clock such as 5:20 has its own.
    const read = readTyped(quantity, unit === null || text.includes(':') ? text : `${text} ${unit}`);
    if ('value' in read) return read.value;
    this.wrong(heading, read.message);
    return null;
  }

  /** The same, where an empty cell is wrong; the fallback only keeps the type, since a row with problems is not used. */
  needed(heading: string, quantity: Quantity): number {
    if (this.row.text(heading) === '') this.wrong(heading, `${quantity.label} is empty.`);
    return this.quantity(heading, quantity) ?? quantity.min;
  }

  oneOf<Value extends string>(heading: string, values: readonly Value[]): Value | null {
    const text = this.row.text(heading).toLowerCase();
    if (text === '') return null;
    const found = values.find((value) => value === text);
    if (!found) this.wrong(heading, `“${text}” is none of: ${values.join(', ')}.`);
    return found ?? null;
  }

  /** A date with a time as ISO 8601 writes it, in the place's zone where it has no offset of its own. */
  instant(heading: string): string | null {
    return this.read(heading, 'a date and time such as 2026-11-26 08:40', (text) =>
      readClockTime(text, this.timeZone),
    );
  }

  day(heading: string): string | null {
    return this.read(heading, 'a date such as 2026-11-26', (text) => (isDay(text) ? text : null));
  }

  private read(heading: string, wanted: string, from: (text: string) => string | null): string | null {
    const text = this.row.text(heading);
    if (text === '') return null;
    const value = from(text);
    if (value === null) this.wrong(heading, `“${text.slice(0, 40)}” is not ${wanted}.`);
    return value;
  }

  /** Notes a problem where there is one. */
  check(heading: string, problem: string | null): void {
    if (problem) this.wrong(heading, problem);
  }

  wrong(heading: string, message: string): void {
    this.problems.push({ line: this.row.line, column: this.row.named?.(heading) ?? heading, message });
  }
}
