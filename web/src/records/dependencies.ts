import type { Kind } from '@acorn-tally/core';
import type { Step } from './changes';
import type { AnyRecord } from './kinds';
import type { PendingWrite } from './outbox';

/** What a tab keeps of what it did, so that a reload, a crash or a dead server loses nothing that was shown. */
export interface StoredState {
  readonly waiting: readonly PendingWrite[];
  readonly done: readonly Step[];
  readonly undone: readonly Step[];
}

/** Where that is kept. */
export interface LocalStore {
  /** What this tab left behind, and what tabs that are gone left unsent. */
  read(): Promise<StoredState>;
  /** Ends once it is written; deletes only what this page wrote or read. */
  write(shelved: StoredState): Promise<void>;
}

/** What one tab tells the others: a record as it is on the server now, null where it was removed. */
export interface RemoteChange {
  readonly kind: Kind;
  readonly id: string;
  readonly record: AnyRecord | null;
}

export interface Channel {
  tell(tidings: RemoteChange): void;
  listen(hear: (tidings: RemoteChange) => void): void;
}

/** All that the store needs of the world around it; tests have a world of their own. */
export interface Dependencies {
  readonly local: LocalStore;
  readonly channel: Channel;
  newId(): string;
  now(): number;
  /** Does something later; gives the way to call it off. */
  later(ms: number, work: () => void): () => void;
}
