import 'reflect-metadata';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { createApp } from './app';
import { Database } from './database/database';
import { Stores } from './database/stores';
import { loadHollinFell } from './demo/hollinFell';

/** Starts the server: PORT, ACORN_TALLY_DATA (data folder), and --demo to fill an empty database with the example. */
async function main(): Promise<void> {
  const server = dirname(dirname(fileURLToPath(import.meta.url)));
  const dataFolder = process.env.ACORN_TALLY_DATA ?? join(server, '..', 'data');
  const port = Number(process.env.PORT ?? 4310);
  const database = await Database.open(dataFolder, join(server, 'migrations'));
  const loaded = process.argv.includes('--demo') && (await loadHollinFell(new Stores(database)));
  const app = await createApp(database, join(server, '..', 'web', 'dist'));
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.once(signal, async () => {
      await app.close();
      await database.close();
      process.exit(0);
    });
  }
  await app.listen(port, '127.0.0.1');
  const address = await app.getUrl();
  if (loaded) console.log('Loaded the example, Hollin Fell, into the empty database.');
  console.log(`Acorn Tally: ${address}  (data in ${dataFolder}; Ctrl-C stops)`);
}

main().catch((error: unknown) => {
  console.error(explain(error));
  process.exit(1);
});

function explain(error: unknown): unknown {
  const code = (error as { code?: string }).code;
  if (code === 'EADDRINUSE') return 'That port is taken: set another, for example PORT=4320.';
  return error;
}
