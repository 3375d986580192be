import { existsSync, mkdirSync, readFileSync, statSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { type Client, createClient } from '@libsql/client';
import { drizzle, type LibSQLDatabase } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { DatabaseUnavailable } from './errors';
import { brokenFile, fileNumber, requireDatabaseFile, toDatabaseError } from './health';
import { WriteQueue } from './writeQueue';

export type Rows = LibSQLDatabase<Record<string, never>>;
export type Transaction = Parameters<Parameters<Rows['transaction']>[0]>[0];
/** Whatever reads: what is on the disk, or a transaction that sees its own writes. */
export type Reader = Pick<Rows, 'select'>;

const checkedAgainMs = 10_000;
/** So long another program may hold the database before that is told. */
const maxBusyMs = 5000;
/** So long the database itself waits for it, and so long passes between two tries. */
const busyTimeoutMs = 20;
const askedAgainMs = 100;

/**
 * The one way to the data. Reads are free; every write is a transaction and waits its turn, because parallel write
 * transactions of one process lock each other out. A database that turns out sick is written no more.
 */
export class Database {
  private readonly queue = new WriteQueue();
  private unavailable: DatabaseUnavailable | null = null;
  private checkedAt = 0;

  private constructor(
    readonly file: string,
    private readonly number: number,
    private readonly client: Client,
    readonly rows: Rows,
  ) {}

  /** Opens the data folder, creating what is missing, and brings the tables up to date. Refused in plain words where it is sick. */
  static async open(dataFolder: string, migrationsFolder: string): Promise<Database> {
    const file = resolve(join(dataFolder, 'acorn-tally.db'));
    let client: Client | null = null;
    try {
      makeFolder(dirname(file));
      requireDatabaseFile(file);
      client = createClient({ url: `file:${file}`, timeout: maxBusyMs });
      await client.execute('PRAGMA journal_mode = WAL');
      await requireSound(client, file);
      await requireKnownTables(client, migrationsFolder);
      const rows = drizzle(client, { casing: 'snake_case' });
      await migrate(rows, { migrationsFolder });
      await checkpoint(client);
      // From now on others wait for this thread.
      client.close();
      client = createClient({ url: `file:${file}`, timeout: busyTimeoutMs });
      return new Database(file, fileNumber(file), client, drizzle(client, { casing: 'snake_case' }));
    } catch (error) {
      client?.close();
      throw toDatabaseError(error, file) ?? cannotOpen(file, error);
    }
  }

  /** Runs work in a transaction of its own: all of it is kept, on the disk, or none. */
  write<T>(work: (transaction: Transaction) => Promise<T>): Promise<T> {
    return this.queue.add(() => this.whenFree(() => this.writeNow(work)));
  }

  private async writeNow<T>(work: (transaction: Transaction) => Promise<T>): Promise<T> {
    this.requireHealthy();
    let cause: unknown;
    const noticed = (transaction: Transaction) =>
      work(transaction).catch((error: unknown) => {
        cause = error;
        throw error;
      });
    try {
      // Pragmas belong to a pooled connection, so they are set where it counts.
      await this.client.execute('PRAGMA foreign_keys = ON');
      await this.client.execute('PRAGMA synchronous = FULL');
      return await this.rows.transaction(noticed);
    } catch (error) {
      // A transaction that the database gave up by itself cannot be rolled back, and complains of that instead.
      const noted = this.remember(cause ?? error);
      // A connection on which a transaction could not begin leaves that statement open, and can commit no other: it is not used again.
      if (noted instanceof DatabaseUnavailable && noted.isHeld) this.client.reconnect();
      throw noted;
    }
  }

  /** Reads something; an error that is the database's own is remembered. */
  async read<T>(work: (reader: Reader) => Promise<T>): Promise<T> {
    return this.whenFree(async () => {
      this.requireHealthy();
      try {
        return await work(this.rows);
      } catch (error) {
        throw this.remember(error);
      }
    });
  }

  /**
   * Tries again while another program holds the database. Waiting within the database would hold this thread, and with it
   * everything that is asked meanwhile, so that it is asked shortly and often.
   */
  private async whenFree<T>(work: () => Promise<T>): Promise<T> {
    const lastTryAt = performance.now() + maxBusyMs;
    for (;;) {
      try {
        return await work();
      } catch (error) {
        if (!(error instanceof DatabaseUnavailable && error.isHeld) || performance.now() > lastTryAt)
          throw error;
        await new Promise((resolve) => setTimeout(resolve, askedAgainMs));
      }
    }
  }

  /** What is wrong with the database, in words; null while it is well. The whole file is looked through now and then. */
  async healthProblem(): Promise<string | null> {
    if (!this.unavailable && Date.now() - this.checkedAt > checkedAgainMs) {
      this.checkedAt = Date.now();
      await soundOnDisk(this.file).catch((error) => this.remember(error));
    }
    try {
      this.requireHealthy();
      return null;
    } catch (error) {
      return (error as Error).message;
    }
  }

  async pragma(name: 'journal_mode' | 'synchronous' | 'foreign_keys'): Promise<unknown> {
    const result = await this.client.execute(`PRAGMA ${name}`);
    return result.rows[0]?.[0];
  }

  /** A sound copy of all that is kept, also while it is written to. */
  async backUp(to: string): Promise<void> {
    await this.client.execute({ sql: 'VACUUM INTO ?', args: [resolve(to)] });
  }

  /** After this the data is in the one file, and nothing of it in a journal beside. */
  async close(): Promise<void> {
    await this.queue.idle();
    if (!this.unavailable) await checkpoint(this.client).catch(() => undefined);
    this.client.close();
  }

  private requireHealthy(): void {
    if (this.unavailable) throw this.unavailable;
    const number = fileNumber(this.file);
    if (number === this.number) return;
    this.unavailable = new DatabaseUnavailable(
      number === 0
        ? `${this.file} is gone: put it back, and start again.`
        : `${this.file} was replaced by another file: start again.`,
    );
    throw this.unavailable;
  }

  private remember(error: unknown): unknown {
    const sickness = toDatabaseError(error, this.file);
    if (!sickness) return error;
    if (!sickness.mayPass) this.unavailable = sickness;
    return sickness;
  }
}

/** A folder and those above it. Node’s own way never ends where one cannot be made in a folder that is there (as in /proc; Node 20). */
function makeFolder(folder: string): void {
  if (existsSync(folder) && statSync(folder).isDirectory()) return;
  makeFolder(dirname(folder));
  mkdirSync(folder, { mode: 0o700 });
}

/** Whatever else stands in the way of the data is said in its own first line. */
function cannotOpen(file: string, error: unknown): DatabaseUnavailable {
  const [line = ''] = String((error as Error)?.message ?? error).split('\n');
  return new DatabaseUnavailable(`${file} cannot be opened: ${line}`);
}

async function requireSound(client: Client, file: string): Promise<void> {
  const { rows } = await client.execute('PRAGMA quick_check(1)');
  if (rows[0]?.[0] === 'ok') return;
  throw brokenFile(file);
}

/** What is on the disk, not what a connection remembers of it. */
async function soundOnDisk(file: string): Promise<void> {
  requireDatabaseFile(file);
  const client = createClient({ url: `file:${file}`, timeout: busyTimeoutMs });
  try {
    await requireSound(client, file);
  } finally {
    client.close();
  }
}

/** Tables that a newer version made are not touched: it knows things of them that this one does not. */
async function requireKnownTables(client: Client, migrationsFolder: string): Promise<void> {
  const known = await client.execute("SELECT 1 FROM sqlite_master WHERE name = '__drizzle_migrations'");
  if (known.rows.length === 0) return;
  const { rows } = await client.execute('SELECT max(created_at) FROM __drizzle_migrations');
  const journal = JSON.parse(readFileSync(join(migrationsFolder, 'meta', '_journal.json'), 'utf8'));
  const newest = Math.max(...journal.entries.map(({ when }: { when: number }) => when));
  if (Number(rows[0]?.[0] ?? 0) > newest)
    throw new DatabaseUnavailable(
      'This data was written by a newer Acorn Tally: start that one, or another data folder.',
    );
}

async function checkpoint(client: Client): Promise<void> {
  await client.execute('PRAGMA wal_checkpoint(TRUNCATE)');
}
