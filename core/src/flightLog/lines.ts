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
