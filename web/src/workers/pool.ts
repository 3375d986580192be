/** A piece of work for one of the pool's workers. */
export type Work<Worker, Result> = (worker: Worker) => Promise<Result>;

/** Thrown at those who wait for work that a newer one made needless. */
export class Dropped extends Error {}

/**
 * Hands work to some workers, each one piece at a time, in order. Work that is no longer wanted is dropped while it
 * waits; what a worker has begun, it ends (pieces are short) and nobody hears of it.
 */
export class Pool<Worker> {
  private readonly waiting: ((worker: Worker) => Promise<void>)[] = [];
  private readonly idle: Worker[] = [];
  private started = 0;

  constructor(
    readonly size: number,
    private readonly start: () => Worker,
  ) {}

  /** Rejects with `Dropped` when the signal is aborted first. */
  do<Result>(work: Work<Worker, Result>, wanted: AbortSignal): Promise<Result> {
    return new Promise<Result>((resolve, reject) => {
      const drop = () => {
        const place = this.waiting.indexOf(run);
        if (place >= 0) this.waiting.splice(place, 1);
        reject(new Dropped());
      };
      const run = (worker: Worker) =>
        work(worker)
          .then(resolve, reject)
          .finally(() => wanted.removeEventListener('abort', drop));
      if (wanted.aborted) return drop();
      wanted.addEventListener('abort', drop, { once: true });
      this.waiting.push(run);
      this.next();
    });
  }

  private next(): void {
    if (this.waiting.length === 0) return;
    const worker = this.idle.pop() ?? (this.started < this.size ? this.begin() : undefined);
    const run = worker && this.waiting.shift();
    if (!run) return;
    void run(worker).finally(() => {
      this.idle.push(worker);
      this.next();
    });
  }

  private begin(): Worker {
    this.started++;
    return this.start();
  }
}
