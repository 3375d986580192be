import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { createApp } from '../app';
import { Calculator } from '../calculations/calculator';
import { type Answered, type Asked, type JobName, jobs } from '../calculations/jobs';
import { Database } from '../database/database';
import { Stores } from '../database/stores';
import { loadHollinFell } from '../demo/hollinFell';
import { checks } from '../records/checks';

export interface TestServer {
  readonly app: NestExpressApplication;
  readonly database: Database;
  readonly stores: Stores;
  readonly folder: string;
  close(): Promise<void>;
}

export const migrations = join(__dirname, '..', '..', 'migrations');
export const newFolder = () => mkdtempSync(join(tmpdir(), 'acorn-tally-test-'));

/** In the thread that asks: the threads of the pool are tried on the built server (e2e/server.spec). */
class InThisThread extends Calculator {
  async run<Name extends JobName>(name: Name, asked: Asked<Name>): Promise<Answered<Name>> {
    return jobs[name](asked as never) as Answered<Name>;
  }

  async close(): Promise<void> {}
}

/** A whole server on a database of its own with the example in it; its clock may be set. */
export async function startTestServer(now: () => Date = () => new Date()): Promise<TestServer> {
  const folder = newFolder();
  cpSync(await exampleFolder(), folder, { recursive: true });
  return serverOn(folder, now);
}

export async function serverOn(folder: string, now: () => Date = () => new Date()): Promise<TestServer> {
  const database = await Database.open(folder, migrations);
  const stores = new Stores(database, checks, now);
  const app = await createApp({ stores, calculator: new InThisThread(), webFolder: null, hosts: [] });
  await app.init();
  const close = async () => {
    await app.close();
    await database.close();
    rmSync(folder, { recursive: true, force: true });
  };
  return { app, database, stores, folder, close };
}

let example: Promise<string> | null = null;

/** The example is reckoned once; each server gets a copy. */
function exampleFolder(): Promise<string> {
  example ??= (async () => {
    const folder = newFolder();
    const database = await Database.open(folder, migrations);
    await loadHollinFell(new Stores(database, checks));
    await database.close();
    return folder;
  })();
  return example;
}
