import 'reflect-metadata';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { once } from '@acorn-tally/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { createApp } from './app';
import { InPool } from './calculations/pool';
import { Database } from './database/database';
import { DatabaseUnavailable } from './database/errors';
import { Stores } from './database/stores';
import { loadHollinFell } from './demo/hollinFell';
import { checks } from './records/checks';

const server = dirname(dirname(fileURLToPath(import.meta.url)));
const dataFolder = process.env.ACORN_TALLY_DATA ?? join(server, '..', 'data');
const dayMs = 86_400_000;

/**
 * Starts the server: PORT, ACORN_TALLY_DATA (data folder), ACORN_TALLY_HOSTS (names of this machine besides localhost), and
 * --demo to fill an empty database with the example. With --backup FILE it only writes a sound copy of the data there.
 */
async function main(): Promise<void> {
  const database = await Database.open(dataFolder, join(server, 'migrations'));
  const backup = argumentAfter('--backup');
  if (backup !== null) return backUp(database, backup);
  await serve(database);
}

async function serve(database: Database): Promise<void> {
  const calculator = new InPool(new URL('./calculations.js', import.meta.url));
  let app: NestExpressApplication | null = null;
  const stop = once(async () => {
    await app?.close();
    await calculator.close();
    await database.close();
    process.exit(0);
  });
  // A terminal sends Ctrl-C to every process of a command, and the command sends it on: the second is the same wish.
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, stop);
  const stores = new Stores(database, checks);
  await stores.purge();
  setInterval(() => void stores.purge().catch(() => undefined), dayMs).unref();
  const loaded = process.argv.includes('--demo') && (await loadHollinFell(stores));
  const hosts = (process.env.ACORN_TALLY_HOSTS ?? '').split(',').filter((host) => host !== '');
  app = await createApp({ stores, calculator, webFolder: join(server, '..', 'web', 'dist'), hosts });
  await app.listen(Number(process.env.PORT ?? 4310), '127.0.0.1');
  if (loaded) console.log('Loaded the example, Hollin Fell, into the empty database.');
  console.log(`Acorn Tally: ${await app.getUrl()}  (data in ${dataFolder}; Ctrl-C stops)`);
}

async function backUp(database: Database, file: string): Promise<void> {
  await database.backUp(file);
  await database.close();
  console.log(`Backed up to ${file}.`);
}

function argumentAfter(option: string): string | null {
  const place = process.argv.indexOf(option);
  return place < 0 ? null : (process.argv[place + 1] ?? null);
}

main().catch((error: unknown) => {
  console.error(explain(error));
  process.exit(1);
});

function explain(error: unknown): unknown {
  if (error instanceof DatabaseUnavailable) return `Acorn Tally cannot start. ${error.message}`;
  const { code, message, syscall } = error as { code?: string; message?: string; syscall?: string };
  if (code === 'EADDRINUSE') return 'That port is taken: set another, for example PORT=4320.';
  if (syscall === 'listen') return `The port cannot be used (${code}): set another, for example PORT=4320.`;
  if (message?.includes('output file already exists'))
    return 'There is a file of that name already: name another for the backup.';
  return error;
}
