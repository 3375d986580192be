import 'reflect-metadata';
import { ConsoleLogger } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { configure } from './app';
import { AppModule } from './app.module';
import { InvalidConfiguration, type ServerConfig, serverConfig } from './config';
import { Database } from './database/database';
import { DatabaseUnavailable } from './database/errors';
import { Stores } from './database/stores';
import { loadHollinFell } from './demo/hollinFell';

/** What stands in the way of the start is told in words of our own (`explain`), and not by the framework before. */
const quietly = { abortOnError: false, logger: false } as const;

/**
 * Starts the server, as its environment says (see `config`). With --demo an empty database is filled with the example; with
 * --backup FILE it only writes a sound copy of the data there.
 */
async function main(): Promise<void> {
  const backup = argumentAfter('--backup');
  await (backup === null ? serve() : backUp(backup));
}

async function serve(): Promise<void> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule, {
    ...quietly,
    forceCloseConnections: true,
  });
  app.useLogger(new ConsoleLogger({ logLevels: ['warn', 'error'] }));
  app.enableShutdownHooks(['SIGINT', 'SIGTERM'], { useProcessExit: true });
  configure(app);
  const { port, dataFolder } = app.get<ServerConfig>(serverConfig.KEY);
  const loaded = process.argv.includes('--demo') && (await loadHollinFell(app.get(Stores)));
  await app.listen(port, '127.0.0.1');
  if (loaded) console.log('Loaded the example, Hollin Fell, into the empty database.');
  console.log(`Acorn Tally: ${await app.getUrl()}  (data in ${dataFolder}; Ctrl-C stops)`);
}

/** Without the rest of the server, which would purge what is old when it starts. */
async function backUp(file: string): Promise<void> {
  const { dataFolder, migrationsFolder } = serverConfig();
  const database = await Database.open(dataFolder, migrationsFolder);
  await database.backUp(file);
  await database.close();
  console.log(`Backed up to ${file}.`);
}

function argumentAfter(option: string): string | null {
  const index = process.argv.indexOf(option);
  return index < 0 ? null : (process.argv[index + 1] ?? null);
}

main().catch((error: unknown) => {
  console.error(explain(error));
  process.exit(1);
});

function explain(error: unknown): unknown {
  if (error instanceof DatabaseUnavailable || error instanceof InvalidConfiguration)
    return `Acorn Tally cannot start. ${error.message}`;
  const { code, message, syscall } = error as { code?: string; message?: string; syscall?: string };
  if (code === 'EADDRINUSE') return 'That port is taken: set another, for example PORT=4320.';
  if (syscall === 'listen') return `The port cannot be used (${code}): set another, for example PORT=4320.`;
  if (message?.includes('output file already exists'))
    return 'There is a file of that name already: name another for the backup.';
  return error;
}
