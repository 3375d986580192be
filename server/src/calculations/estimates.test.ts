import 'reflect-metadata';
import { beliefFrom, defaultDraws, estimateInFull, fromTheBox, writeInSi } from '@acorn-tally/core';
import request from 'supertest';
import { answered } from '../../../core/fixtures/answered';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const body = {
  aircraft: {
    kind: 'camera' as const,
    takeoffMassKg: 0.72,
    rotorCount: 4,
    advertisedFlightTimeS: 2160,
    advertisedSpeedMps: 7.5,
    advertisedHoverTimeS: null,
  },
  battery: {
    ratedCapacityMah: 3700,
    nominalVoltageV: 11.55,
    cellCount: 3,
    fullCellVoltageV: 4.4,
    startCharge: 0.98,
  },
  conditions: {
    airTemperatureC: 4,
    elevationM: 620,
    wind: { speedMps: 3, gustMps: 5, fromDeg: 240, readingHeightM: 10 },
  },
  flight: { heightM: 40, farthestM: 200, bearingDeg: 60, mix: [{ style: 'hover' as const, share: 1 }] },
  policy: { kind: 'touch-down-charge' as const, reserveCharge: 0.25 },
};

const post = (change: object) =>
  request(server.app.getHttpServer())
    .post('/api/v1/estimates')
    .send({ ...body, ...change });

test('the same answer as the core gives in the browser, to the last digit', async () => {
  const response = await post({}).expect(200);
  const ours = answered(estimateInFull(body, beliefFrom(fromTheBox, defaultDraws)));
  const cautions = ours.cautions.map(({ code, about, ...said }) =>
    expect.objectContaining({ code, about, message: writeInSi({ code, ...said }) }),
  );
  expect(response.body).toEqual({ ...JSON.parse(JSON.stringify(ours)), cautions });
  const { ledger, usableS } = response.body;
  const sum = ledger.reduce((total: number, line: { seconds: number }) => total + line.seconds, 0);
  expect(2160 + sum).toBe(Math.round(usableS.planned));
  expect(ledger.at(-1)).toEqual({
    cause: 'doubt',
    seconds: Math.round(usableS.planned) - Math.round(usableS.p50),
  });
});

test('the band: ordered, repeatable by its seed, and with as many draws as asked for', async () => {
  const ask = async (more: object) => (await post(more).expect(200)).body;
  const [one, again, other] = [
    await ask({ draws: 64, seed: 5 }),
    await ask({ draws: 64, seed: 5 }),
    await ask({ draws: 64, seed: 6 }),
  ];
  expect(again).toEqual(one);
  expect(other.usableS).not.toEqual(one.usableS);
  const { p10, p50, p90, planned } = one.usableS;
  expect([p10, p50, p90]).toEqual([p10, p50, p90].sort((a, b) => a - b));
  expect(planned).toBeLessThanOrEqual(p50);
  expect(one.chanceBelowReserve).toBeGreaterThanOrEqual(one.chanceImpossible);
  expect(one.sensitivity.length).toBeGreaterThan(0);
  expect(one.basis).toEqual({ source: 'box', flights: 0 });
});

test('legs instead of a mix, a pack that stood, and schools for tests are answered', async () => {
  const legs = [
    { style: 'hover', durationS: 60 },
    { style: 'normal', durationS: 45, trackDeg: 240 },
  ];
  const flown = await post({ flight: { ...body.flight, mix: [], legs }, draws: 16 }).expect(200);
  expect(new Set(flown.body.curve.map(({ powerW }: { powerW: number }) => powerW.toFixed(3))).size).toBe(2);
  const stood = await post({
    battery: { ...body.battery, startCharge: 1, daysSinceCharge: 1 },
    draws: 16,
  }).expect(200);
  expect(stood.body.takeoffCharge).toBeCloseTo(0.96, 6);
  const empty = await post({ policy: { kind: 'empty' }, draws: 16 }).expect(200);
  expect(empty.body.cautions.map(({ code }: { code: string }) => code)).toContain('test-only');
});

test.each([
  ['draws', { draws: 5 }, 'Draws must be from 16 to 4096, not 5.'],
  ['seed', { seed: 1.5 }, 'Seed must be a whole number, not 1.5.'],
  [
    'policy.confidence',
    { policy: { ...body.policy, confidence: 0.2 } },
    'Confidence must be from 50 to 99 %, not 20 %.',
  ],
  [
    'policy.reserveCharge',
    { policy: { ...body.policy, reserveCharge: 0.1 } },
    'Charge at touch-down must be from 15 to 70 %, not 10 %.',
  ],
  [
    'battery.daysSinceCharge',
    { battery: { ...body.battery, daysSinceCharge: -1 } },
    'Days since charged must be from 0 to 365 d, not -1 d.',
  ],
])('%s out of its range is refused with the range', async (path, change, message) => {
  const response = await post(change).expect(400);
  expect(response.body.errors).toEqual([expect.objectContaining({ path, message })]);
});

test('every wrong field is named with its path, message and what was received', async () => {
  const response = await post({
    battery: { ...body.battery, ratedCapacityMah: -2250, startCharge: 2 },
    aircraft: { ...body.aircraft, wings: 2, takeoffMassKg: 'light' },
  }).expect(400);
  expect(response.headers['content-type']).toContain('application/problem+json');
  expect(response.body).toMatchObject({ status: 400, title: expect.any(String), type: expect.any(String) });
  expect(response.body.errors).toEqual(
    expect.arrayContaining([
      { path: 'aircraft.wings', message: 'Unknown field “wings”.', received: 2 },
      { path: 'aircraft.takeoffMassKg', message: 'Take-off mass: a number is needed.', received: 'light' },
      {
        path: 'battery.ratedCapacityMah',
        message: 'Rated capacity must be from 100 to 60000 mAh, not -2250 mAh.',
        received: -2250,
      },
      {
        path: 'battery.startCharge',
        message: 'Start charge must be from 0 to 100 %, not 200 %.',
        received: 2,
      },
    ]),
  );
});

test('what cannot be flown is a 422 with its reason and numbers', async () => {
  const wind = { speedMps: 9, gustMps: 9, fromDeg: 240, readingHeightM: 40 };
  const response = await post({ conditions: { ...body.conditions, wind } }).expect(422);
  expect(response.body).toMatchObject({
    code: 'home-unreachable',
    numbers: { driftMps: expect.closeTo(1, 1) },
  });
});

test('nonsense bodies are refused, without a stack trace', async () => {
  for (const nonsense of ['', '[]', '"x"', '{', 'null']) {
    const response = await request(server.app.getHttpServer())
      .post('/api/v1/estimates')
      .set('content-type', 'application/json')
      .send(nonsense)
      .expect(400);
    expect(JSON.stringify(response.body)).not.toMatch(/\.ts|\.js|node_modules/);
  }
});

test('the OpenAPI document names the ranges of the core; unknown paths are a JSON 404', async () => {
  const http = request(server.app.getHttpServer());
  const { body: document } = await http.get('/api/v1/openapi.json').expect(200);
  expect(document.paths['/api/v1/estimates'].post).toBeDefined();
  expect(document.components.schemas.PackDto.properties.startCharge).toMatchObject({
    minimum: 0,
    maximum: 1,
  });
  const missing = await http.get('/api/v1/nothing').expect(404);
  expect(missing.headers['content-type']).toContain('application/problem+json');
});
