import type { Kind } from '@acorn-tally/core';
import { type AnyRecord, contentOf } from './kinds';

/** What the server has of a record: it as it was read, or that it was never there, or is removed and can be brought back. */
export type Base = AnyRecord | 'never' | 'removed';

/** Why a record is not sent on: the pilot has to say what is right. */
export type BlockReason =
  /** Somebody else changed it, or removed it (null). */
  | { readonly why: 'changed'; readonly theirs: AnyRecord | null }
  /** The server does not take it. */
  | { readonly why: 'refused'; readonly message: string };

/** A content, or that the record is to go. */
type Sent = object | 'removal';

/** A record that is not yet on the server as it is shown. Plain values, so that it can be kept. */
export interface PendingWrite {
  readonly kind: Kind;
  readonly id: string;
  readonly base: Base;
  /** What is to be written; null where the record is to go. */
  readonly mine: object | null;
  /** The record as it is shown, with what follows from it meanwhile. */
  readonly shown: AnyRecord | null;
  /** Under which it is sent: the same key twice is one write. Another as soon as something else is to be written. */
  readonly key: string;
  /** What was sent and not answered: it may have come there, or not. */
  readonly sent: readonly Sent[];
  readonly halt: BlockReason | null;
}

/** What waits after one more change of a record; null where nothing is left to be written. */
export function pendingAfterEdit(
  before: PendingWrite | undefined,
  next: Pick<PendingWrite, 'kind' | 'id' | 'base' | 'mine' | 'shown' | 'key'>,
): PendingWrite | null {
  const { base, sent, halt } = before ?? { ...next, sent: [], halt: null };
  // What never got there, nor is on its way, need not be removed there.
  if (next.mine === null && typeof base === 'string' && sent.length === 0) return null;
  return { ...next, base, sent, halt: halt?.why === 'changed' ? halt : null };
}

/**
 * What an earlier page left unsent of a record, and a change of it made before that could be read: the fields that this change
 * touched are as it says, all others as they were left.
 */
export function pendingOver(left: PendingWrite, next: PendingWrite): PendingWrite {
  const sent = [...left.sent, ...next.sent];
  if (left.mine === null || next.mine === null || typeof next.base === 'string')
    return {
      ...next,
      base: left.base,
      sent,
      halt: left.halt?.why === 'changed' ? left.halt : next.halt,
    };
  const read = contentOf(next.base) as object as Readonly<Record<string, unknown>>;
  const touched = Object.entries(next.mine).filter(([name, value]) => !same(value, read[name]));
  const mine = { ...left.mine, ...Object.fromEntries(touched) };
  const isOld = typeof left.base === 'string' || left.base.version !== next.base.version;
  const changed: BlockReason | null = isOld ? { why: 'changed', theirs: next.base } : null;
  const halt = left.halt?.why === 'changed' ? left.halt : changed;
  return {
    ...next,
    base: left.base,
    mine,
    shown: { ...next.shown, ...mine } as AnyRecord,
    sent,
    halt,
  };
}

/** Kept of what was sent without an answer. */
const maxUnanswered = 8;

/** As it is on its way: what comes of it is not known until it is answered. */
export function markSent(waiting: PendingWrite): PendingWrite {
  return { ...waiting, sent: [...waiting.sent, waiting.mine ?? 'removal'].slice(-maxUnanswered) as Sent[] };
}

/** What is sent for it. */
export type Sending =
  | { readonly how: 'make'; readonly body: object }
  | { readonly how: 'write'; readonly body: object; readonly version: number }
  | { readonly how: 'restore' }
  /** Without a version where nobody knows whether it is there. */
  | { readonly how: 'remove'; readonly version: number | null };

export function sendingOf({ base, mine, id }: PendingWrite): Sending {
  const version = typeof base === 'string' ? null : base.version;
  if (mine === null) return { how: 'remove', version };
  if (version !== null) return { how: 'write', body: mine, version };
  return base === 'never' ? { how: 'make', body: { ...mine, id } } : { how: 'restore' };
}

/** How the sending of what waited ended. */
export type Answer =
  /** It is there as it was sent; null where it is removed. */
  | { readonly came: 'done'; readonly record: AnyRecord | null }
  /** It is back there, as it was when it was removed. */
  | { readonly came: 'restored'; readonly record: AnyRecord }
  /** Somebody else wrote (the record as it is), or removed it (null). */
  | { readonly came: 'stale'; readonly current: AnyRecord | null }
  /** A record of that id is there, removed. */
  | { readonly came: 'removed-before' }
  | { readonly came: 'refused'; readonly message: string }
  /** Nobody knows whether it came there. */
  | { readonly came: 'nothing' };

/**
 * What waits once an answer is there for what was sent; null where nothing does. `now` may be ahead of `sent`: it was changed
 * meanwhile.
 */
export function pendingAfterAnswer(
  now: PendingWrite,
  sent: PendingWrite,
  answer: Answer,
  newKey: string,
): PendingWrite | null {
  const isNewer = now.key !== sent.key;
  const goingOn = (base: Base): PendingWrite => ({ ...now, base, sent: [], key: newKey });
  switch (answer.came) {
    case 'nothing':
      return now;
    case 'done':
      if (!isNewer) return null;
      return goingOn(answer.record ?? 'removed');
    case 'restored':
      return saysTheSame(now.mine, answer.record) ? null : goingOn(answer.record);
    case 'removed-before':
      return now.mine === null ? null : goingOn('removed');
    case 'refused':
      // What cannot be removed comes back.
      if (now.mine === null && sent.mine === null) return null;
      return {
        ...now,
        sent: [],
        halt: isNewer ? now.halt : { why: 'refused', message: answer.message },
      };
    case 'stale':
      return afterStale(now, sent, answer.current, goingOn);
  }
}

function afterStale(
  now: PendingWrite,
  sent: PendingWrite,
  theirs: AnyRecord | null,
  goingOn: (base: Base) => PendingWrite,
): PendingWrite | null {
  // It is removed, as I want it to be; or it says what I say already.
  if (saysTheSame(now.mine, theirs)) return null;
  // What I sent before came there after all, though its answer never came here: that is no one else's change.
  const isMyOwn = sent.sent.some((one) =>
    one === 'removal' ? theirs === null : theirs !== null && same(one, contentOf(theirs)),
  );
  if (isMyOwn) return goingOn(theirs ?? 'removed');
  // What is gone for good is made anew.
  if (theirs === null && sent.base === 'removed') return goingOn('never');
  return { ...now, sent: [], halt: { why: 'changed', theirs } };
}

/** Whether two contents say the same: what is absent, undefined or null is the same nothing, in whatever order fields stand. */
export function same(a: unknown, b: unknown): boolean {
  if (a == null || b == null) return a == null && b == null;
  if (typeof a !== 'object' || typeof b !== 'object') return Object.is(a, b) || (a === 0 && b === 0);
  if (Array.isArray(a) !== Array.isArray(b)) return false;
  if (Array.isArray(a))
    return a.length === (b as unknown[]).length && a.every((one, i) => same(one, (b as unknown[])[i]));
  const [one, other] = [a as Record<string, unknown>, b as Record<string, unknown>];
  return [...new Set([...Object.keys(one), ...Object.keys(other)])].every((name) =>
    same(one[name], other[name]),
  );
}

export function saysTheSame(mine: object | null, theirs: AnyRecord | null): boolean {
  return mine === null || theirs === null ? mine === theirs : same(mine, contentOf(theirs));
}
