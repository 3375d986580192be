import 'reflect-metadata';
import request from 'supertest';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const http = () => request(server.app.getHttpServer());
type Record_ = Readonly<Record<string, unknown>>;
const first = async (path: string): Promise<Record_> =>
  (await http().get(`/api/v1/${path}`).expect(200)).body.items[0];
const contentOf = ({ id: _i, createdAt: _c, updatedAt: _u, estimate: _e, version: _v, ...rest }: Record_) =>
  rest;
const pathsOf = (body: { errors: { path: string }[] }) => body.errors.map(({ path }) => path);

// ISO 8601 knows week dates, ordinal dates and dates without marks; a browser reads none of them, and showed "NaN %" (25 Nov 2026).
const unread = [
  '2026-W01-1',
  '20261126',
  '2026-330',
  '2026-02-30T07:00:00Z',
  '2026-11-26T25:00:00Z',
  '2026-11-26T07:00:00',
  'yesterday',
  '',
];

test.each(unread)('“%s” is no instant anywhere: each field of time refuses it by its path', async (text) => {
  const battery = await first('batteries');
  const day = await first('days');
  const shoot = await first('shoots');
  const flown = await first('test-flights');
  const sent: [string, object, string][] = [
    ['batteries', { ...contentOf(battery), keeping: { chargedAt: text } }, 'keeping.chargedAt'],
    ['days', { ...contentOf(day), at: text }, 'at'],
    ['shoots', { ...contentOf(shoot), startsAt: text }, 'startsAt'],
    ['test-flights', { ...contentOf(flown), flownAt: text }, 'flownAt'],
  ];
  for (const [path, body, field] of sent) {
    const { body: problem } = await http().post(`/api/v1/${path}`).send(body).expect(400);
    expect(pathsOf(problem)).toEqual([field]);
  }
});

test.each(['2026-W01-1', '20261126', '2026-02-30', '2026-13-01', '26.11.2026', '2026-11-26T07:00:00Z'])(
  '“%s” is no day',
  async (text) => {
    const battery = contentOf(await first('batteries'));
    const { body } = await http()
      .post('/api/v1/batteries')
      .send({ ...battery, keeping: { boughtOn: text } })
      .expect(400);
    expect(pathsOf(body)).toEqual(['keeping.boughtOn']);
  },
);

test('an instant keeps the offset it was sent with, and a leap day is a day', async () => {
  const day = contentOf(await first('days'));
  const at = '2026-11-26T07:00:00+11:00';
  const { body } = await http()
    .post('/api/v1/days')
    .send({ ...day, at })
    .expect(201);
  expect(body.at).toBe(at);
  const battery = contentOf(await first('batteries'));
  await http()
    .post('/api/v1/batteries')
    .send({ ...battery, keeping: { boughtOn: '2028-02-29' } })
    .expect(201);
});

test('a place keeps its zone; one that no machine knows is refused', async () => {
  const place = contentOf(await first('places'));
  const send = (timeZone: string) =>
    http()
      .post('/api/v1/places')
      .send({ ...place, timeZone });
  const { body } = await send('Australia/Sydney').expect(201);
  expect(body.timeZone).toBe('Australia/Sydney');
  expect(pathsOf((await send('Middle/Earth').expect(400)).body)).toEqual(['timeZone']);
});

test('answers to what was asked about a test are kept; an answer to nothing is refused', async () => {
  const flown = contentOf(await first('test-flights'));
  const send = (confirmed: unknown) =>
    http()
      .post('/api/v1/test-flights')
      .send({ ...flown, confirmed });
  const { body } = await send(['dated-later', 'longer-than-box']).expect(201);
  expect(body.confirmed).toEqual(['dated-later', 'longer-than-box']);
  expect(pathsOf((await send(['because']).expect(400)).body)[0]).toContain('confirmed');
  expect(pathsOf((await send('dated-later').expect(400)).body)[0]).toContain('confirmed');
});

test('programs get sentences filled in SI, beside their code and numbers, and never a template', async () => {
  const { spec } = (await first('aircraft')) as { spec: object };
  const { pack } = (await first('batteries')) as { pack: object };
  const { weather } = (await first('test-flights')) as { weather: { wind: object } };
  const kit = { aircraft: spec, battery: { ...pack, startTemperatureC: 4 }, conditions: weather };
  const flight = { heightM: 60, farthestM: 150, bearingDeg: 60, mix: [{ style: 'hover', share: 1 }] };
  const policy = { kind: 'touch-down-charge', reserveCharge: 0.25 };
  const estimate = await http()
    .post('/api/v1/estimates')
    .send({ ...kit, flight, policy })
    .expect(200);
  expect(estimate.body.cautions.length).toBeGreaterThan(0);
  for (const caution of estimate.body.cautions) {
    expect(caution.code).toMatch(/^[a-z-]+$/);
    expect(caution.message).not.toMatch(/[{}]|undefined|NaN/);
  }
  const storm = { ...weather, wind: { ...weather.wind, speedMps: 30, gustMps: 35 } };
  const refused = await http()
    .post('/api/v1/estimates')
    .send({ ...kit, conditions: storm, flight, policy })
    .expect(422);
  expect(refused.body.code).toBe('wind-beyond-mode');
  expect(refused.body.detail ?? refused.body.message).toMatch(
    /No mode holds a hover .* against 54.3 m\/s of wind/,
  );
  expect(JSON.stringify(refused.body)).not.toMatch(/\{windMps/);
});
