import { mkdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { type Client, createClient } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { WriteQueue } from './writeQueue';

export type Rows = LibSQLDatabase<Record<string, never>>;
export type Transaction = Parameters<Parameters<Rows['transaction']>[0]>[0];

/**
 * The one way to the data. Reads are free; every write is a transaction and waits its turn, because parallel write
 * transactions of one process lock each other out.
 */
export class Database {
  private readonly queue = new WriteQueue();

  private constructor(
    private readonly client: Client,
    readonly rows: Rows,
  ) {}

  /** Opens the data folder, creating what is missing, and brings the tables up to date. */
  static async open(dataFolder: string, migrationsFolder: string): Promise<Database> {
    mkdirSync(dataFolder, { recursive: true });
    const client = createClient({
      url: `file:${resolve(join(dataFolder, 'acorn-tally.db'))}`,
      timeout: 5000,
    });
    await client.execute('PRAGMA journal_mode = WAL');
    const rows = drizzle(client, { casing: 'snake_case' });
    await migrate(rows, { migrationsFolder });
    return new Database(client, rows);
  }

  /** Runs work in a transaction of its own: all of it is kept, on the disk, or none. */
  write<T>(work: (transaction: Transaction) => Promise<T>): Promise<T> {
    return this.queue.add(async () => {
      // Pragmas belong to a pooled connection, so they are set where it counts.
      await this.client.execute('PRAGMA foreign_keys = ON');
      await this.client.execute('PRAGMA synchronous = FULL');
      return this.rows.transaction(work);
    });
  }

  async pragma(name: 'journal_mode' | 'synchronous' | 'foreign_keys' | 'quick_check'): Promise<unknown> {
    const result = await this.client.execute(`PRAGMA ${name}`);
    return result.rows[0]?.[0];
  }

  async close(): Promise<void> {
    await this.queue.idle();
    this.client.close();
  }
}
