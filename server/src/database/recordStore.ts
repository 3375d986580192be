import type { Kept } from '@acorn-tally/core';
import { and, asc, eq, getTableColumns, gt, gte, inArray, isNull, or } from 'drizzle-orm';
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';
import { v7 as newId } from 'uuid';
import type { Reader, Transaction } from './database';
import { DamagedRecord, IdTaken, NoSuchRecord, StaleWrite } from './errors';
import type { Links } from './links';

export type RecordTable = SQLiteTable & {
  readonly id: SQLiteColumn;
  readonly createdAt: SQLiteColumn;
  readonly version: SQLiteColumn;
  readonly deletedAt: SQLiteColumn;
};

export interface Page<T> {
  readonly items: readonly T[];
  /** What is kept of these is not what their kind can be: they are left out, and nothing is done to them. */
  readonly damaged: readonly { readonly id: string; readonly complaints: readonly string[] }[];
  /** Ask for the next page with this; null on the last. */
  readonly nextCursor: string | null;
}

/** So long what was deleted can be brought back. */
export const undoDays = 30;

/** Says what is wrong with what is kept; nothing where it is as its kind should be. */
export type Check = (content: object) => readonly string[];

interface Row {
  readonly id: string;
  readonly version: number;
  readonly deletedAt: string | null;
}

/**
 * Keeps the records of one table: versions, pages, deletion that can be undone. Each of its methods works within the
 * reader or transaction it is given, so that what belongs to one request is one transaction.
 */
export class RecordStore<Content extends object, Made extends object = object> {
  /** Null for each column that may be empty. */
  private readonly blank: object;
  /** Versions that were looked through since the start: what was sound once stays so. */
  private readonly sound = new Map<string, number>();

  constructor(
    private readonly table: RecordTable,
    /** What a record is called in a message, as in "no such battery". */
    private readonly noun: string,
    private readonly links: Links | null,
    private readonly check: Check,
    private readonly now: () => Date,
  ) {
    const columns = Object.entries(getTableColumns(table) as Record<string, SQLiteColumn>);
    const mayBeEmpty = columns.filter(([name, column]) => !column.notNull && name !== 'deletedAt');
    this.blank = Object.fromEntries(mayBeEmpty.map(([name]) => [name, null]));
  }

  /** In the order in which they were made. */
  async list(reader: Reader, limit: number, cursor: string | null): Promise<Page<Kept & Content & Made>> {
    const { table } = this;
    const rows = (await reader
      .select()
      .from(table)
      .where(and(isNull(table.deletedAt), await this.after(reader, cursor)))
      .orderBy(asc(table.createdAt), asc(table.id))
      .limit(limit + 1)) as Row[];
    const shown = await this.linked(reader, rows.slice(0, limit));
    const looked = shown.map((row) => ({ row, complaints: this.complaints(row) }));
    return {
      items: looked.filter(({ complaints }) => complaints.length === 0).map(({ row }) => this.toRecord(row)),
      damaged: looked
        .filter(({ complaints }) => complaints.length > 0)
        .map(({ row: { id }, complaints }) => ({ id, complaints })),
      nextCursor: rows.length > limit ? (shown.at(-1)?.id ?? null) : null,
    };
  }

  async get(reader: Reader, id: string): Promise<Kept & Content & Made> {
    const row = await this.rowOf(reader, id);
    if (!row || row.deletedAt !== null) throw new NoSuchRecord(this.noun, id);
    return this.toRecord(this.required(row));
  }

  /** Those of some records that are there. */
  async getMany(reader: Reader, ids: readonly string[]): Promise<(Kept & Content & Made)[]> {
    if (ids.length === 0) return [];
    const rows = (await reader
      .select()
      .from(this.table)
      .where(and(inArray(this.table.id, [...ids]), isNull(this.table.deletedAt)))) as Row[];
    return (await this.linked(reader, rows)).map((row) => this.toRecord(row));
  }

  async isEmpty(reader: Reader): Promise<boolean> {
    const rows = await reader.select({ id: this.table.id }).from(this.table).limit(1);
    return rows.length === 0;
  }

  /** Content with null for all that may be empty and is not named. */
  whole<Part extends object>(content: Part): Part {
    return { ...this.blank, ...content };
  }

  /** Under an id of its maker or a new one; what may be empty and is not named is null. */
  async insert(
    transaction: Transaction,
    content: Content & Made,
    id: string = newId(),
  ): Promise<Kept & Content & Made> {
    const taken = await this.rowOf(transaction, id);
    if (taken) throw new IdTaken(this.noun, this.toRecord(taken), taken.deletedAt !== null);
    const at = this.now().toISOString();
    const record = { ...this.whole(content), id, createdAt: at, updatedAt: at, version: 1 };
    await transaction.insert(this.table).values({ ...record, deletedAt: null } as never);
    await this.links?.write(transaction, id, content);
    this.sound.set(id, 1);
    return record;
  }

  /** The content is the whole of a record: what may be empty and is not named is emptied; refused when somebody else wrote since `version` was read. */
  async replace(
    transaction: Transaction,
    id: string,
    version: number,
    content: Content,
  ): Promise<Kept & Content & Made> {
    await this.require(transaction, id, version);
    await transaction
      .update(this.table)
      .set({ ...this.whole(content), updatedAt: this.now().toISOString(), version: version + 1 } as never)
      .where(eq(this.table.id, id));
    await this.links?.write(transaction, id, content);
    this.sound.set(id, version + 1);
    return this.get(transaction, id);
  }

  /** Fills in columns that follow from a record; no new version of it. */
  async fill(transaction: Transaction, id: string, made: object): Promise<void> {
    await transaction
      .update(this.table)
      .set(made as never)
      .where(eq(this.table.id, id));
  }

  /** Marks it as deleted; with a version, only if nobody wrote since that was read. */
  async remove(transaction: Transaction, id: string, version: number | null): Promise<void> {
    const row = await this.rowOf(transaction, id);
    if (!row || row.deletedAt !== null) throw new NoSuchRecord(this.noun, id);
    if (version !== null && row.version !== version) throw new StaleWrite(this.noun, this.toRecord(row));
    await this.mark(transaction, id, this.now().toISOString());
  }

  /** Brings back what was deleted within the time for it; what is there stays as it is. */
  async restore(transaction: Transaction, id: string): Promise<Kept & Content & Made> {
    const row = await this.rowOf(transaction, id);
    if (!row || (row.deletedAt !== null && row.deletedAt < this.oldestUndone()))
      throw new NoSuchRecord(this.noun, id);
    if (row.deletedAt !== null) await this.mark(transaction, id, null);
    return this.toRecord(this.required(row));
  }

  /** Of records that are deleted and can be brought back: the ids. */
  async deletedIds(reader: Reader, ids: readonly string[]): Promise<string[]> {
    if (ids.length === 0) return [];
    const { table } = this;
    const rows = await reader
      .select({ id: table.id })
      .from(table)
      .where(and(inArray(table.id, [...ids]), gte(table.deletedAt, this.oldestUndone())));
    return rows.map(({ id }) => id as string);
  }

  oldestUndone(): string {
    return new Date(this.now().getTime() - undoDays * 86_400_000).toISOString();
  }

  private async require(reader: Reader, id: string, version: number): Promise<void> {
    const row = await this.rowOf(reader, id);
    if (!row || row.deletedAt !== null) throw new NoSuchRecord(this.noun, id);
    if (row.version !== version) throw new StaleWrite(this.noun, this.toRecord(row));
  }

  private async mark(transaction: Transaction, id: string, deletedAt: string | null): Promise<void> {
    await transaction
      .update(this.table)
      .set({ deletedAt } as never)
      .where(eq(this.table.id, id));
  }

  /** What was made after the record of an id. */
  private async after(reader: Reader, cursor: string | null) {
    if (cursor === null) return undefined;
    const { table } = this;
    const [last] = await reader
      .select({ createdAt: table.createdAt })
      .from(table)
      .where(eq(table.id, cursor));
    if (!last) throw new NoSuchRecord(this.noun, cursor);
    const { createdAt } = last as { createdAt: string };
    return or(gt(table.createdAt, createdAt), and(eq(table.createdAt, createdAt), gt(table.id, cursor)));
  }

  private async rowOf(reader: Reader, id: string): Promise<Row | null> {
    const rows = (await reader.select().from(this.table).where(eq(this.table.id, id))) as Row[];
    return (await this.linked(reader, rows))[0] ?? null;
  }

  private async linked(reader: Reader, rows: readonly Row[]): Promise<readonly Row[]> {
    return this.links ? this.links.read(reader, rows) : rows;
  }

  private required(row: Row): Row {
    const complaints = this.complaints(row);
    if (complaints.length > 0) throw new DamagedRecord(this.noun, row.id, complaints);
    return row;
  }

  private complaints(row: Row): readonly string[] {
    if (this.sound.get(row.id) === row.version) return [];
    const { id, createdAt: _c, updatedAt: _u, version, ...content } = this.toRecord(row) as Kept & object;
    const complaints = this.check(content);
    if (complaints.length === 0) this.sound.set(id, version);
    return complaints;
  }

  private toRecord(row: Row): Kept & Content & Made {
    const { deletedAt: _, ...record } = row;
    return record as unknown as Kept & Content & Made;
  }
}
