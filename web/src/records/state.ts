import type { Content, Kind } from '@acorn-tally/core';
import type { Change, Step } from './changes';
import type { Data, RecordOf } from './kinds';
import type { PendingWrite } from './outbox';
import type { How } from './undoHistory';

export type Loading = 'loading' | 'ready' | 'failed';

/** New values for some fields of one record of any kind. */
export type Edit = {
  readonly [K in Kind]: { readonly kind: K; readonly id: string; readonly content: Partial<Content<K>> };
}[Kind];

/** Why a record was not removed: who needs it, in words. */
export type Removal = { readonly ok: true } | { readonly ok: false; readonly users: readonly string[] };

export interface Records extends Data {
  /** What the first view needs. */
  readonly loading: Loading;
  /** All the rest, which comes after it. */
  readonly loadingRest: Loading;
  /** Ids of records that cannot be read as they are kept. */
  readonly damagedIds: readonly string[];
  /** What is not yet on the server as it is shown, by record. */
  readonly waiting: Readonly<Record<string, PendingWrite>>;
  /** Whether what waits stands in this browser's database, so that leaving the page does not lose it. */
  readonly isKept: boolean;
  /** So often on end the server did not answer; 0 while it does. */
  readonly failures: number;
  readonly trouble: string | null;
  readonly undoSteps: readonly Step[];
  readonly redoSteps: readonly Step[];
  load(): Promise<void>;
  /** Reads again what others may have changed. */
  refresh(): Promise<void>;
  /**
   * Changes a record at once on the screen and a moment later on the server. What changes a part of a field is told as a function of
   * the record as it is: what is on the screen may be a moment behind.
   */
  edit<K extends Kind>(
    kind: K,
    id: string,
    content: Partial<Content<K>> | ((now: RecordOf<K>) => Partial<Content<K>>),
    label: string,
    how?: How,
  ): void;
  /** Changes several records of a kind as one step to undo. */
  editAll<K extends Kind>(
    kind: K,
    edits: readonly { readonly id: string; readonly content: Partial<Content<K>> }[],
    label: string,
  ): void;
  /** The same with records of several kinds; nothing where there is none. */
  editEach(edits: readonly Edit[], label: string, how?: How): void;
  /** A record to be made; it is not there before it is done. `more` is what follows from it meanwhile. */
  fresh<K extends Kind>(kind: K, content: Content<K>, more?: object): RecordOf<K>;
  add<K extends Kind>(kind: K, content: Content<K>, label: string): RecordOf<K>;
  /** Does several things as one step. */
  doAll(changes: readonly Change[], label: string, how?: How): void;
  /** Removes records that nothing else needs. */
  removeAll(kind: Kind, ids: readonly string[], label: string): Removal;
  undo(): void;
  redo(): void;
  /** A text begins to be typed: until it ends, all that it changes is one step. Gives the ordinal of the last step before. */
  beginTyping(): number;
  endTyping(): void;
  /** Takes back whatever was changed after the step of that ordinal; whether there was anything. */
  undoSince(ordinal: number): boolean;
  /** Sends what waits now, and what was refused once more. */
  retry(): Promise<void>;
  /** Sends what waits without waiting for what is under way: when the page is left. */
  saveAtOnce(): Promise<void>;
  /** Ends a conflict: this is what the record is to be; null where it is to be removed. */
  settle(kind: Kind, id: string, content: object | null): void;
  /** Something went wrong that is no matter of saving. */
  complain(trouble: string): void;
}
