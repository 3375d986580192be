import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { createApp } from '../app';
import { Database } from '../database/database';
import { Stores } from '../database/stores';
import { loadHollinFell } from '../demo/hollinFell';

export interface TestServer {
  readonly app: NestExpressApplication;
  readonly database: Database;
  readonly stores: Stores;
  close(): Promise<void>;
}

const migrations = join(__dirname, '..', '..', 'migrations');
const newFolder = () => mkdtempSync(join(tmpdir(), 'acorn-tally-test-'));

/** A whole server on a database of its own with the example in it. */
export async function startTestServer(): Promise<TestServer> {
  const folder = newFolder();
  cpSync(await exampleFolder(), folder, { recursive: true });
  const database = await Database.open(folder, migrations);
  const app = await createApp(database, null);
  await app.init();
  const close = async () => {
    await app.close();
    await database.close();
    rmSync(folder, { recursive: true, force: true });
  };
  return { app, database, stores: new Stores(database), close };
}

let example: Promise<string> | null = null;

/** The example is reckoned once; each server gets a copy. */
function exampleFolder(): Promise<string> {
  example ??= (async () => {
    const folder = newFolder();
    const database = await Database.open(folder, migrations);
    await loadHollinFell(new Stores(database));
    await database.close();
    return folder;
  })();
  return example;
}
