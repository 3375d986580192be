import { cellIn, onOrOff } from './cells';
import type { LogColumn } from './columns';
import { cellsOf, type LogLayout } from './layout';
import { type LogProblem, type LogSample, mostToldProblems, type ReadLog } from './sample';

/** More rows than this are not read: a day at ten a second. */
export const mostRows = 1_000_000;

const isDatedFromS = 86_400 * 365;

/** Reads a log piece by piece: what is fed may end in the middle of a line, and a file of any length is never held as a whole. */
export class RowReader {
  private rest = '';
  private line = 0;
  private readonly samples: LogSample[] = [];
  private readonly problems: LogProblem[] = [];
  private leftOut = 0;

  constructor(
    private readonly layout: LogLayout,
    private readonly cellCount: number,
    private readonly timeZone: string,
  ) {}

  feed(text: string): void {
    const whole = this.rest + text;
    // A carriage return at the end may be the first half of a line's end.
    const isHalf = whole.endsWith('\r');
    const lines = (isHalf ? whole.slice(0, -1) : whole).split(/\r\n|\n|\r/);
    this.rest = (lines.pop() ?? '') + (isHalf ? '\r' : '');
    for (const line of lines) this.read(line);
  }

  /** Ends the reading; samples come in order of time, whatever order the rows had. */
  end(): ReadLog {
    if (this.rest.trim() !== '') this.read(this.rest.replace(/\r$/, ''));
    this.rest = '';
    const samples = [...this.samples].sort((a, b) => a.timeS - b.timeS);
    const isDated = (samples[0]?.timeS ?? 0) > isDatedFromS;
    return { samples, isDated, problems: this.problems, leftOut: this.leftOut };
  }

  private read(line: string): void {
    this.line++;
    // The first line with anything in it is the headings'.
    if (this.line === 1 || line.trim() === '') return;
    const read = this.sampleOf(line);
    if (typeof read !== 'string') this.samples.push(read);
    else {
      this.leftOut++;
      if (this.problems.length < mostToldProblems) this.problems.push({ line: this.line, message: read });
    }
  }

  /** The sample of a line, or what is wrong with it. */
  private sampleOf(line: string): LogSample | string {
    const { delimiter, headings } = this.layout;
    const cells = line.includes('"') ? cellsOf(line, delimiter) : line.split(delimiter);
    if (this.samples.length >= mostRows) return 'More than a million rows: the rest is not read.';
    if (cells.length < headings.length) {
      return `${cells.length} of ${headings.length} columns: the line is cut.`;
    }
    const timeS = this.value('time', cells);
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

  private others(cells: readonly string[], charge: number | null): Partial<LogSample> {
    const voltage = this.value('voltage', cells);
    const perCell = this.layout.columns.voltage?.unit === 'V a cell' ? 1 : this.cellCount;
    return {
      ...(charge !== null && { charge }),
      ...(voltage !== null && voltage > 0 && { cellVoltageV: voltage / perCell }),
      ...this.plain('heightM', 'height', cells),
      ...this.plain('speedMps', 'speed', cells),
      ...this.plain('distanceM', 'distance', cells),
      ...this.plain('temperatureC', 'temperature', cells),
      ...this.plain('latitudeDeg', 'latitude', cells),
      ...this.plain('longitudeDeg', 'longitude', cells),
      ...this.motors(cells),
    };
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
    return cellIn(cells[found.index] ?? '', found.unit, this.layout.decimalComma, this.timeZone);
  }
}
