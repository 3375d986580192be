import 'reflect-metadata';
import request from 'supertest';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

const wind = { speedMps: 3, gustMps: null, fromDeg: 240, readingHeightM: 10 };
const place = {
  name: 'Hollin Fell dairy',
  elevationM: 620,
  coordinates: { latitudeDeg: 54.52, longitudeDeg: -2.81 },
  tallestM: 31,
  ceilingM: 120,
  obstacles: [{ name: 'chimney', distanceM: 150, widthM: 10, heightM: 31 }],
  landingPlaces: [{ name: 'lower gate', distanceM: 210, bearingDeg: 150 }],
  launchPlaces: [{ id: 'yard', name: 'yard', eastM: 0, northM: -12 }],
  below: 'water',
};
const day = {
  at: '2026-11-26T08:40:00.000Z',
  weather: { airTemperatureC: 5, wind },
  weatherFrom: { name: 'XPRA', practice: true },
  hours: [{ at: '2026-11-26T08:00:00.000Z', airTemperatureC: 4, relativeHumidity: 0.9, qnhHpa: null, wind }],
  hoursFrom: { name: 'fell.csv', practice: false },
};
const http = () => request(server.app.getHttpServer());
const first = async (path: string) => (await http().get(`/api/v1/${path}`).expect(200)).body.items[0];

test('a place and its day come back as they were sent, and a whole PUT empties what it leaves out', async () => {
  const { body: there } = await http().post('/api/v1/places').send(place).expect(201);
  expect(there).toMatchObject(place);
  const content = { ...day, placeId: there.id };
  const { body: made } = await http().post('/api/v1/days').send(content).expect(201);
  expect(made).toMatchObject(content);
  const { hours: _h, hoursFrom: _f, ...rest } = content;
  const { body: written } = await http()
    .put(`/api/v1/days/${made.id}`)
    .send({ ...rest, version: made.version })
    .expect(200);
  expect(written).toMatchObject({ ...rest, hours: null, hoursFrom: null });
});

test('a place is told with its zone, and is not removed under its days; a day not under its shoot', async () => {
  const { body } = await http().get('/api/v1/places').expect(200);
  expect(body.told[body.items[0].id]).toEqual({ timeZone: 'Europe/London' });
  const refused = await http().delete(`/api/v1/places/${body.items[0].id}`).expect(409);
  expect(refused.body.users).toEqual(['one day']);
  const shown = await http()
    .delete(`/api/v1/days/${(await first('days')).id}`)
    .expect(409);
  expect(shown.body.users).toEqual(['shoot Bringing the herd down, second day']);
});

test('a day at its place is read as one, ready for a calculation', async () => {
  const { body } = await http().get('/api/v1/conditions').expect(200);
  expect(body.items[0]).toMatchObject({
    place: 'Hollin Fell dairy',
    weather: { airTemperatureC: 5, elevationM: 620, roughnessM: 0.03 },
    site: { tallestM: 31 },
  });
  await http().post('/api/v1/conditions').send(body.items[0]).expect(404);
});

test('a lift-off card goes with its battery, and does not hold it', async () => {
  const battery = { ...(await first('batteries')), label: 'Spare' };
  const { id: _i, createdAt: _c, updatedAt: _u, version: _v, ...content } = battery;
  const { body: spare } = await http().post('/api/v1/batteries').send(content).expect(201);
  const card = { batteryId: spare.id, ticked: ['props', 'wind'] };
  const { body: made } = await http().post('/api/v1/lift-offs').send(card).expect(201);
  expect(made).toMatchObject(card);
  await http().delete(`/api/v1/batteries/${spare.id}`).expect(204);
  await http().get(`/api/v1/lift-offs/${made.id}`).expect(404);
});

test.each([
  ['places', 'ground that is not known', { below: 'lava' }, 'below'],
  [
    'places',
    'a thing without height',
    { obstacles: [{ name: 'x', distanceM: 1, widthM: 1 }] },
    'obstacles.0.heightM',
  ],
  [
    'places',
    'latitude out of range',
    { coordinates: { latitudeDeg: 95, longitudeDeg: 0 } },
    'coordinates.latitudeDeg',
  ],
  ['days', 'a source without a mark', { weatherFrom: { name: 'XPRA' } }, 'weatherFrom.practice'],
  ['days', 'an hour with no wind', { hours: [{ at: day.at, airTemperatureC: 3 }] }, 'hours.0.wind'],
  ['days', 'ground in the weather', { weather: { ...day.weather, elevationM: 5 } }, 'weather.elevationM'],
  ['lift-offs', 'a check that is not on the card', { ticked: ['luck'] }, 'ticked'],
])('%s: %s is refused with its path', async (path, _, change, field) => {
  const [{ id: placeId }, { id: batteryId }] = [await first('places'), await first('batteries')];
  const whole = { places: place, days: { ...day, placeId }, 'lift-offs': { batteryId, ticked: [] } }[path];
  const { body: problem } = await http()
    .post(`/api/v1/${path}`)
    .send({ ...whole, ...change })
    .expect(400);
  expect(problem.errors.map((error: { path: string }) => error.path)).toContain(field);
});
