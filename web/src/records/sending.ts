import { type Kind, kinds } from '@acorn-tally/core';
import { ApiError } from '../api/client';
import { asListed, createRecord, removeRecord, replaceRecord, restoreRecord } from '../api/records';
import type { AnyRecord } from './kinds';
import { type Answer, type PendingWrite, sendingOf } from './outbox';

/** Sends what waits for one record, and says how that ended. It never fails. */
export async function send(
  waiting: PendingWrite,
): Promise<{ readonly answer: Answer; readonly trouble: string | null }> {
  try {
    return { answer: await sent(waiting), trouble: null };
  } catch (error) {
    const { message } = error as Error;
    const answer = error instanceof ApiError ? answerOf(error, waiting) : unknown;
    return { answer, trouble: answer.came === 'nothing' ? message : null };
  }
}

const unknown: Answer = { came: 'nothing' };

async function sent(waiting: PendingWrite): Promise<Answer> {
  const { kind, id, key } = waiting;
  const sending = sendingOf(waiting);
  switch (sending.how) {
    case 'remove':
      await removeRecord(kind, id, sending.version);
      return { came: 'done', record: null };
    case 'restore':
      return { came: 'restored', record: (await restoreRecord(kind, id)) as AnyRecord };
    case 'make':
      return { came: 'done', record: (await createRecord(kind, sending.body, key)) as AnyRecord };
    case 'write': {
      const record = await replaceRecord(kind, id, sending.version, sending.body, key);
      return { came: 'done', record: record as AnyRecord };
    }
  }
}

function answerOf(error: ApiError, { kind, mine }: PendingWrite): Answer {
  if (error.status === 404)
    return mine === null ? { came: 'done', record: null } : { came: 'stale', current: null };
  if (error.status === 409 && error.isRemoved) return { came: 'removed-before' };
  if (error.status === 409 && error.current !== null)
    return { came: 'stale', current: asListed(kind, error.current) as AnyRecord };
  if (error.status >= 400 && error.status < 500 && ![408, 425, 429].includes(error.status))
    return { came: 'refused', message: error.message };
  return unknown;
}

/**
 * What waits, in the order in which it can be sent: what others name is made before them and removed after them. All of one
 * lot can be on its way at once.
 */
export function inLots(waiting: readonly PendingWrite[]): PendingWrite[][] {
  const made = (kind: Kind) =>
    waiting.filter((one) => one.kind === kind && one.mine !== null && typeof one.base === 'string');
  const written = waiting.filter((one) => one.mine !== null && typeof one.base !== 'string');
  const removed = (kind: Kind) => waiting.filter((one) => one.kind === kind && one.mine === null);
  return [...kinds.map(made), written, ...[...kinds].reverse().map(removed)].filter((lot) => lot.length > 0);
}

const firstRetryMs = 1000;
const longestRetryMs = 60_000;

/** How long to wait before asking again after so many failures on end: twice as long each time, a minute at most. */
export function retryAfterMs(failures: number): number {
  return Math.min(longestRetryMs, firstRetryMs * 2 ** (failures - 1));
}
