import 'reflect-metadata';
import { beliefFrom, drawCountOf, fromTheBox, noDraws, reaches, returnInFull } from '@acorn-tally/core';
import request from 'supertest';
import { answered } from '../../../core/fixtures/answered';
import { jayThatComesHome } from '../../../core/fixtures/jay';
import { startTestServer, type TestServer } from '../testing/testServer';
import { returnInSi } from './returnInSi';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const { aircraft, battery, conditions, policy } = jayThatComesHome;
const body = {
  aircraft,
  battery,
  conditions,
  policy,
  position: { distanceM: 380, bearingDeg: 60, heightM: 60, charge: 0.41 },
  returnHeightM: 45,
  obstacles: [{ name: 'chimney', distanceM: 150, widthM: 30, heightM: 31 }],
  landingPlaces: [{ name: 'lower gate', distanceM: 300, bearingDeg: 100 }],
  ceilingM: 120,
};
const post = (path: string, change: object = {}) =>
  request(server.app.getHttpServer())
    .post(`/api/v1/${path}`)
    .send({ ...body, ...change });

test('returns and reaches: the same answers as the core gives in the browser, to the last digit', async () => {
  const wayHome = await post('returns', { draws: 64 }).expect(200);
  const ours = returnInSi(
    answered(returnInFull(body, beliefFrom(fromTheBox, drawCountOf({ draws: 64 }, policy)))),
  );
  expect(wayHome.body).toEqual(JSON.parse(JSON.stringify(ours)));
  expect(wayHome.body.turnBackCharge.planned).toBeGreaterThan(wayHome.body.turnBackCharge.p50);
  expect(wayHome.body.waysOut.map(({ kind }: { kind: string }) => kind)).toContain('land-elsewhere');
  const reach = await post('reaches').expect(200);
  expect(reach.body).toEqual(answered(reaches(body, beliefFrom(fromTheBox, noDraws))));
  expect(reach.body.inWind.bearingsDeg).toHaveLength(72);
});

test('not home is an answer, with how fast it drifts; a wind read between houses is taken into account; a wrong field is named', async () => {
  const gale = { ...conditions, wind: { speedMps: 12, gustMps: 15, fromDeg: 240, readingHeightM: 10 } };
  const away = await post('returns', { conditions: gale, draws: 16 }).expect(200);
  expect(away.body).toMatchObject({ feasible: false, home: { notHome: { code: 'home-unreachable' } } });
  expect(away.body.home.notHome.numbers.driftMps).toBeGreaterThan(4);
  expect(away.body.touchdownCharge).toEqual({ p10: null, p50: null, p90: null });
  const low = { ...conditions, roughnessM: 1, wind: { ...conditions.wind, readingHeightM: 2 } };
  await post('returns', { conditions: low }).expect(200);
  const wrong = await post('reaches', { position: { ...body.position, charge: 3 } }).expect(400);
  expect(wrong.body.errors[0]).toMatchObject({ path: 'position.charge' });
});
