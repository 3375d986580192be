import 'reflect-metadata';
import request from 'supertest';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const wind = { speedMps: 3, gustMps: null, fromDeg: 240, readingHeightM: 10 };
const body = {
  place: 'Hollin Fell dairy',
  at: '2026-11-26T08:40:00.000Z',
  weather: { airTemperatureC: 5, elevationM: 620, wind },
  site: {
    coordinates: { latitudeDeg: 54.52, longitudeDeg: -2.81 },
    tallestM: 31,
    ceilingM: 120,
    obstacles: [{ name: 'chimney', distanceM: 150, widthM: 10, heightM: 31 }],
    landingPlaces: [{ name: 'lower gate', distanceM: 210, bearingDeg: 150 }],
    below: 'water',
  },
  weatherFrom: { name: 'XPRA', practice: true },
  hours: [{ at: '2026-11-26T08:00:00.000Z', airTemperatureC: 4, relativeHumidity: 0.9, qnhHpa: null, wind }],
  hoursFrom: { name: 'fell.csv', practice: false },
  liftOff: { batteryId: 'any', ticked: ['props', 'wind'] },
};
const send = (method: 'post' | 'put', path: string, content: object) =>
  request(server.app.getHttpServer())[method](`/api/v1/conditions${path}`).send(content);

test('place, hours, sources and lift-off card come back as they were sent, and a whole PUT empties what it leaves out', async () => {
  const { body: made } = await send('post', '', body).expect(201);
  expect(made).toMatchObject(body);
  const { liftOff: _l, hours: _h, hoursFrom: _f, ...rest } = body;
  const { body: written } = await send('put', `/${made.id}`, { ...rest, version: made.version }).expect(200);
  expect(written).toMatchObject({ ...rest, liftOff: null, hours: null, hoursFrom: null });
});

test.each([
  ['a check that is not on the card', { liftOff: { batteryId: 'any', ticked: ['luck'] } }, 'liftOff.ticked'],
  ['ground that is not known', { site: { below: 'lava' } }, 'site.below'],
  ['a source without a mark', { weatherFrom: { name: 'XPRA' } }, 'weatherFrom.practice'],
  [
    'a thing without height',
    { site: { obstacles: [{ name: 'x', distanceM: 1, widthM: 1 }] } },
    'site.obstacles.0.heightM',
  ],
  [
    'latitude out of range',
    { site: { coordinates: { latitudeDeg: 95, longitudeDeg: 0 } } },
    'site.coordinates.latitudeDeg',
  ],
  ['an hour with no wind', { hours: [{ at: body.at, airTemperatureC: 3 }] }, 'hours.0.wind'],
])('%s is refused with its path', async (_, change, path) => {
  const { body: problem } = await send('post', '', { ...body, ...change }).expect(400);
  expect(problem.errors.map((error: { path: string }) => error.path)).toContain(path);
});
