/** Runs one piece of work after the other, in the order they came; one that fails does not stop the next. */
export class WriteQueue {
  private last: Promise<unknown> = Promise.resolve();

  add<T>(work: () => Promise<T>): Promise<T> {
    const turn = this.last.then(work);
    this.last = turn.catch(() => undefined);
    return turn;
  }

  async idle(): Promise<void> {
    await this.last;
  }
}
