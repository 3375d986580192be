/** How far a search is, in tries, and when it last came upon something better. */
export class SearchProgress {
  /** How many passes there were. */
  passes = 0;
  private done = 0;
  private foundAt = 0;

  constructor(private readonly onShare: (share: number) => void = () => {}) {}

  /** So many tries into a pass of so many. */
  at(tried: number, tries: number): void {
    const now = this.done + tried;
    this.onShare(now / (this.foundAt + Math.max(tries, this.foundAt, now)));
  }

  found(tried = 0): void {
    this.foundAt = this.done + tried;
  }

  passed(tries: number): void {
    this.done += tries;
    this.passes++;
  }

  /** Whether nothing better came for as long as it took to find the best, and for so many tries at least. */
  isSettled(tries: number): boolean {
    return this.done - this.foundAt >= Math.max(tries, this.foundAt);
  }
}
