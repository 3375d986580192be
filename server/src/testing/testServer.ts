import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { APP_INTERCEPTOR } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { Test } from '@nestjs/testing';
import { configure } from '../app';
import { AppModule } from '../app.module';
import { Calculator } from '../calculations/calculator';
import { type JobAnswer, type JobName, type JobRequest, jobs } from '../calculations/jobs';
import { type ServerConfig, serverConfig } from '../config';
import { Clock } from '../database/clock';
import { Database } from '../database/database';
import { Stores } from '../database/stores';
import { loadHollinFell } from '../demo/hollinFell';
import { checks } from '../records/checks';
import { AnswersFit } from './answersFit';

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
  async run<Name extends JobName>(name: Name, request: JobRequest<Name>): Promise<JobAnswer<Name>> {
    return jobs[name](request as never) as JobAnswer<Name>;
  }
}

/** A whole server on a database of its own with the example in it; its clock may be set. */
export async function startTestServer(now: () => Date = () => new Date()): Promise<TestServer> {
  const folder = newFolder();
  cpSync(await exampleFolder(), folder, { recursive: true });
  return serverOn(folder, now);
}

/** What it answers is held to its DTOs (`AnswersFit`). */
export async function serverOn(folder: string, now: () => Date = () => new Date()): Promise<TestServer> {
  const config: ServerConfig = {
    ...serverConfig(),
    dataFolder: folder,
    migrationsFolder: migrations,
    webFolder: null,
    hosts: [],
  };
  const testing = await Test.createTestingModule({
    imports: [AppModule],
    providers: [{ provide: APP_INTERCEPTOR, useClass: AnswersFit }],
  })
    .overrideProvider(serverConfig.KEY)
    .useValue(config)
    .overrideProvider(Calculator)
    .useValue(new InThisThread())
    .overrideProvider(Clock)
    .useValue({ now })
    .compile();
  const app = testing.createNestApplication<NestExpressApplication>({
    logger: ['warn', 'error'],
    forceCloseConnections: true,
  });
  configure(app);
  await app.init();
  const close = async () => {
    await app.close();
    rmSync(folder, { recursive: true, force: true });
  };
  return { app, database: app.get(Database), stores: app.get(Stores), folder, close };
}

let example: Promise<string> | null = null;

/** The example is computed once; each server gets a copy. */
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
