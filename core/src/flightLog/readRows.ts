import { cellIn, type DateForm, onOrOff } from './cells';
import { isUtc, type LogColumn, singleCells } from './columns';
import { type LogLayout, maxInstantS, splitCells } from './layout';
import { maxLineLength, RowSplitter } from './lines';
import { type LogProblem, type LogSample, maxToldProblems, type ReadLog } from './sample';

/** More rows than this are not read: a day at ten a second. */
export const maxRows = 1_000_000;

const dayS = 86_400;
/** Times of a log are dates where they are after the year 1970. */
const datedFromS = 365 * dayS;
const noDates: DateForm = { monthFirst: false, timeZone: 'UTC' };

/** Reads a log piece by piece: what is fed may end in the middle of a line, and a file of any length is never held as a whole. */
export class RowReader {
  private readonly rows = new RowSplitter((row, line) => this.read(row, line));
  private readonly forms: Partial<Record<LogColumn, DateForm>>;
  /** Days that a clock of the log passed midnight. */
  private daysPassed = 0;
  private lastClockS: number | null = null;
  /** What is added to the log's own times so that they are since 1970, by its column of dates. */
  private dateOffsetS: number | null = null;
  private readonly cellColumns: readonly number[];
  private readonly samples: LogSample[] = [];
  private readonly problems: LogProblem[] = [];
  private leftOut = 0;

  constructor(
    private readonly layout: LogLayout,
    private readonly cellCount: number,
    timeZone: string,
  ) {
    const { monthFirst = false, headings, columns } = layout;
    const form = (column: 'time' | 'date') => {
      const heading = headings[columns[column]?.index ?? -1] ?? '';
      return { monthFirst, timeZone: isUtc(heading) ? 'UTC' : timeZone };
    };
    this.cellColumns = singleCells(headings);
    this.forms = { time: form('time'), date: form('date') };
  }

  feed(text: string): void {
    this.rows.feed(text);
  }

  /** Ends the reading; samples come in order of time, whatever order the rows had. */
  end(): ReadLog {
    this.rows.end();
    const offsetS = this.dateOffsetS ?? 0;
    const dated =
      offsetS === 0 ? this.samples : this.samples.map((one) => ({ ...one, timeS: one.timeS + offsetS }));
    const samples = [...dated].sort((a, b) => a.timeS - b.timeS);
    const [first, last] = [samples[0]?.timeS ?? 0, samples[samples.length - 1]?.timeS ?? 0];
    const isDated = first > datedFromS && last < maxInstantS;
    return { samples, isDated, problems: this.problems, leftOut: this.leftOut };
  }

  private read(row: string, line: number): void {
    // The first row is the headings'.
    if (line === 1 || row.trim() === '') return;
    const read = this.sampleOf(row);
    if (typeof read !== 'string') this.samples.push(read);
    else {
      this.leftOut++;
      if (this.problems.length < maxToldProblems) this.problems.push({ line, message: read });
    }
  }

  /** The sample of a row, or what is wrong with it. */
  private sampleOf(row: string): LogSample | string {
    const { delimiter, headings } = this.layout;
    if (row.length > maxLineLength) return `The line is longer than ${maxLineLength} characters.`;
    const cells = row.includes('"') ? splitCells(row, delimiter) : row.split(delimiter);
    if (this.samples.length >= maxRows) return 'More than a million rows: the rest is not read.';
    if (cells.length < headings.length) {
      return `${cells.length} of ${headings.length} columns: the line is cut.`;
    }
    const timeS = this.timeS(cells);
    if (timeS === null) return `“${this.text('time', cells).slice(0, 40)}” is no time.`;
    const charge = this.value('charge', cells);
    if (charge === null && this.text('charge', cells).trim() !== '') {
      return `“${this.text('charge', cells).slice(0, 40)}” is no charge.`;
    }
    if (charge !== null && !(charge >= 0 && charge <= 1)) {
      return `A charge of ${Math.round(charge * 100)} % cannot be.`;
    }
    return { timeS, ...this.others(cells, charge) };
  }

  /** The time of a row: a clock goes on over midnight, and a column of dates says which day it was. */
  private timeS(cells: readonly string[]): number | null {
    const value = this.value('time', cells);
    if (value === null) return null;
    const isClock = this.layout.columns.time?.unit === 'clock';
    if (isClock) this.passMidnight(value);
    const timeS = value + this.daysPassed * dayS;
    if (this.dateOffsetS === null) this.dateOffsetS = this.dateOffset(timeS, cells);
    return timeS;
  }

  /** Back by more than half a day is the next day; on by nearly a whole one is the day before, in a log with its last row first. */
  private passMidnight(clockS: number): void {
    const stepS = clockS - (this.lastClockS ?? clockS);
    if (stepS < -dayS / 2) this.daysPassed += 1;
    if (stepS > (23 / 24) * dayS) this.daysPassed -= 1;
    this.lastClockS = clockS;
  }

  private dateOffset(timeS: number, cells: readonly string[]): number | null {
    const { date, time } = this.layout.columns;
    if (!date || time?.unit === 'date and time' || timeS > datedFromS) return null;
    const dateS = this.value('date', cells);
    if (dateS === null) return null;
    return date.unit === 'date' && time?.unit === 'clock' ? dateS - this.daysPassed * dayS : dateS - timeS;
  }

  private others(cells: readonly string[], charge: number | null): Partial<LogSample> {
    const voltage = this.value('voltage', cells);
    const perCell = this.layout.columns.voltage?.unit === 'V a cell' ? 1 : this.cellCount;
    return {
      ...(charge !== null && { charge }),
      ...(voltage !== null && voltage > 0 && { cellVoltageV: voltage / perCell }),
      ...this.singleCells(cells),
      ...this.plain('leftS', 'minutes left', cells),
      ...this.plain('heightM', 'height', cells),
      ...this.plain('speedMps', 'speed', cells),
      ...this.plain('distanceM', 'distance', cells),
      ...this.plain('temperatureC', 'temperature', cells),
      ...this.plain('latitudeDeg', 'latitude', cells),
      ...this.plain('longitudeDeg', 'longitude', cells),
      ...this.motors(cells),
    };
  }

  /** The weakest of the cells, and how far the strongest stands above it. */
  private singleCells(cells: readonly string[]): Partial<LogSample> {
    const volts = this.cellColumns.flatMap((index) => {
      const read = cellIn(cells[index] ?? '', 'V', this.layout.decimalComma, noDates);
      // Thousands are millivolts.
      return read !== null && read > 0 ? [read > 100 ? read / 1000 : read] : [];
    });
    if (volts.length < 2) return {};
    const lowestCellVoltageV = Math.min(...volts);
    return { lowestCellVoltageV, cellSpreadV: Math.max(...volts) - lowestCellVoltageV };
  }

  private plain(name: keyof LogSample, column: LogColumn, cells: readonly string[]): Partial<LogSample> {
    const value = this.value(column, cells);
    return value === null ? {} : { [name]: value };
  }

  private motors(cells: readonly string[]): Partial<LogSample> {
    const on = this.layout.columns.motors && onOrOff(this.text('motors', cells));
    return on == null ? {} : { motorsOn: on };
  }

  private text(column: LogColumn, cells: readonly string[]): string {
    return cells[this.layout.columns[column]?.index ?? -1] ?? '';
  }

  private value(column: LogColumn, cells: readonly string[]): number | null {
    const found = this.layout.columns[column];
    if (!found) return null;
    return cellIn(
      cells[found.index] ?? '',
      found.unit,
      this.layout.decimalComma,
      this.forms[column] ?? noDates,
    );
  }
}
