import 'reflect-metadata';
import request from 'supertest';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeEach(async () => {
  server = await startTestServer();
});
afterEach(() => server.close());

const http = () => request(server.app.getHttpServer());
const first = async (path: string) => (await http().get(`/api/v1/${path}`).expect(200)).body.items[0];
const contentOf = ({
  id: _i,
  createdAt: _c,
  updatedAt: _u,
  estimate: _e,
  ...rest
}: Record<string, unknown>) => rest;

test('the example: three aircraft, twelve packs, nine test flights of which one is left out, a shoot of nine shots', async () => {
  const count = async (path: string) => (await http().get(`/api/v1/${path}`)).body.items.length;
  expect([await count('aircraft'), await count('batteries'), await count('test-flights')]).toEqual([
    3, 12, 9,
  ]);
  const tests = (await http().get('/api/v1/test-flights')).body.items;
  expect(tests.filter((one: { excludedReason: string | null }) => one.excludedReason)).toHaveLength(1);
  expect((await first('shoots')).shots).toHaveLength(9);
});

test('a whole record is replaced, its version grows, and a stale write is refused with the current one', async () => {
  const battery = await first('batteries');
  const put = (body: object) => http().put(`/api/v1/batteries/${battery.id}`).send(body);
  const written = await put({ ...contentOf(battery), label: 'Jay one' }).expect(200);
  expect(written.body).toMatchObject({ label: 'Jay one', version: 2, createdAt: battery.createdAt });
  const refused = await put({ ...contentOf(battery), label: 'Jay uno' }).expect(409);
  expect(refused.body.current).toMatchObject({ label: 'Jay one', version: 2 });
  expect((await first('batteries')).label).toBe('Jay one');
});

test('what is used is not deleted and its users are named; what is deleted can be brought back', async () => {
  const aircraft = await first('aircraft');
  const refused = await http().delete(`/api/v1/aircraft/${aircraft.id}`).expect(409);
  expect(refused.body.users).toEqual(expect.arrayContaining(['battery Jay 1', '7 test flights']));
  const test = await first('test-flights');
  await http().delete(`/api/v1/test-flights/${test.id}`).expect(204);
  await http().get(`/api/v1/test-flights/${test.id}`).expect(404);
  await http().post(`/api/v1/test-flights/${test.id}/restore`).expect(201);
  await http().get(`/api/v1/test-flights/${test.id}`).expect(200);
});

test('pages follow each other without a gap or a repeat', async () => {
  const ids: string[] = [];
  let cursor: string | null = null;
  do {
    const query: string = cursor ? `&cursor=${cursor}` : '';
    const { body } = await http().get(`/api/v1/batteries?limit=5${query}`).expect(200);
    ids.push(...body.items.map(({ id }: { id: string }) => id));
    cursor = body.nextCursor;
  } while (cursor);
  expect(ids).toHaveLength(12);
  expect(new Set(ids).size).toBe(12);
  await http().get('/api/v1/batteries?limit=0').expect(400);
});

test('a test flight keeps the estimate it was recorded with, whatever becomes of the aircraft', async () => {
  const aircraft = await first('aircraft');
  const recorded = await first('test-flights');
  const content = { ...contentOf(recorded), test: { ...recorded.test, durationS: 1200 } } as Record<
    string,
    unknown
  >;
  delete content.version;
  const { body: made } = await http().post('/api/v1/test-flights').send(content).expect(201);
  expect(made.estimate.answer.usableS.p50).toBeGreaterThan(600);
  const slower = { ...aircraft.spec, advertisedFlightTimeS: 1500 };
  await http()
    .put(`/api/v1/aircraft/${aircraft.id}`)
    .send({ ...contentOf(aircraft), spec: slower })
    .expect(200);
  await http()
    .put(`/api/v1/test-flights/${made.id}`)
    .send({ ...contentOf(made), note: 'gusty' })
    .expect(200);
  const { body: frozen } = await http().get(`/api/v1/test-flights/${made.id}/estimate`).expect(200);
  expect(frozen).toEqual(made.estimate);
});

test('an edited test keeps the estimate it had, or is given a new one where that is asked for, once', async () => {
  const { body: before } = await http()
    .get(`/api/v1/test-flights/${(await first('test-flights')).id}`)
    .expect(200);
  const put = async (change: object, version: number) =>
    (
      await http()
        .put(`/api/v1/test-flights/${before.id}`)
        .send({ ...contentOf(before), ...change, version })
        .expect(200)
    ).body;
  const heavier = { test: { ...before.test, addedMassKg: 0.04 } };
  const kept = await put(heavier, before.version);
  expect(kept.estimate).toEqual(before.estimate);
  const estimatedAt = '2026-11-26T12:00:00+00:00';
  const anew = await put({ ...heavier, estimatedAt }, kept.version);
  expect(anew.estimate.request.aircraft.addedMassKg).toBe(0.04);
  expect(anew.estimate.answer.touchdownS.p50).toBeLessThan(before.estimate.answer.touchdownS.p50);
  // Asked for at the same instant it is the one that was made.
  const again = await put({ test: before.test, estimatedAt }, anew.version);
  expect(again.estimate).toEqual(anew.estimate);
});

test('readings after the end, and a charge that falls while charging, are refused by name', async () => {
  const { version: _, ...content } = contentOf(await first('test-flights')) as Record<string, unknown>;
  const late = { ...(content.test as object), checkpoints: [{ timeS: 7000, charge: 0.5 }] };
  const refused = await http()
    .post('/api/v1/test-flights')
    .send({ ...content, test: late })
    .expect(400);
  expect(refused.body.errors[0].path).toBe('test.checkpoints.0');
  const charge = {
    chargerId: (await first('chargers')).id,
    batteryId: (await first('batteries')).id,
    way: 'hub',
    startedAt: '2026-11-26T12:00:00+00:00',
  };
  const post = (marks: object[]) =>
    http()
      .post('/api/v1/timed-charges')
      .send({ ...charge, marks });
  expect((await post([{ timeS: 0, charge: 0.5 }]).expect(400)).body.errors[0].path).toBe('marks');
  await post([
    { timeS: 0, charge: 0.5 },
    { timeS: 60, charge: 0.4 },
  ]).expect(400);
  await post([
    { timeS: 0, charge: 0.5 },
    { timeS: 60, charge: 0.52 },
  ]).expect(201);
});

test('writes that contradict themselves or refer to nothing are refused', async () => {
  const recorded = await first('test-flights');
  const { version: _, ...content } = contentOf(recorded) as Record<string, unknown>;
  const post = (body: object) => http().post('/api/v1/test-flights').send(body);
  const upward = { ...(content.test as object), startCharge: 0.3, endCharge: 0.9 };
  expect((await post({ ...content, test: upward }).expect(400)).body.errors[0].path).toBe('test.endCharge');
  expect((await post({ ...content, batteryId: 'none' }).expect(400)).body.errors[0].path).toBe('batteryId');
  const shoot = await first('shoots');
  const { version: _v, ...plan } = contentOf(shoot) as Record<string, unknown>;
  const testOnly = { ...plan, policy: { kind: 'empty' } };
  expect((await http().post('/api/v1/shoots').send(testOnly).expect(400)).body.errors[0].path).toBe(
    'policy.kind',
  );
  const nameless = await http()
    .post('/api/v1/shoots')
    .send({ ...plan, name: '  ' })
    .expect(400);
  expect(nameless.body.errors[0].message).toBe('Name of the shoot is empty.');
});

test('forty writes at once all arrive: they take turns', async () => {
  const { version: _, ...content } = contentOf(await first('places')) as Record<string, unknown>;
  const answers = await Promise.all(
    Array.from({ length: 40 }, (_unused, i) =>
      http()
        .post('/api/v1/places')
        .send({ ...content, name: `Site ${i}` }),
    ),
  );
  expect(answers.map(({ status }) => status)).toEqual(Array(40).fill(201));
  expect((await http().get('/api/v1/places')).body.items).toHaveLength(41);
});

test('the database is on WAL; a write runs with foreign keys and full sync, all or nothing', async () => {
  const { database, stores } = server;
  expect(await database.pragma('journal_mode')).toBe('wal');
  const pragmas = await database.write(async (transaction) => [
    await transaction.get<unknown[]>('PRAGMA foreign_keys'),
    await transaction.get<unknown[]>('PRAGMA synchronous'),
  ]);
  expect(pragmas.map((row) => Object.values(row as object)[0])).toEqual([1, 2]);
  const orphan = { aircraftId: 'nobody', label: 'Orphan', pack: (await first('batteries')).pack };
  await expect(
    database.write((transaction) => stores.of('batteries').insert(transaction, orphan)),
  ).rejects.toThrow();
  expect((await http().get('/api/v1/batteries')).body.items).toHaveLength(12);
});

test('health asks the database itself', async () => {
  const { body } = await http().get('/api/v1/health').expect(200);
  expect(body).toEqual({ status: 'ok', version: expect.stringMatching(/^\d+\.\d+\.\d+$/), database: 'ok' });
});

test('a replacement is whole: what it does not name is emptied, and what is odd in how a pack is kept is refused', async () => {
  const batteries = (await http().get('/api/v1/batteries')).body.items;
  const jay4 = batteries.find(({ label }: { label: string }) => label === 'Jay 4');
  expect(jay4.keeping.notes).toBe('Lay in the car overnight.');
  const put = (body: object) => http().put(`/api/v1/batteries/${jay4.id}`).send(body);
  const odd = await put({ ...contentOf(jay4), keeping: { state: 'tired', chargedAt: 'noon' } }).expect(400);
  expect(odd.body.errors.map(({ path }: { path: string }) => path)).toEqual([
    'keeping.state',
    'keeping.chargedAt',
  ]);
  const { keeping: _, ...without } = contentOf(jay4);
  expect((await put(without).expect(200)).body.keeping).toBeNull();
});

test('chargers are kept like everything else; a day keeps its hours, and a place lies on the earth', async () => {
  const hub = await first('chargers');
  expect(hub).toMatchObject({ name: 'Hub in the dairy', charger: { atOnce: 1, emptyToFullS: 3240 } });
  await http()
    .post('/api/v1/chargers')
    .send({ name: 'Sun', charger: { atOnce: 0, emptyToFullS: 60, power: 'the sun' } })
    .expect(400);
  expect((await first('days')).hours).toHaveLength(24);
  const place = await first('places');
  const moved = { ...contentOf(place), coordinates: { latitudeDeg: 91, longitudeDeg: 0 } };
  await http().put(`/api/v1/places/${place.id}`).send(moved).expect(400);
});
