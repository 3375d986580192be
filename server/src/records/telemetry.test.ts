import 'reflect-metadata';
import { samplesHeadings, writeSamplesCsv, wrongSamplesLine } from '@acorn-tally/core';
import request from 'supertest';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let id = '';
beforeAll(async () => {
  server = await startTestServer();
  id = (await http().get('/api/v1/test-flights').expect(200)).body.items[0].id;
});
afterAll(() => server.close());

const http = () => request(server.app.getHttpServer());
const put = (text: string, to = id) =>
  http().put(`/api/v1/test-flights/${to}/samples`).set('content-type', 'text/csv').send(text);
const get = () => http().get(`/api/v1/test-flights/${id}/samples`);

const many = writeSamplesCsv(
  Array.from({ length: 100_000 }, (_, i) => ({
    timeS: i / 16,
    charge: 1 - i / 200_000,
    heightM: 30,
    speedMps: 5,
  })),
);

test('100,000 samples are kept and given back to the byte; others take their place', async () => {
  await get().expect(404);
  await put(many).expect(204);
  const { text } = await get().expect(200);
  expect(text === many).toBe(true);
  const few = writeSamplesCsv([{ timeS: 0, charge: 1 }]);
  await put(few).expect(204);
  expect((await get()).text).toBe(few);
});

test('what are no samples is refused by its line, and what was kept stays', async () => {
  const before = (await get()).text;
  const head = samplesHeadings.join(',');
  for (const [text, line] of [
    ['', 1],
    ['time,charge\n1,2\n', 1],
    [`${head}\n0,98,,,,,,,,1\n1,98,,,\n`, 3],
    [`${head}\n=1+1,98,,,,,,,,1\n`, 2],
  ] as const) {
    expect(wrongSamplesLine(text)).toBe(line);
    const { body } = await put(text).expect(400);
    expect(body.errors[0].path).toBe(`line ${line}`);
  }
  await http().put(`/api/v1/test-flights/${id}/samples`).send({ timeS: 1 }).expect(400);
  await put(before, 'nobody').expect(404);
  expect((await get()).text).toBe(before);
});

test('more than is kept of one flight is refused while it comes in', async () => {
  const large = `${samplesHeadings.join(',')}\n${'0,98,,,,,,,,1\n'.repeat(5_000_000)}`;
  const answer = await put(large).catch((error: { code?: string }) => error);
  // Refused in words, or the connection is closed on what goes on coming.
  const { status, code } = answer as { status?: number; code?: string };
  expect([413, 'ECONNRESET', 'EPIPE']).toContain(status ?? code);
});
