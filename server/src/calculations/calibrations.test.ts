import 'reflect-metadata';
import request from 'supertest';
import { asSupposed, SyntheticAircraft, synthetic } from '../../../core/fixtures/calibrationWorlds';
import { jayThatComesHome } from '../../../core/fixtures/jay';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const http = () => request(server.app.getHttpServer());
const post = (path: string, body: object) => http().post(`/api/v1/${path}`).send(body);

const one = new SyntheticAircraft(71, asSupposed);
const flown = Array.from({ length: 5 }, () => one.fly(['hover', 'slow'], 0, 2));
const { aircraft, batteries, flights } = synthetic(flown);
const asked = {
  aircraft,
  batteries: batteries.map(
    ({ startCharge: _s, startTemperatureC: _t, ...pack }: Record<string, unknown>) => pack,
  ),
  flights,
};
const calibrated = async (body: object = asked) => (await post('calibrations', body).expect(200)).body;

test('a calibration answers a fit as the contract names it, and the same flights the same fit', async () => {
  const fit = await calibrated();
  expect(await calibrated({ ...asked, draws: 64, seed: 9 })).toEqual(fit);
  const [first] = fit.parameters;
  expect(Object.keys(first)).toEqual(
    expect.arrayContaining(['name', 'value', 'spread', 'priorValue', 'priorSpread', 'learned']),
  );
  expect(first.learned).toBeCloseTo(1 - (first.spread / first.priorSpread) ** 2, 9);
  expect(fit.between.flightSpread).toBe(0.04);
  expect(fit.posterior.names).toHaveLength(fit.posterior.mean.length);
  expect(fit.flights.map(({ id }: { id: string }) => id)).toEqual(flights.map(({ id }) => id));
  for (const { before, after, leftOut } of fit.flights) {
    expect([before.missFraction, after.missFraction, leftOut.missFraction]).toEqual([
      expect.any(Number),
      expect.any(Number),
      expect.any(Number),
    ]);
    expect(typeof leftOut.insideBand).toBe('boolean');
  }
  expect(fit.leaveOneOut).toMatchObject({ flights: 5, insideBandFraction: expect.any(Number) });
  expect(fit.nextTests[0]).toMatchObject({
    pattern: expect.any(String),
    gainsS: expect.any(Number),
    tied: true,
  });
});

test('a fit sent along changes what is estimated, returned and projected, and each names it', async () => {
  const fit = { ...(await calibrated()), id: 'fit-7' };
  const { batteryId: _, ...plain } = { ...jayThatComesHome, batteryId: null };
  const box = (await post('estimates', plain).expect(200)).body;
  const known = (await post('estimates', { ...plain, batteryId: 'pack-1', fit }).expect(200)).body;
  expect(known.basis).toEqual({ source: 'fit', fitId: 'fit-7', flights: 5 });
  expect(known.usableS.p50).not.toBeCloseTo(box.usableS.p50, 0);
  const width = ({ usableS }: typeof box) => (usableS.p90 - usableS.p10) / usableS.p50;
  expect(width(known)).toBeLessThan(width(box));
  const causes = known.ledger.map(({ cause }: { cause: string }) => cause);
  expect(causes).toContain('own-aircraft');
  const { flight: _f, ...way } = plain;
  const position = { distanceM: 300, bearingDeg: 60, heightM: 60, charge: 0.4 };
  const home = (await post('returns', { ...way, position }).expect(200)).body;
  const homeKnown = (await post('returns', { ...way, position, batteryId: 'pack-1', fit }).expect(200)).body;
  expect(homeKnown.turnBackCharge.planned).not.toBe(home.turnBackCharge.planned);
  await post('reaches', { ...way, position, fit }).expect(200);
  const test = { pattern: 'low-hover', heightM: 5, startCharge: 0.98, endCharge: 0.2, durationS: 921 };
  const [battery] = asked.batteries as [{ id?: string }];
  const { id: _i, ...pack } = battery;
  await post('projections', { test, aircraft, battery: pack, conditions: plain.conditions, fit }).expect(200);
});

test('a fit that is none is refused, a name it may not have as well', async () => {
  const fit = await calibrated();
  const send = (posterior: object) => post('estimates', { ...jayThatComesHome, fit: { ...fit, posterior } });
  const { posterior } = fit;
  const negative = posterior.covariance.map((row: number[]) => row.map((value) => -value));
  const refused = await send({ ...posterior, covariance: negative }).expect(422);
  expect(refused.body.code ?? refused.body.type).toContain('not-a-fit');
  await send({ ...posterior, names: ['luck', ...posterior.names.slice(1)] }).expect(422);
  const short = await send({ ...posterior, mean: ['much'] }).expect(400);
  expect(short.body.errors[0].path).toBe('fit.posterior.mean');
});

test('a fit of one pack is of that pack where none is named; one of another version of the model is refused', async () => {
  const [first] = flights as [(typeof flights)[0], ...typeof flights];
  const fit = await calibrated({
    ...asked,
    batteries: asked.batteries.filter(({ id }) => id === first.batteryId),
    flights: [first],
  });
  const { batteryId: _, ...plain } = { ...jayThatComesHome, batteryId: null };
  const unnamed = (await post('estimates', { ...plain, fit }).expect(200)).body;
  const named = (await post('estimates', { ...plain, fit, batteryId: first.batteryId }).expect(200)).body;
  const other = (await post('estimates', { ...plain, fit, batteryId: 'another' }).expect(200)).body;
  expect(unnamed).toEqual(named);
  expect(other.usableS).not.toEqual(named.usableS);
  const refused = await post('estimates', { ...plain, fit: { ...fit, modelVersion: '2020' } }).expect(422);
  expect(refused.body.detail).toContain('version 2020');
});

test('what is wrong with flights is told field by field; none that counts is refused in words', async () => {
  const [first] = flights as [(typeof flights)[0], ...typeof flights];
  const paths = async (change: object) =>
    (
      await post('calibrations', { ...asked, flights: [{ ...first, ...change }] }).expect(400)
    ).body.errors.map(({ path }: { path: string }) => path);
  expect(await paths({ batteryId: 'nobody' })).toEqual(['flights.0.batteryId']);
  expect(await paths({ end: { timeS: 100, charge: 0.995 } })).toEqual(
    expect.arrayContaining(['flights.0.end.charge', 'flights.0.checkpoints.0.timeS']),
  );
  expect(await paths({ flight: { heightM: 20, mix: [{ style: 'hover', share: 0.5 }] } })).toEqual([
    'flights.0.flight.mix',
  ]);
  expect(await paths({ luck: 1 })).toEqual(['flights.0.luck']);
  const twice = await post('calibrations', { ...asked, flights: [first, first] }).expect(400);
  expect(twice.body.errors[0].path).toBe('flights.1.id');
  const refused = await post('calibrations', { ...asked, flights: [] }).expect(422);
  expect(refused.body.detail).toContain('nothing to learn');
});

test('a kept fit comes back as it was made, lists leave out what grows, and a test is frozen by the current one', async () => {
  const items = async (path: string) => (await http().get(`/api/v1/${path}`).expect(200)).body.items;
  const [jay] = await items('aircraft');
  const battery = (await items('batteries')).find(
    (pack: { aircraftId: string }) => pack.aircraftId === jay.id,
  );
  const fit = await calibrated();
  const content = {
    aircraftId: jay.id,
    madeAt: '2026-11-26T09:00:00+00:00',
    basisState: 'b',
    flights: [{ id: 'x', state: 'y' }],
    fit,
  };
  const kept = (await post('fits', content).expect(201)).body;
  expect((await http().get(`/api/v1/fits/${kept.id}`).expect(200)).body).toMatchObject(content);
  const [listed] = await items('fits');
  expect(listed.fit.posterior).toEqual(fit.posterior);
  expect(listed.fit.flights).toBeUndefined();
  const { id, version, createdAt: _c, updatedAt: _u, ...spec } = jay;
  await http()
    .put(`/api/v1/aircraft/${id}`)
    .send({ ...spec, currentFitId: kept.id, version })
    .expect(200);
  const test = { pattern: 'low-hover', heightM: 5, startCharge: 0.98, endCharge: 0.2, durationS: 921 };
  const flight = {
    aircraftId: jay.id,
    batteryId: battery.id,
    flownAt: '2026-11-26T10:00:00+00:00',
    test,
    weather: jayThatComesHome.conditions,
  };
  const made = (await post('test-flights', flight).expect(201)).body;
  expect(made.estimate.answer.basis).toEqual({ source: 'fit', fitId: kept.id, flights: 5 });
  const skewed = {
    ...fit,
    posterior: {
      ...fit.posterior,
      factor: fit.posterior.factor.map((row: number[]) => row.map((v) => 2 * v)),
    },
  };
  const refused = await post('fits', { ...content, fit: skewed }).expect(400);
  expect(refused.body.errors[0].path).toBe('fit.posterior.factor');
});
