import {
  type Content,
  type Kind,
  kinds,
  recordKinds,
  referencesOf,
  referrersTo,
  usersInWords,
} from '@acorn-tally/core';
import { and, eq, exists, getTableColumns, inArray, isNull, lt, not, sql } from 'drizzle-orm';
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Reader, Transaction } from './database';
import { InUse, NothingThere } from './errors';
import type { RecordTable } from './recordStore';
import { shootBatteries, tables } from './schema';

/** Where a field that names a record is kept: a column of its table, or a table of links. */
interface KeptIn {
  readonly table: SQLiteTable;
  readonly target: SQLiteColumn;
  /** The id of the record that has the field. */
  readonly owner: SQLiteColumn;
}

function keptIn(kind: Kind, field: string): KeptIn {
  if (kind === 'shoots' && field === 'batteryIds')
    return { table: shootBatteries, target: shootBatteries.batteryId, owner: shootBatteries.shootId };
  const table = tables[kind] as RecordTable;
  const columns = getTableColumns(table) as Readonly<Record<string, SQLiteColumn>>;
  return { table, target: columns[field] as SQLiteColumn, owner: table.id };
}

/** Refuses a record that names others which are not there. Within the transaction that writes it. */
export async function requireReferences<K extends Kind>(
  reader: Reader,
  kind: K,
  content: Content<K>,
): Promise<void> {
  for (const { field, kind: to, ids } of referencesOf(kind, content)) {
    const strange = await absent(reader, to, ids);
    const { noun } = recordKinds[to];
    if (strange.length > 0) throw new NothingThere(field, strange, `There is no such ${noun}.`);
  }
}

async function absent(reader: Reader, kind: Kind, ids: readonly string[]): Promise<string[]> {
  if (ids.length === 0) return [];
  const table = tables[kind] as RecordTable;
  const found = await reader
    .select({ id: table.id })
    .from(table)
    .where(and(inArray(table.id, [...ids]), isNull(table.deletedAt)));
  const known = new Set(found.map(({ id }) => id));
  return ids.filter((id) => !known.has(id));
}

/** Of a user only what it is called is read: a test flight carries a whole estimate. */
function nameColumn(kind: Kind, records: RecordTable): Record<string, SQLiteColumn> {
  const columns = getTableColumns(records) as Readonly<Record<string, SQLiteColumn>>;
  const field = (recordKinds[kind].nameField as string | null) ?? 'id';
  return { [field]: columns[field] as SQLiteColumn };
}

/** The records that name one, by kind. */
async function usersOf(reader: Reader, kind: Kind, id: string): Promise<Map<Kind, object[]>> {
  const users = new Map<Kind, object[]>();
  for (const { kind: from, field } of referrersTo(kind)) {
    if (recordKinds[from].ownedBy === field) continue;
    const { table, target, owner } = keptIn(from, field);
    const records = tables[from] as RecordTable;
    const naming = reader.select({ id: owner }).from(table).where(eq(target, id));
    const found = await reader
      .select(nameColumn(from, records))
      .from(records)
      .where(and(isNull(records.deletedAt), inArray(records.id, naming as never)));
    users.set(from, [...(users.get(from) ?? []), ...found]);
  }
  return users;
}

/** Refuses to part from a record that others name, and names them. */
export async function requireUnused(reader: Reader, kind: Kind, id: string): Promise<void> {
  const users = await usersOf(reader, kind, id);
  const words = [...users].flatMap(([from, found]) => usersInWords(from, found));
  if (words.length > 0) throw new InUse(recordKinds[kind].noun, words);
}

/** What makes no sense without a record goes with it. */
export async function removeWhatGoesWith(
  transaction: Transaction,
  kind: Kind,
  id: string,
  deletedAt: string,
): Promise<void> {
  for (const { kind: from, field } of referrersTo(kind)) {
    if (recordKinds[from].ownedBy !== field) continue;
    const { target } = keptIn(from, field);
    const records = tables[from] as RecordTable;
    await transaction
      .update(records)
      .set({ deletedAt } as never)
      .where(and(eq(target, id), isNull(records.deletedAt)));
  }
}

/** Parts for good from what was deleted before an instant: what refers to others first, and nothing that is still named. */
export async function purge(transaction: Transaction, before: string): Promise<void> {
  for (const kind of [...kinds].reverse()) {
    const records = tables[kind] as RecordTable;
    const named = referrersTo(kind).map(({ kind: from, field }) => {
      const { table, target } = keptIn(from, field);
      return not(exists(transaction.select({ one: sql`1` }).from(table).where(eq(target, records.id))));
    });
    await transaction.delete(records).where(and(lt(records.deletedAt, before), ...named));
  }
}
