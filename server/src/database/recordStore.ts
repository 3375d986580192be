import { randomUUID } from 'node:crypto';
import type { Kept } from '@acorn-tally/core';
import { and, asc, eq, getTableColumns, gt, isNotNull, isNull, lt } from 'drizzle-orm';
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';
import { missing, stale } from '../http/problem';
import type { Database, Transaction } from './database';

export type RecordTable = SQLiteTable & {
  readonly id: SQLiteColumn;
  readonly version: SQLiteColumn;
  readonly deletedAt: SQLiteColumn;
};

export interface Page<T> {
  readonly items: readonly T[];
  /** Ask for the next page with this; null on the last. */
  readonly nextCursor: string | null;
}

const undoDays = 30;

/** Keeps the records of one table: versions, pages, deletion that can be undone. The only code that knows its rows. */
export class RecordStore<Content extends object, Made extends object = object> {
  /** Null for each column that may be empty. */
  private readonly blank: object;

  constructor(
    private readonly database: Database,
    private readonly table: RecordTable,
    /** What the table is called in a message, as in "no such battery". */
    readonly noun: string,
    private readonly now: () => Date = () => new Date(),
  ) {
    const columns = Object.entries(getTableColumns(table) as Record<string, SQLiteColumn>);
    const mayBeEmpty = columns.filter(([name, column]) => !column.notNull && name !== 'deletedAt');
    this.blank = Object.fromEntries(mayBeEmpty.map(([name]) => [name, null]));
  }

  async list(limit: number, cursor: string | null): Promise<Page<Kept & Content & Made>> {
    const after = cursor === null ? undefined : gt(this.table.id, cursor);
    const rows = await this.database.rows
      .select()
      .from(this.table)
      .where(and(isNull(this.table.deletedAt), after))
      .orderBy(asc(this.table.id))
      .limit(limit + 1);
    const items = rows.slice(0, limit).map((row) => this.toRecord(row));
    return { items, nextCursor: rows.length > limit ? (items[limit - 1]?.id ?? null) : null };
  }

  async get(id: string): Promise<Kept & Content & Made> {
    const [row] = await this.database.rows
      .select()
      .from(this.table)
      .where(and(eq(this.table.id, id), isNull(this.table.deletedAt)));
    if (!row) throw missing(this.noun, id);
    return this.toRecord(row);
  }

  async isEmpty(): Promise<boolean> {
    const rows = await this.database.rows.select({ id: this.table.id }).from(this.table).limit(1);
    return rows.length === 0;
  }

  create(content: Content & Made): Promise<Kept & Content & Made> {
    return this.database.write((transaction) => this.createIn(transaction, content));
  }

  /** Ids grow with time, so that lists keep the order in which things were made. */
  async createIn(transaction: Transaction, content: Content & Made): Promise<Kept & Content & Made> {
    const now = this.now();
    const id = `${now.getTime().toString(36)}-${nextCount()}-${randomUUID().slice(0, 8)}`;
    const at = now.toISOString();
    const record = { ...content, id, createdAt: at, updatedAt: at, version: 1 };
    await transaction.insert(this.table).values({ ...record, deletedAt: null } as never);
    return record;
  }

  /** The content is the whole of a record: what may be empty and is not named is emptied; refused when somebody else wrote since `version` was read. */
  async replace(id: string, version: number, content: Content): Promise<Kept & Content & Made> {
    const current = await this.get(id);
    const written = await this.database.write((transaction) =>
      transaction
        .update(this.table)
        .set({
          ...this.blank,
          ...content,
          updatedAt: this.now().toISOString(),
          version: version + 1,
        } as never)
        .where(and(eq(this.table.id, id), eq(this.table.version, version), isNull(this.table.deletedAt)))
        .returning(),
    );
    const [row] = written as object[];
    if (!row) throw stale(this.noun, await this.get(current.id));
    return this.toRecord(row);
  }

  async remove(id: string): Promise<void> {
    await this.get(id);
    const now = this.now();
    const longAgo = new Date(now.getTime() - undoDays * 86_400_000).toISOString();
    await this.database.write(async (transaction) => {
      await transaction
        .update(this.table)
        .set({ deletedAt: now.toISOString() } as never)
        .where(eq(this.table.id, id));
      await transaction
        .delete(this.table)
        .where(and(isNotNull(this.table.deletedAt), lt(this.table.deletedAt, longAgo)));
    });
  }

  async restore(id: string): Promise<Kept & Content & Made> {
    await this.database.write((transaction) =>
      transaction
        .update(this.table)
        .set({ deletedAt: null } as never)
        .where(eq(this.table.id, id)),
    );
    return this.get(id);
  }

  private toRecord(row: object): Kept & Content & Made {
    const { deletedAt: _, ...record } = row as Kept & Content & Made & { deletedAt: string | null };
    return record as unknown as Kept & Content & Made;
  }
}

let count = 0;
function nextCount(): string {
  count = (count + 1) % 36 ** 4;
  return count.toString(36).padStart(4, '0');
}
