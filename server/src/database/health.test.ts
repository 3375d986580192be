import 'reflect-metadata';
import { mkdirSync, readFileSync, rmSync, statSync, truncateSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import request from 'supertest';
import { migrations, newFolder, startTestServer, type TestServer } from '../testing/testServer';
import { Database } from './database';
import { DatabaseUnavailable } from './errors';
import { toDatabaseError } from './health';

const fileIn = (folder: string) => join(folder, 'acorn-tally.db');

/** A folder with the example, closed, so that its file is all there is. */
async function closedExample(): Promise<string> {
  const server = await startTestServer();
  const folder = newFolder();
  await server.database.backUp(fileIn(folder));
  await server.close();
  return folder;
}

async function refusalOf(folder: string): Promise<string> {
  const outcome = await Database.open(folder, migrations).then(
    async (database) => {
      await database.close();
      return 'opened';
    },
    (error: unknown) => error,
  );
  expect(outcome).toBeInstanceOf(DatabaseUnavailable);
  const { message } = outcome as DatabaseUnavailable;
  expect(message).not.toMatch(/SQLITE|at .*\.ts|Error:/);
  return message;
}

test('noise in the place of the database is refused, and is left as it is', async () => {
  const folder = newFolder();
  writeFileSync(fileIn(folder), Buffer.alloc(8192, 'noise'));
  expect(await refusalOf(folder)).toContain('is no database, or is damaged: put a backup in its place');
  expect(readFileSync(fileIn(folder)).subarray(0, 5).toString()).toBe('noise');
});

test('a file cut short, and one with noise in the middle, are refused', async () => {
  const cut = await closedExample();
  truncateSync(fileIn(cut), Math.floor(statSync(fileIn(cut)).size / 2));
  expect(await refusalOf(cut)).toContain('damaged');
  const noisy = await closedExample();
  const bytes = readFileSync(fileIn(noisy));
  bytes.fill(0x5a, 4096, Math.floor(bytes.length / 2));
  writeFileSync(fileIn(noisy), bytes);
  expect(await refusalOf(noisy)).toContain('damaged');
});

test('data of a newer version is not touched', async () => {
  const folder = await closedExample();
  const client = createClient({ url: `file:${fileIn(folder)}` });
  await client.execute(
    "INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 99999999999999)",
  );
  client.close();
  expect(await refusalOf(folder)).toContain('written by a newer Acorn Tally');
});

test('what cannot be a folder, and a lock of another program, are told as such', async () => {
  const folder = newFolder();
  writeFileSync(join(folder, 'file'), '');
  expect(await refusalOf(join(folder, 'file'))).toContain('cannot be written');
  expect(await refusalOf('/proc/nowhere/data')).toContain('cannot be');
  const inTheWay = newFolder();
  mkdirSync(fileIn(inTheWay));
  expect(await refusalOf(inTheWay)).toContain('cannot be');
  const locked = await closedExample();
  const other = createClient({ url: `file:${fileIn(locked)}` });
  const held = await other.transaction('write');
  await held.execute('CREATE TABLE held (x)');
  try {
    expect(await refusalOf(locked)).toContain('Another program holds');
  } finally {
    held.close();
    other.close();
  }
});

// Codes of Node (errno) and SQLite (result codes), also where a library wraps them.
test.each([
  [{ code: 'EACCES' }, 'who may write there'],
  [{ code: 'SQLITE_READONLY_DBMOVED' }, 'who may write there'],
  [{ cause: { code: 'SQLITE_CANTOPEN' } }, 'who may write there'],
  [{ code: 'ENOSPC' }, 'The disk is full'],
  [{ code: 'SQLITE_IOERR_WRITE' }, 'check the disk'],
])('%j is said plainly', (error, words) => {
  expect(toDatabaseError(error, 'tally.db')?.message).toContain(words);
  expect(toDatabaseError({ code: 'SQLITE_CONSTRAINT_FOREIGNKEY' }, 'tally.db')).toBeNull();
});

describe('under a running server', () => {
  let server: TestServer;
  beforeEach(async () => {
    server = await startTestServer();
  });
  afterEach(() => server.close());
  const http = () => request(server.app.getHttpServer());
  const writePlace = () => http().post('/api/v1/places').send({ name: 'Lane', elevationM: 5 });

  test('a file that is gone, or another in its place: writes stop, and health tells (it went on answering 201 until 26 Nov 2026)', async () => {
    await writePlace().expect(201);
    rmSync(fileIn(server.folder));
    const refused = await writePlace().expect(503);
    expect(refused.body).toMatchObject({
      type: 'urn:acorn-tally:problem:database',
      detail: expect.stringContaining('is gone'),
    });
    expect(refused.headers['retry-after']).toBe('30');
    expect((await http().get('/api/v1/health').expect(503)).body).toMatchObject({
      status: 'failing',
      database: expect.stringContaining('is gone'),
    });
    writeFileSync(fileIn(server.folder), 'another');
    await writePlace().expect(503);
  });

  test('while another program writes, reads are answered, and a write waits for it', async () => {
    const other = createClient({ url: `file:${fileIn(server.folder)}` });
    const held = await other.transaction('write');
    await held.execute('CREATE TABLE held (x)');
    const writing = writePlace().then(({ status }) => status);
    await new Promise((resolve) => setTimeout(resolve, 50));
    await http().get('/api/v1/places').expect(200);
    await held.rollback();
    other.close();
    expect(await writing).toBe(201);
  });

  test('noise that comes into the file is found, and what is sick is written no more', async () => {
    const bytes = readFileSync(fileIn(server.folder));
    bytes.fill(0x5a, 0, bytes.length);
    writeFileSync(fileIn(server.folder), bytes);
    await http().get('/api/v1/health').expect(503);
    await writePlace().expect(503);
  });

  test('a full disk is told, nothing half is kept, and it goes on when there is room again', async () => {
    await server.database.write(async (transaction) => {
      await transaction.run('PRAGMA max_page_count = 1');
    });
    const long = Array.from({ length: 400 }, (_, i) => ({
      name: `Post ${i}`,
      distanceM: i,
      widthM: 1,
      heightM: 2,
    }));
    const { body } = await http()
      .post('/api/v1/places')
      .send({ name: 'Long fence', elevationM: 5, obstacles: long })
      .expect(503);
    expect(body.detail).toContain('The disk is full');
    await server.database.write(async (transaction) => {
      await transaction.run('PRAGMA max_page_count = 1000000');
    });
    expect((await http().get('/api/v1/places').expect(200)).body.items).toHaveLength(1);
    await writePlace().expect(201);
  });
});

test('after a stop the one file is all there is; a copy made while it is written to is sound', async () => {
  const server = await startTestServer();
  const http = request(server.app.getHttpServer());
  const writing = Promise.all(
    Array.from({ length: 30 }, (_, i) =>
      http.post('/api/v1/places').send({ name: `Site ${i}`, elevationM: i }),
    ),
  );
  const copies = newFolder();
  mkdirSync(join(copies, 'a'), { recursive: true });
  await server.database.backUp(fileIn(join(copies, 'a')));
  await writing;
  await server.app.close();
  await server.database.close();
  const alone = newFolder();
  writeFileSync(fileIn(alone), readFileSync(fileIn(server.folder)));
  const count = async (folder: string) => {
    const database = await Database.open(folder, migrations);
    const { rows } = database;
    const found = await rows.all<{ n: number }>('SELECT count(*) AS n FROM places');
    await database.close();
    return Object.values(found[0] as object)[0];
  };
  expect(await count(alone)).toBe(31);
  expect(await count(join(copies, 'a'))).toBeGreaterThanOrEqual(1);
});
