import type { Kind } from '@acorn-tally/core';
import { type AnyRecord, type Data, drop, find, put, type RecordOf } from './kinds';

type Patch = Readonly<Record<string, unknown>>;

/** What was done to one record: its fields before and after, or the whole of it. Plain values, so that it can be kept. */
export type Change =
  | {
      readonly what: 'edit';
      readonly kind: Kind;
      readonly id: string;
      readonly before: Patch;
      readonly after: Patch;
    }
  | {
      readonly what: 'make' | 'remove';
      readonly kind: Kind;
      readonly id: string;
      readonly record: AnyRecord;
    };

/** One thing that was done, as a person would take it back: in words, and all that it changed. */
export interface Step {
  readonly label: string;
  readonly key: string;
  /** When, ms. */
  readonly at: number;
  /** Counts steps in the order they were made. */
  readonly ordinal: number;
  /** Whether the way back is offered at once, since something came, went, or changed in many places. */
  readonly offered: boolean;
  readonly changes: readonly Change[];
}

export function making<K extends Kind>(kind: K, record: RecordOf<K>): Change {
  return { what: 'make', kind, id: record.id, record: record as AnyRecord };
}

export function removing<K extends Kind>(kind: K, record: RecordOf<K>): Change {
  return { what: 'remove', kind, id: record.id, record: record as AnyRecord };
}

/** The change that gives some fields of a record other values; null where there is no such record. */
export function edited(data: Data, kind: Kind, id: string, after: Patch): Change | null {
  const record = find(data, kind, id) as Patch | undefined;
  if (!record) return null;
  const before = Object.fromEntries(Object.keys(after).map((name) => [name, record[name] ?? null]));
  return { what: 'edit', kind, id, before, after };
}

/** The change from one whole content to another. */
export function rewritten(kind: Kind, id: string, before: object, after: object): Change {
  return { what: 'edit', kind, id, before: before as Patch, after: after as Patch };
}

export function done(data: Data, change: Change): Data {
  const { kind, id } = change;
  if (change.what === 'remove') return drop(data, kind, id);
  if (change.what !== 'edit') return put(data, kind, change.record as never);
  const record = find(data, kind, id);
  return record ? put(data, kind, { ...record, ...change.after } as never) : data;
}

export function reversed(changes: readonly Change[]): Change[] {
  return [...changes].reverse().map((change): Change => {
    if (change.what === 'edit') return { ...change, before: change.after, after: change.before };
    return { ...change, what: change.what === 'make' ? 'remove' : 'make' };
  });
}

/** Two lots of edits of the same records as one: from before the first to after the second. */
export function joined(first: readonly Change[], second: readonly Change[]): Change[] {
  const later = [...second];
  const both = first.map((change) => {
    const at = later.findIndex(
      (one) => one.what === 'edit' && one.kind === change.kind && one.id === change.id,
    );
    const next = later[at];
    if (change.what !== 'edit' || next?.what !== 'edit') return change;
    later.splice(at, 1);
    return {
      ...change,
      before: { ...next.before, ...change.before },
      after: { ...change.after, ...next.after },
    };
  });
  return [...both, ...later];
}
