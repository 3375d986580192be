import { asc, eq, inArray } from 'drizzle-orm';
import type { SQLiteColumn, SQLiteTable } from 'drizzle-orm/sqlite-core';
import type { Reader, Transaction } from './database';

type LinkTable = SQLiteTable & { readonly position: SQLiteColumn };

/** A field that names several records in their order: kept as rows of a table of its own, so that each is a real reference. */
export class Links {
  constructor(
    private readonly field: string,
    private readonly table: LinkTable,
    private readonly owner: { readonly name: string; readonly column: SQLiteColumn },
    private readonly target: { readonly name: string; readonly column: SQLiteColumn },
  ) {}

  /** The rows with the ids they name. */
  async read<Row extends { readonly id: string }>(reader: Reader, rows: readonly Row[]): Promise<Row[]> {
    if (rows.length === 0) return [];
    const named = await reader
      .select({ owner: this.owner.column, target: this.target.column })
      .from(this.table)
      .where(
        inArray(
          this.owner.column,
          rows.map(({ id }) => id),
        ),
      )
      .orderBy(asc(this.table.position));
    return rows.map((row) => ({
      ...row,
      [this.field]: named.filter(({ owner }) => owner === row.id).map(({ target }) => target),
    }));
  }

  async write(transaction: Transaction, id: string, content: object): Promise<void> {
    const ids = (content as Readonly<Record<string, readonly string[]>>)[this.field] ?? [];
    await transaction.delete(this.table).where(eq(this.owner.column, id));
    if (ids.length === 0) return;
    await transaction.insert(this.table).values(
      ids.map((target, position) => ({
        [this.owner.name]: id,
        [this.target.name]: target,
        position,
      })) as never,
    );
  }
}
