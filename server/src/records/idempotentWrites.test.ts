import 'reflect-metadata';
import request from 'supertest';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.close());

const http = () => request(server.app.getHttpServer());
const items = async (path: string) => (await http().get(`/api/v1/${path}`).expect(200)).body.items;
const place = { name: 'Lane', elevationM: 12 };
const post = (path: string, key: string, body: object) =>
  http().post(`/api/v1/${path}`).set('Idempotency-Key', key).send(body);

// Draft "The Idempotency-Key HTTP Header Field" of the IETF: the same key and request is one write, another request with it an error.
test('the same key twice writes once and is answered alike, whatever came between', async () => {
  const first = await post('places', 'key-000001', { ...place, id: 'my-own-id' }).expect(201);
  expect(first.body).toMatchObject({ ...place, id: 'my-own-id', version: 1 });
  const put = { ...place, name: 'Lane end', version: 1 };
  const write = () => http().put('/api/v1/places/my-own-id').set('Idempotency-Key', 'key-000002').send(put);
  const written = await write().expect(200);
  expect((await post('places', 'key-000001', { ...place, id: 'my-own-id' }).expect(201)).body).toEqual(
    first.body,
  );
  expect((await write().expect(200)).body).toEqual(written.body);
  const later = { ...place, name: 'Lane head', version: 2 };
  await http().put('/api/v1/places/my-own-id').send(later).expect(200);
  expect((await write().expect(200)).body).toEqual(written.body);
  expect((await items('places')).map(({ name }: { name: string }) => name)).toEqual([
    'Hollin Fell dairy',
    'Lane head',
  ]);
});

test('ten of the same at once are one record', async () => {
  const answers = await Promise.all(Array.from({ length: 10 }, () => post('places', 'key-000003', place)));
  expect(new Set(answers.map(({ status, body }) => `${status} ${body.id}`)).size).toBe(1);
  expect(await items('places')).toHaveLength(2);
});

test('the same key for another request is refused; a key that is none as well', async () => {
  await post('places', 'key-000004', place).expect(201);
  const other = await post('places', 'key-000004', { ...place, name: 'Other' }).expect(422);
  expect(other.body.type).toBe('urn:acorn-tally:problem:key-used');
  await post('places', 'short', place).expect(400);
  expect(await items('places')).toHaveLength(2);
});

test('a write that was refused may be sent again with its key', async () => {
  const put = (name: string, version: number) =>
    http()
      .put('/api/v1/places/mine')
      .set('Idempotency-Key', 'key-000005')
      .send({ ...place, name, version });
  await post('places', 'key-000006', { ...place, id: 'mine' }).expect(201);
  await put('Too late', 7).expect(409);
  await put('In time', 1).expect(200);
});

test('an id that is taken is told with what has it; one that is none is refused by its path', async () => {
  const [fell] = await items('places');
  const { body } = await http()
    .post('/api/v1/places')
    .send({ ...place, id: fell.id })
    .expect(409);
  expect(body).toMatchObject({ type: 'urn:acorn-tally:problem:id-taken', current: fell });
  for (const id of ['', 'a b', '../etc', 'x'.repeat(65), 5])
    expect(
      (
        await http()
          .post('/api/v1/places')
          .send({ ...place, id })
          .expect(400)
      ).body.errors[0].path,
    ).toBe('id');
});

test('a test flight that is sent twice is one flight with one estimate', async () => {
  const [flown] = await items('test-flights');
  const { id: _i, createdAt: _c, updatedAt: _u, version: _v, ...content } = flown;
  const first = await post('test-flights', 'key-000007', content).expect(201);
  const again = await post('test-flights', 'key-000007', content).expect(201);
  expect(again.body).toEqual(first.body);
  expect(again.body.estimate.answer.usableS.planned).toBeGreaterThan(300);
  // Also when what it names is gone by then.
  await http().delete(`/api/v1/test-flights/${first.body.id}`).expect(204);
  expect((await post('test-flights', 'key-000007', content).expect(201)).body).toMatchObject({
    id: first.body.id,
  });
  await http().post(`/api/v1/test-flights/${first.body.id}/restore`).expect(201);
  expect(await items('test-flights')).toHaveLength(10);
});

test('pages go by when records were made, whatever their ids', async () => {
  for (const id of ['zz', 'aa', 'mm'])
    await http()
      .post('/api/v1/places')
      .send({ ...place, id })
      .expect(201);
  const seen: string[] = [];
  let cursor: string | null = null;
  do {
    const { body }: { body: { items: { id: string }[]; nextCursor: string | null } } = await http()
      .get(`/api/v1/places?limit=1${cursor ? `&cursor=${cursor}` : ''}`)
      .expect(200);
    seen.push(...body.items.map(({ id }) => id));
    cursor = body.nextCursor;
  } while (cursor);
  expect(seen.slice(1)).toEqual(['zz', 'aa', 'mm']);
  await http().get('/api/v1/places?cursor=nobody').expect(404);
  await http().get('/api/v1/places?cursor=a&cursor=b').expect(400);
  await http().get('/api/v1/places?limit=5&limit=6').expect(400);
});
