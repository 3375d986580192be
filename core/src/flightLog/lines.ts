/** A longer line is of no log (assumed): it is cut here, and what is left of it is not held. */
export const maxLineLength = 100_000;

/** Divides a text that comes in pieces into lines, each once, in time that grows with its length only, whatever its lines are like. */
export class LineSplitter {
  private rest = '';
  private isAfterReturn = false;

  /** A line longer than `maxLineLength` is given as its first `maxLineLength` + 1 characters. */
  constructor(private readonly take: (line: string) => void) {}

  feed(text: string): void {
    if (text === '') return;
    // A return at the end of a piece and a line feed at the beginning of the next are one line's end.
    const own = this.isAfterReturn && text.startsWith('\n') ? text.slice(1) : text;
    this.isAfterReturn = text.endsWith('\r');
    const [first = '', ...more] = own.split(/\r\n|\n|\r/);
    this.hold(first);
    for (const line of more) {
      this.take(this.rest);
      this.rest = '';
      this.hold(line);
    }
  }

  end(): void {
    if (this.rest !== '') this.take(this.rest);
    this.rest = '';
  }

  private hold(piece: string): void {
    if (this.rest.length <= maxLineLength) this.rest = (this.rest + piece).slice(0, maxLineLength + 1);
  }
}

/** A cell with more line breaks than this is a quotation mark that was never closed (assumed). */
const maxLinesOfRow = 100;

/**
 * Divides a text that comes in pieces into rows of a table: a cell in quotation marks may hold line breaks (RFC 4180, 2.6). A mark that
 * is never closed spoils its own line only: a table's own parser would take all that follows for one cell.
 */
export class RowSplitter {
  private readonly lines = new LineSplitter((line) => this.add(line));
  /** Lines of a row whose quotation is still open. */
  private open: string[] = [];
  private openLength = 0;
  private line = 0;

  /** `line` is that of the row's first line, from 1. */
  constructor(private readonly take: (row: string, line: number) => void) {}

  feed(text: string): void {
    this.lines.feed(text);
  }

  end(): void {
    this.lines.end();
    while (this.open.length > 0) this.giveUp();
  }

  private add(line: string): void {
    this.line++;
    const hasOddMarks = line.includes('"') && line.split('"').length % 2 === 0;
    if (this.open.length === 0 && !hasOddMarks) {
      this.take(line, this.line);
      return;
    }
    this.open.push(line);
    this.openLength += line.length;
    if (hasOddMarks && this.open.length > 1) this.close();
    else if (this.open.length > maxLinesOfRow || this.openLength > maxLineLength) this.giveUp();
  }

  private close(): void {
    const { open, line } = this;
    this.reopen();
    this.take(open.join('\n'), line - open.length + 1);
  }

  /** The first of the open lines is a row by itself; the others are looked at anew. */
  private giveUp(): void {
    const [first = '', ...rest] = this.open;
    this.line -= rest.length;
    this.reopen();
    this.take(first, this.line);
    for (const line of rest) this.add(line);
  }

  private reopen(): void {
    this.open = [];
    this.openLength = 0;
  }
}
