import 'reflect-metadata';
import request from 'supertest';
import { jayThatComesHome } from '../../../core/fixtures/jay';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let shootId: string;
beforeAll(async () => {
  server = await startTestServer();
  shootId = (await http().get('/api/v1/shoots').expect(200)).body.items[0].id;
});
afterAll(() => server.close());
const http = () => request(server.app.getHttpServer());

const { aircraft, battery, conditions, policy } = jayThatComesHome;
const shot = (id: string, more = {}) => ({
  id,
  name: `Shot ${id}`,
  durationS: 300,
  style: 'slow',
  distanceM: 120,
  bearingDeg: 60,
  heightM: 40,
  ...more,
});
const asked = {
  startAt: '2026-11-26T07:30:00+00:00',
  order: 'kept',
  effort: 'quick',
  draws: 64,
  aircraft: [{ id: 'jay', spec: aircraft }],
  batteries: [{ ...battery, id: 'one', aircraftId: 'jay', label: 'Jay 1' }],
  swap: { landToLiftOffS: 270 },
  shots: [shot('a'), shot('b', { earliestAt: '2026-11-26T08:30:00+00:00' })],
  conditions,
  policy,
};

async function answered() {
  const { body } = await http().post('/api/v1/swap-plans').send(asked).expect(200);
  const { flights, lanes, figures } = body;
  expect(flights.length).toBeGreaterThan(0);
  return { flights, lanes, figures, cautions: [] };
}

test('a plan is kept with its request as both were, and goes with its shoot', async () => {
  const content = { shootId, keptAt: '2026-11-26T07:10:00.000Z', request: asked, plan: await answered() };
  const { body: made } = await http().post('/api/v1/plans').send(content).expect(201);
  expect(made).toMatchObject(content);
  expect((await http().get(`/api/v1/plans/${made.id}`).expect(200)).body).toMatchObject(content);
  await http().delete(`/api/v1/shoots/${shootId}`).expect(204);
  await http().get(`/api/v1/plans/${made.id}`).expect(404);
  await http().post(`/api/v1/shoots/${shootId}/restore`).expect(201);
});

test('what could not be planned, and what is no plan, is refused by its field', async () => {
  const plan = await answered();
  const refused = async (content: object) => {
    const whole = { shootId, keptAt: '2026-11-26T07:10:00.000Z', request: asked, plan, ...content };
    const { body } = await http().post('/api/v1/plans').send(whole).expect(400);
    return body.errors.map(({ path }: { path: string }) => path);
  };
  const circle = {
    ...asked,
    shots: [shot('a', { after: ['b'] }), shot('b', { after: ['a'] })],
    order: 'free',
  };
  expect(await refused({ request: circle })).toEqual(['request.shots.0.after.0', 'request.shots.1.after.0']);
  const [flight] = plan.flights;
  expect(await refused({ plan: { ...plan, flights: [{ ...flight, chanceEarly: 2 }] } })).toEqual([
    'plan.flights.0.chanceEarly',
  ]);
  expect(await refused({ keptAt: 'yesterday' })).toEqual(['keptAt']);
});
