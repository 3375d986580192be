import 'reflect-metadata';
import request from 'supertest';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const http = () => request(server.app.getHttpServer());
const place = { name: 'Lane', elevationM: 12 };

test.each(['evil.example', 'localhost.evil.example', '127.0.0.1.nip.example:4310', ''])(
  'a page that got here under the name “%s” gets nothing (DNS rebinding)',
  async (host) => {
    const refused = await http().get('/api/v1/places').set('Host', host);
    expect([400, 421]).toContain(refused.status);
    expect(JSON.stringify(refused.body)).not.toContain('dairy');
  },
);

test.each(['localhost:4310', '127.0.0.1', '[::1]:4310', 'LOCALHOST:4310'])(
  '%s is this machine',
  async (host) => {
    await http().get('/api/v1/places').set('Host', host).expect(200);
  },
);

test.each(['https://evil.example', 'null', 'http://localhost:9999', 'nonsense'])(
  'what a page of %s sends is not written, with a body or without',
  async (origin) => {
    const from = (call: request.Test) => call.set('Host', 'localhost:4310').set('Origin', origin);
    await from(http().post('/api/v1/places')).send(place).expect(403);
    await from(http().post('/api/v1/places/any/restore')).expect(403);
    await from(http().delete('/api/v1/places/any')).expect(403);
    await from(http().post('/api/v1/estimates')).send({}).expect(403);
  },
);

test('our own page and programs without a page are let in', async () => {
  const own = http()
    .post('/api/v1/places')
    .set('Host', 'localhost:4310')
    .set('Origin', 'http://localhost:4310');
  await own.send(place).expect(201);
  await http().post('/api/v1/places').send(place).expect(201);
});

test('what is wrong is told twenty times at most, in an answer smaller than the question (196 MB until 26 Nov 2026)', async () => {
  const [{ id: placeId }] = (await http().get('/api/v1/places')).body.items;
  const wind = { speedMps: 3, fromDeg: 240, readingHeightM: 10 };
  const hours = Array.from({ length: 700 }, () => ({}));
  const body = { placeId, at: '2026-11-26T08:40:00Z', weather: { airTemperatureC: 5, wind }, hours };
  const refused = await http().post('/api/v1/days').send(body).expect(400);
  expect(refused.body.errors).toHaveLength(20);
  expect(refused.body.moreErrors).toBeGreaterThan(1000);
  expect(refused.body.detail).toMatch(/And \d+ more\.$/);
  expect(refused.text.length).toBeLessThan(10_000);
  const long = await http()
    .post('/api/v1/places')
    .send({ ...place, name: 'x'.repeat(100_000) })
    .expect(400);
  expect(long.text.length).toBeLessThan(1000);
});

test.each([
  ['a body nested five thousand deep', `${'{"a":'.repeat(5000)}1${'}'.repeat(5000)}`],
  ['a list nested five thousand deep', `{"weather":${'['.repeat(5000)}${']'.repeat(5000)}}`],
  ['a list of a hundred thousand', `{"hours":[${Array(100_000).fill('{}').join(',')}]}`],
])('%s is refused before it is looked at', async (_, body) => {
  const { status, text } = await http()
    .post('/api/v1/days')
    .set('content-type', 'application/json')
    .send(body);
  expect(status).toBe(400);
  expect(text).not.toMatch(/node_modules|at .*\.js/);
});

test.each([
  ['aircraft', 'spec'],
  ['aircraft', 'flight'],
  ['aircraft', 'policy'],
  ['batteries', 'pack'],
  ['batteries', 'keeping'],
  ['chargers', 'charger'],
  ['days', 'weather'],
  ['days', 'weatherFrom'],
  ['places', 'coordinates'],
  ['places', 'home'],
  ['shoots', 'policy'],
  ['test-flights', 'test'],
  ['test-flights', 'weather'],
])('%s: a list in the place of %s is refused (taken until 26 Nov 2026)', async (path, field) => {
  const [record] = (await http().get(`/api/v1/${path}`)).body.items;
  const { id: _i, createdAt: _c, updatedAt: _u, version: _v, ...content } = record;
  for (const wrong of [[], [{}], 'x', 5]) {
    const { body } = await http()
      .post(`/api/v1/${path}`)
      .send({ ...content, [field]: wrong })
      .expect(400);
    expect(body.errors[0]).toMatchObject({
      path: field,
      message: expect.stringContaining('needs an object'),
    });
  }
});

test('lists have a greatest length, each told with it', async () => {
  const [aircraft] = (await http().get('/api/v1/aircraft')).body.items;
  const { id: _i, createdAt: _c, updatedAt: _u, version: _v, ...content } = aircraft;
  const legs = Array.from({ length: 65 }, () => ({ style: 'hover', durationS: 60 }));
  const send = (flight: object) =>
    http()
      .post('/api/v1/aircraft')
      .send({ ...content, flight });
  const { body } = await send({ ...content.flight, mix: [], legs }).expect(400);
  expect(body.errors[0]).toMatchObject({
    path: 'flight.legs',
    message: 'legs holds at most 64.',
    received: 'a list of 65',
  });
  // A round of legs in place of a mix is a whole flight (refused until 26 Nov 2026).
  await send({ ...content.flight, mix: [], legs: legs.slice(0, 64) }).expect(201);
});
