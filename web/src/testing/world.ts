import 'fake-indexeddb/auto';
import type { RemoteChange } from '../records/dependencies';
import { localStoreIn } from '../records/localStore';
import { recordsStore } from '../records/store';

let browsers = 0;

/** A browser with tabs that share its database and hear each other; its clock stands until it is told to go on. */
export class PretendBrowser {
  private readonly name = `browser ${browsers++}`;
  private readonly living = new Map<string, { hear?: (tidings: RemoteChange) => void }>();
  private readonly timers = new Map<number, { at: number; work: () => void }>();
  private count = 0;
  /** How this browser's database does: it answers, keeps everybody waiting, or has no room. */
  database: 'well' | 'slow' | 'full' = 'well';
  private nowMs = Date.parse('2026-11-26T09:00:00Z');

  /** Opens a tab of a name; a name that was left before finds what it left. */
  open(tab: string) {
    const own: { hear?: (tidings: RemoteChange) => void } = {};
    this.living.set(tab, own);
    const isAlive = () => this.living.get(tab) === own;
    const local = localStoreIn(this.name, {
      own: async () => tab,
      gone: async (names) => names.filter((name) => !this.living.has(name)),
    });
    return recordsStore({
      local: {
        read: async () => {
          while (this.database === 'slow') await new Promise((resolve) => setImmediate(resolve));
          return local.read();
        },
        write: async (shelved) => {
          if (this.database === 'full') throw new DOMException('no room', 'QuotaExceededError');
          return local.write(shelved);
        },
      },
      channel: {
        tell: (tidings) => {
          for (const other of this.living.values()) if (other !== own) other.hear?.(structuredClone(tidings));
        },
        listen: (hear) => {
          own.hear = hear;
        },
      },
      newId: () => `${tab}-${String(this.count++).padStart(6, '0')}`,
      now: () => this.nowMs,
      later: (ms, work) => {
        const timer = this.count++;
        this.timers.set(timer, { at: this.nowMs + ms, work: () => isAlive() && work() });
        return () => this.timers.delete(timer);
      },
    });
  }

  /** The tab is gone, without a word. */
  close(tab: string): void {
    this.living.delete(tab);
  }

  /** Time goes by; what was to be done in it is done, and what that led to. */
  async pass(ms: number): Promise<void> {
    const until = this.nowMs + ms;
    for (;;) {
      await settled();
      const due = [...this.timers].filter(([, { at }]) => at <= until).sort(([, a], [, b]) => a.at - b.at)[0];
      if (!due) break;
      const [timer, { at, work }] = due;
      this.timers.delete(timer);
      this.nowMs = Math.max(this.nowMs, at);
      work();
    }
    this.nowMs = until;
    await settled();
  }
}

/** Promises and the database have come to rest. */
export async function settled(): Promise<void> {
  for (let i = 0; i < 12; i++) await new Promise((resolve) => setImmediate(resolve));
}
