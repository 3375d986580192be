import { keyOf } from './kinds';
import type { Records } from './state';
import type { Shelf, Shelved, Surroundings } from './surroundings';

type Kept = Pick<Records, 'waiting' | 'undoSteps' | 'redoSteps'>;
const longestReadMs = 2000;
const nothing: Shelved = { waiting: [], done: [], undone: [] };

/** Keeps what waits and what can be undone. One write at a time: what comes meanwhile is in the next. */
export class Keeper {
  private isRead = false;
  private isBehind = false;
  private isWriting = false;

  constructor(
    private readonly shelf: Shelf,
    private readonly get: () => Kept,
    private readonly later: Surroundings['later'],
  ) {}

  /** What was kept, under what was done since. A browser that keeps nothing loses only that. */
  async takeUp(): Promise<Kept> {
    const kept = await Promise.race([this.shelf.read().catch(() => nothing), this.patience()]);
    this.isRead = true;
    const { waiting, undoSteps, redoSteps } = this.get();
    if (this.isBehind) void this.keep();
    return {
      waiting: {
        ...Object.fromEntries(kept.waiting.map((one) => [keyOf(one.kind, one.id), one])),
        ...waiting,
      },
      undoSteps: [...kept.done, ...undoSteps],
      redoSteps: redoSteps.length > 0 ? redoSteps : kept.undone,
    };
  }

  /** A browser whose database does not open must not keep the pilot from his records. */
  private patience(): Promise<Shelved> {
    return new Promise((resolve) => this.later(longestReadMs, () => resolve(nothing)));
  }

  async keep(): Promise<void> {
    this.isBehind = true;
    if (this.isWriting || !this.isRead) return;
    this.isWriting = true;
    while (this.isBehind) {
      this.isBehind = false;
      const { waiting, undoSteps, redoSteps } = this.get();
      const shelved = { waiting: Object.values(waiting), done: undoSteps, undone: redoSteps };
      await this.shelf.write(shelved).catch(() => undefined);
    }
    this.isWriting = false;
  }
}
