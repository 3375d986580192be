import type { Dependencies } from './dependencies';
import { type AnyRecord, type Data, drop, keyOf, put } from './kinds';
import { type Answer, markSent, type PendingWrite, pendingAfterAnswer } from './outbox';
import { inLots, retryAfterMs, send } from './sending';
import type { Records } from './state';

const saveDelayMs = 350;

/** What the saver reads and writes of the store. */
export interface SavedStore {
  get(): Records;
  set(change: Partial<Records>): void;
  /** What waits is kept as it is now. */
  keep(): void;
}

/** Brings what waits to the server: a moment after it was changed, again and again until there is an answer, and at once when a page is left. */
export class Saver {
  private callOff: () => void = () => undefined;
  private running: Promise<void> = Promise.resolve();
  /** Counts what was answered, so that a list that was on its way meanwhile is known to be old. */
  answers = 0;

  constructor(
    private readonly store: SavedStore,
    private readonly surroundings: Pick<Dependencies, 'channel' | 'newId' | 'later'>,
  ) {}

  setWaiting(kind: PendingWrite['kind'], id: string, next: PendingWrite | null): void {
    const { [keyOf(kind, id)]: _, ...others } = this.store.get().waiting;
    this.store.set({ waiting: next ? { ...others, [keyOf(kind, id)]: next } : others });
  }

  sendSoon(ms = saveDelayMs): void {
    this.callOff();
    this.callOff = this.surroundings.later(ms, () => void this.sendAll());
  }

  sendAll(): Promise<void> {
    this.callOff();
    this.running = this.running.then(() => this.sendInLots());
    return this.running;
  }

  /** Without waiting for what is under way, nor for what others name: a page that is being left gives no second chance. */
  async sendAtOnce(): Promise<void> {
    this.callOff();
    await Promise.all(this.sendable().map((one) => this.sendOne(one)));
  }

  private sendable(): PendingWrite[] {
    return Object.values(this.store.get().waiting).filter(({ halt }) => halt === null);
  }

  /** Each thing once; while there is no answer to one lot, the next has to wait. */
  private async sendInLots(): Promise<void> {
    const tried = new Set<string>();
    for (;;) {
      const [lot] = inLots(this.sendable().filter(({ key }) => !tried.has(key)));
      if (!lot) break;
      for (const { key } of lot) tried.add(key);
      await Promise.all(lot.map((one) => this.sendOne(one)));
      if (this.store.get().failures > 0) break;
    }
    const { failures } = this.store.get();
    if (failures > 0 && this.sendable().length > 0) this.sendSoon(retryAfterMs(failures));
  }

  private async sendOne(sent: PendingWrite): Promise<void> {
    const { kind, id } = sent;
    this.setWaiting(kind, id, markSent(sent));
    const { answer, trouble } = await send(sent);
    this.answers += 1;
    const failures = answer.came === 'nothing' ? this.store.get().failures + 1 : 0;
    this.store.set({ failures, trouble });
    const now = this.store.get().waiting[keyOf(kind, id)];
    if (!now) return;
    const next = pendingAfterAnswer(now, sent, answer, this.surroundings.newId());
    this.setWaiting(kind, id, next);
    this.take(now, answer, next);
    if (answer.came === 'refused' && next === null) this.bringBack(now, answer.message);
    this.store.keep();
  }

  /** What the server has now is shown here and told the other tabs; where more waits, what is mine stays in sight. */
  private take({ kind, id }: PendingWrite, answer: Answer, next: PendingWrite | null): void {
    const record = recordIn(answer, next);
    if (record === undefined) return;
    this.surroundings.channel.tell({ kind, id, record });
    const data = this.store.get();
    if (record !== null && next?.mine !== null)
      this.show(kind, put(data, kind, { ...record, ...next?.mine } as never));
    if (record === null && next === null) this.show(kind, drop(data, kind, id));
  }

  /** Somebody else came to need what was to be removed. */
  private bringBack({ kind, base }: PendingWrite, reason: string): void {
    if (typeof base === 'string') return;
    this.show(kind, put(this.store.get(), kind, base as never));
    this.store.set({ trouble: `It was not removed. ${reason}` });
  }

  private show(kind: PendingWrite['kind'], data: Data): void {
    this.store.set({ [kind]: data[kind] });
  }
}

/** The record as an answer tells it, null where it is removed; undefined where the answer tells nothing that is to be shown. */
function recordIn(answer: Answer, next: PendingWrite | null): AnyRecord | null | undefined {
  if (answer.came === 'done' || answer.came === 'restored') return answer.record;
  return answer.came === 'stale' && next === null ? answer.current : undefined;
}
