import type { Dependencies, LocalStore, StoredState } from './dependencies';

/** A browser whose database is slow must not keep the pilot from his records for longer. */
const maxWaitMs = 2000;
const retryMs = 5000;

/** What the keeper reads and writes of the store. */
export interface KeptStore {
  get(): StoredState;
  /** Takes up what an earlier page left, under what was done since. */
  restore(left: StoredState): void;
  /** Whether all that is shown stands in this browser's database. */
  setKept(isKept: boolean): void;
}

/**
 * Keeps what waits and what can be undone. One write at a time: what comes meanwhile is in the next. Nothing is written before what
 * an earlier page left was read, however late that comes, and a write that failed is tried again.
 */
export class Persister {
  private reading: Promise<void> | null = null;
  private isRestored = false;
  private isBehind = false;
  private isWriting = false;

  constructor(
    private readonly local: LocalStore,
    private readonly store: KeptStore,
    private readonly later: Dependencies['later'],
  ) {}

  /** Takes up what was left; a database that does not answer in time is taken up when it does. */
  async restore(): Promise<void> {
    await Promise.race([this.read(), new Promise<void>((resolve) => this.later(maxWaitMs, resolve))]);
    if (!this.isRestored) this.store.setKept(false);
  }

  async keep(): Promise<void> {
    this.isBehind = true;
    if (!this.isRestored) return this.read();
    if (this.isWriting) return;
    this.isWriting = true;
    try {
      while (this.isBehind) {
        this.isBehind = false;
        await this.local.write(this.store.get());
      }
      this.store.setKept(true);
    } catch {
      this.failed();
    }
    this.isWriting = false;
  }

  private read(): Promise<void> {
    this.reading ??= this.local.read().then(
      async (left) => {
        this.store.restore(left);
        this.isRestored = true;
        this.store.setKept(!this.isBehind);
        if (this.isBehind) await this.keep();
      },
      () => {
        this.reading = null;
        this.failed();
      },
    );
    return this.reading;
  }

  private failed(): void {
    this.isBehind = true;
    this.store.setKept(false);
    this.later(retryMs, () => void this.keep());
  }
}
