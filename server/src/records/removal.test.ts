import 'reflect-metadata';
import request from 'supertest';
import { startTestServer, type TestServer } from '../testing/testServer';

const dayMs = 86_400_000;
let now = Date.parse('2027-01-10T08:00:00Z');
let server: TestServer;
beforeEach(async () => {
  now = Date.parse('2027-01-10T08:00:00Z');
  server = await startTestServer(() => new Date(now));
});
afterEach(() => server.close());

const http = () => request(server.app.getHttpServer());
const items = async (path: string) => (await http().get(`/api/v1/${path}`).expect(200)).body.items;
const contentOf = ({
  id: _i,
  createdAt: _c,
  updatedAt: _u,
  version: _v,
  ...content
}: Record<string, unknown>) => content;
const made = async (path: string, content: object) =>
  (await http().post(`/api/v1/${path}`).send(content).expect(201)).body;
const removed = (path: string, id: string) => http().delete(`/api/v1/${path}/${id}`).expect(204);
const restore = (path: string, id: string) => http().post(`/api/v1/${path}/${id}/restore`);

/** An aircraft of its own with a battery, beside the example. */
async function spare() {
  const [[jay], [jay1]] = [await items('aircraft'), await items('batteries')];
  const aircraft = await made('aircraft', { ...contentOf(jay), name: 'Magpie' });
  const battery = await made('batteries', { ...contentOf(jay1), aircraftId: aircraft.id, label: 'Magpie 1' });
  return { aircraft, battery };
}

test('thirty days after an aircraft and its battery were deleted, they go for good, and others are still deleted (a 500 until 26 Nov 2026)', async () => {
  const { aircraft, battery } = await spare();
  await removed('batteries', battery.id);
  now += dayMs;
  await removed('aircraft', aircraft.id);
  now += 30.5 * dayMs;
  // The battery is past its time; the aircraft it names stays for another half day, and goes then.
  await server.stores.purge();
  const other = await spare();
  await removed('batteries', other.battery.id);
  await removed('aircraft', other.aircraft.id);
  await restore('batteries', battery.id).expect(404);
  now += dayMs;
  await server.stores.purge();
  await restore('aircraft', aircraft.id).expect(404);
  await made('aircraft', { ...contentOf(aircraft), id: aircraft.id });
});

test('the purge leaves what is named by something that can still be brought back', async () => {
  const { aircraft, battery } = await spare();
  await removed('batteries', battery.id);
  await removed('aircraft', aircraft.id);
  await restore('aircraft', aircraft.id).expect(201);
  await restore('batteries', battery.id).expect(201);
  now += 40 * dayMs;
  await server.stores.purge();
  await http().get(`/api/v1/batteries/${battery.id}`).expect(200);
});

test('after thirty days nothing is brought back, whether it was purged or not (a charger was after 31)', async () => {
  const [hub] = await items('chargers');
  await removed('chargers', hub.id);
  now += 31 * dayMs;
  await restore('chargers', hub.id).expect(404);
});

test('a battery does not come back under an aircraft that is removed, and nothing is changed by the asking', async () => {
  const { aircraft, battery } = await spare();
  await removed('batteries', battery.id);
  await removed('aircraft', aircraft.id);
  const { body } = await restore('batteries', battery.id).expect(409);
  expect(body).toMatchObject({
    type: 'urn:acorn-tally:problem:needs-first',
    detail: expect.stringContaining('aircraftId'),
  });
  await http().get(`/api/v1/batteries/${battery.id}`).expect(404);
  await restore('aircraft', aircraft.id).expect(201);
  await restore('batteries', battery.id).expect(201);
});

test('a battery that tests or a shoot name stays with their aircraft; one that nothing names may move', async () => {
  const { aircraft, battery } = await spare();
  const [jay1] = await items('batteries');
  const move = (one: Record<string, unknown>, aircraftId: string) =>
    http()
      .put(`/api/v1/batteries/${one.id}`)
      .send({ ...contentOf(one), version: one.version, aircraftId });
  const { body } = await move(jay1, aircraft.id).expect(409);
  expect(body.users).toEqual(['2 test flights', 'shoot Bringing the herd down, second day']);
  await move(battery, jay1.aircraftId).expect(200);
});

test('a delete that names the version it saw does not take what somebody wrote after', async () => {
  const [hub] = await items('chargers');
  const renamed = { ...contentOf(hub), name: 'Hub', version: hub.version };
  await http().put(`/api/v1/chargers/${hub.id}`).send(renamed).expect(200);
  const { body } = await http().delete(`/api/v1/chargers/${hub.id}?version=${hub.version}`).expect(409);
  expect(body.current).toMatchObject({ name: 'Hub', version: 2 });
  await http().delete(`/api/v1/chargers/${hub.id}?version=2`).expect(204);
  await http().delete(`/api/v1/chargers/${hub.id}?version=two`).expect(400);
});

test('an aircraft and a battery for it, deleted and made at once: never a battery of an aircraft that is gone', async () => {
  const { aircraft, battery } = await spare();
  await removed('batteries', battery.id);
  const content = { ...contentOf(battery), label: 'Magpie 2' };
  const make = () => http().post('/api/v1/batteries').send(content);
  const [before, deleted, after] = await Promise.all([
    Promise.all([make(), make(), make()]),
    http().delete(`/api/v1/aircraft/${aircraft.id}`),
    Promise.all([make(), make(), make()]),
  ]);
  const gone = deleted.status === 204;
  const taken = [...before, ...after].filter(({ status }) => status === 201).length;
  expect(gone && taken > 0).toBe(false);
  expect(gone || taken > 0).toBe(true);
});
