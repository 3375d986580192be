import 'reflect-metadata';
import request from 'supertest';
import { jayOnTheFell } from '../../../core/fixtures/jay';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const { aircraft, conditions } = jayOnTheFell;
const { startCharge: _s, startTemperatureC: _t, ...battery } = jayOnTheFell.battery;
const hover = { pattern: 'low-hover', heightM: 5, startCharge: 0.98, endCharge: 0.2, durationS: 921 };
const post = (change: object = {}) =>
  request(server.app.getHttpServer())
    .post('/api/v1/projections')
    .send({ test: hover, aircraft, battery, conditions, ...change });

test('98 → 20 % in 15:21 by each school, as the contract names them: 19:41, and 19:11 with the slip (common practice)', async () => {
  const { body } = await post().expect(200);
  const kinds = body.schools.map(({ kind }: { kind: string }) => kind);
  expect(kinds).toEqual(['straight-line', 'forgotten-start', 'last-third', 'drain-curve']);
  const [line, slip, , curve] = body.schools;
  expect(Math.round(line.toZeroS)).toBe(19 * 60 + 41);
  expect(Math.round(slip.toZeroS)).toBe(19 * 60 + 11);
  expect(line.ofBoxFraction).toBeCloseTo(921 / 0.78 / 1860, 9);
  expect(curve.missFraction).toBeNull();
});

test('a test that rises, a reading after its end, and a start charge of the pack are refused by name', async () => {
  const path = async (change: object) => (await post(change).expect(400)).body.errors[0].path;
  expect(await path({ test: { ...hover, endCharge: 0.99 } })).toBe('test.endCharge');
  expect(await path({ test: { ...hover, checkpoints: [{ timeS: 1000, charge: 0.1 }] } })).toBe(
    'test.checkpoints.0',
  );
  expect(await path({ battery: { ...battery, startCharge: 1 } })).toBe('battery.startCharge');
});
