import 'reflect-metadata';
import request from 'supertest';
import { boxDrawn } from '../../../core/fixtures/beliefs';
import { asSupposed, SyntheticAircraft, synthetic } from '../../../core/fixtures/calibrationWorlds';
import { jayThatComesHome } from '../../../core/fixtures/jay';
import { brokenBy } from '../../../core/fixtures/planChecker';
import { defaultDraws } from '../../../core/src/belief/belief';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const post = (path: string, body: object) =>
  request(server.app.getHttpServer()).post(`/api/v1/${path}`).send(body);

const { aircraft, battery, conditions, policy } = jayThatComesHome;
const shot = (id: string, durationS: number, more = {}) => ({
  id,
  name: `Shot ${id}`,
  durationS,
  style: 'slow' as const,
  distanceM: 120,
  bearingDeg: 60,
  heightM: 40,
  ...more,
});
const asked = {
  startAt: '2026-11-26T07:30:00+00:00',
  order: 'free' as const,
  effort: 'quick' as const,
  draws: 64,
  aircraft: [{ id: 'jay', spec: aircraft }],
  batteries: ['one', 'two'].map((id) => ({ ...battery, id, aircraftId: 'jay', label: id })),
  chargers: [{ id: 'hub', name: 'Hub', packsAtOnce: 1, emptyToFullS: 3240 }],
  swap: { landS: 30, changeS: 90, satellitesS: 60 },
  shots: [
    shot('a', 400, { takes: 2 }),
    shot('b', 300, { need: 'nice', setUpS: 20 }),
    shot('c', 500, { after: ['a'] }),
  ],
  conditions,
  policy,
};

test('a plan as the contract names it, held to its request by the checker; the same request, the same plan', async () => {
  const { body } = await post('swap-plans', asked).expect(200);
  expect(Object.keys(body).sort()).toEqual([
    'cautions',
    'complete',
    'figures',
    'flights',
    'lanes',
    'laterStart',
    'packs',
    'robustness',
    'unplaced',
    'withoutPins',
  ]);
  expect(brokenBy(asked, { jay: boxDrawn(64, defaultDraws.seed) }, body)).toEqual([]);
  expect(body.flights[0]).toMatchObject({ number: 1, aircraftId: 'jay', launchPlaceId: null });
  expect(body.flights[0].takeoffAt).toMatch(/\+00:00$/);
  expect(body.figures).toMatchObject({
    mustsPlaced: 3,
    boundBy: expect.stringMatching(/^(columns|packing)$/),
  });
  expect(body.robustness.map(({ change }: { change: string }) => change)).toEqual(
    expect.arrayContaining(['wind', 'takes', 'battery']),
  );
  expect((await post('swap-plans', asked)).body).toEqual(body);
});

test('what has no place comes with code, reason and remedy in words', async () => {
  const { body } = await post('swap-plans', { ...asked, chargers: null, shots: [shot('long', 3000)] }).expect(
    200,
  );
  expect(body.unplaced).toEqual([
    {
      shotId: 'long',
      take: 1,
      code: 'no-pack-lasts',
      reason: expect.stringMatching(/^Takes 50:00 there; the best battery, .*, has \d+:\d\d before/),
      remedy: null,
    },
  ]);
});

test('contradictions are named field by field, as wrong fields are', async () => {
  const cycle = [shot('a', 300, { after: ['b'] }), shot('b', 300, { after: ['a'], light: 'day' })];
  const { body } = await post('swap-plans', { ...asked, shots: cycle }).expect(400);
  expect(body.errors.map(({ path }: { path: string }) => path)).toEqual([
    'shots.1.light',
    'shots.0.after.0',
    'shots.1.after.0',
  ]);
  const none = await post('swap-plans', { ...asked, batteries: [], chargers: [] }).expect(400);
  expect(none.body.errors.map(({ path }: { path: string }) => path)).toEqual(['batteries']);
  const wrong = { ...asked, chargers: [{ ...asked.chargers[0], packsAtOnce: 0 }], order: 'random', extra: 1 };
  const { body: fields } = await post('swap-plans', wrong).expect(400);
  expect(fields.errors.map(({ path }: { path: string }) => path).sort()).toEqual([
    'chargers.0.packsAtOnce',
    'extra',
    'order',
  ]);
  await post('swap-plans', { ...asked, policy: { kind: 'empty' } }).expect(422);
});

test('a fit that is sent is planned with', async () => {
  const one = new SyntheticAircraft(72, asSupposed);
  const { batteries, flights } = synthetic(Array.from({ length: 3 }, () => one.fly(['hover'], 0, 2)));
  const bare = batteries.map(
    ({ startCharge: _s, startTemperatureC: _t, ...pack }: Record<string, unknown>) => pack,
  );
  const fit = (await post('calibrations', { aircraft, batteries: bare, flights }).expect(200)).body;
  const spare = async (spec: object) =>
    (
      await post('swap-plans', {
        ...asked,
        chargers: null,
        shots: [shot('a', 300)],
        aircraft: [spec],
      }).expect(200)
    ).body.flights[0].spareS;
  const [box, fitted] = [
    await spare({ id: 'jay', spec: aircraft }),
    await spare({ id: 'jay', spec: aircraft, fit }),
  ];
  expect(Math.abs(box - fitted)).toBeGreaterThan(5);
});
