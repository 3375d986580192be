import { cpSync, mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';

const migrations = join(__dirname, '..', '..', 'migrations');
const newFolder = () => mkdtempSync(join(tmpdir(), 'acorn-tally-earlier-'));

export type Row = Readonly<Record<string, unknown>>;

/**
 * A data folder as an earlier version left it: its migrations and no later ones, filled with rows as it wrote them. Columns
 * that it did not have yet are left out.
 */
export async function earlierDatabase(
  migrationsRun: number,
  rows: Readonly<Record<string, readonly Row[]>>,
): Promise<string> {
  const folder = newFolder();
  const client = createClient({ url: `file:${join(folder, 'acorn-tally.db')}` });
  await migrate(drizzle(client), { migrationsFolder: firstMigrations(migrationsRun) });
  for (const [table, list] of Object.entries(rows)) {
    const { rows: columns } = await client.execute(`PRAGMA table_info(${table})`);
    const known = new Set(columns.map(({ name }) => name));
    for (const row of list) {
      const kept = Object.entries(row).filter(([name]) => known.has(name));
      if (kept.length === 0) continue;
      await client.execute({
        sql: `INSERT INTO ${table} (${kept.map(([name]) => name)}) VALUES (${kept.map(() => '?')})`,
        args: kept.map(([, value]) =>
          typeof value === 'object' && value !== null ? JSON.stringify(value) : (value as string),
        ),
      });
    }
  }
  client.close();
  return folder;
}

function firstMigrations(count: number): string {
  const folder = newFolder();
  cpSync(migrations, folder, { recursive: true });
  const journal = JSON.parse(readFileSync(join(migrations, 'meta', '_journal.json'), 'utf8'));
  mkdirSync(join(folder, 'meta'), { recursive: true });
  const entries = journal.entries.slice(0, count);
  writeFileSync(join(folder, 'meta', '_journal.json'), JSON.stringify({ ...journal, entries }));
  return folder;
}
