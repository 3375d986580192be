import type { Kept } from '@acorn-tally/core';
import { eq, lt } from 'drizzle-orm';
import type { Reader, Transaction } from './database';
import { KeyUsedAgain } from './errors';
import { writtenOnce } from './schema';

/** A request that may come twice: its own key, and what it asks, as a hash. */
export interface IdempotentRequest {
  readonly key: string;
  readonly asked: string;
}

/** What was written under a key before; null where nothing was. Refused where the same key asked for something else. */
export async function findIdempotentWrite(
  reader: Reader,
  { key, asked }: IdempotentRequest,
): Promise<Kept | null> {
  const [known] = await reader.select().from(writtenOnce).where(eq(writtenOnce.key, key));
  if (!known) return null;
  if (known.asked !== asked) throw new KeyUsedAgain();
  const { recordId: id, createdAt, updatedAt, version } = known;
  return { id, createdAt, updatedAt, version };
}

export async function recordIdempotentWrite(
  transaction: Transaction,
  { key, asked }: IdempotentRequest,
  { id: recordId, createdAt, updatedAt, version }: Kept,
): Promise<void> {
  await transaction.insert(writtenOnce).values({ key, asked, recordId, createdAt, updatedAt, version });
}

export async function purgeIdempotentWrites(transaction: Transaction, before: string): Promise<void> {
  await transaction.delete(writtenOnce).where(lt(writtenOnce.updatedAt, before));
}
