import 'reflect-metadata';
import {
  batteryStates,
  chargeMarkRanges,
  checkpointRanges,
  chemistries,
  keptPlaces,
  launchPlaceRanges,
  logSourceRanges,
  nameProblem,
  planRanges,
  type Quantity,
  ranges,
  shootRanges,
  shotRanges,
  signKinds,
  siteRanges,
  styles,
  testFlightRanges,
} from '@acorn-tally/core';
import fc from 'fast-check';
import request from 'supertest';
import { withRandom } from '../../../core/fixtures/seeds';
import { startTestServer, type TestServer } from '../testing/testServer';

let server: TestServer;
let aircraftId: string;
let batteryIds: string[];
let [placeId, dayId, chargerId] = ['', '', ''];
beforeAll(async () => {
  server = await startTestServer();
  const items = async (path: string) => (await http().get(`/api/v1/${path}`).expect(200)).body.items;
  const [jay] = await items('aircraft');
  aircraftId = jay.id;
  placeId = (await items('places'))[0].id;
  dayId = (await items('days'))[0].id;
  chargerId = (await items('chargers'))[0].id;
  batteryIds = (await items('batteries'))
    .filter((one: { aircraftId: string }) => one.aircraftId === aircraftId)
    .map((one: { id: string }) => one.id);
});
afterAll(() => server.close());

const http = () => request(server.app.getHttpServer());

/** A value of a quantity, its ends included; what is whole in its unit is whole. */
const of = (quantity: Quantity) => {
  const { min, max, siPerUnit, whole } = quantity;
  if (!whole) return fc.double({ min, max, noNaN: true }).map((value) => value + 0);
  const [least, most] = [Math.ceil(min / siPerUnit), Math.floor(max / siPerUnit)];
  return fc.integer({ min: least, max: most }).map((count) => count * siPerUnit);
};
const maybe = (quantity: Quantity) => fc.option(of(quantity));
const text = fc
  .string({ unit: 'grapheme', minLength: 1, maxLength: 40 })
  .filter((one) => one.trim() === one && nameProblem('', one) === null);
const instant = fc
  .record({
    ms: fc.integer({ min: Date.parse('2000-01-01T00:00:00Z'), max: Date.parse('2060-01-01T00:00:00Z') }),
    offset: fc.constantFrom('Z', '+11:00', '-03:30', '+05:45'),
  })
  .map(({ ms, offset }) => `${new Date(ms).toISOString().slice(0, 19)}${offset}`);

const wind = fc.record({
  speedMps: of(ranges.wind.speedMps),
  gustMps: maybe(ranges.wind.gustMps),
  fromDeg: of(ranges.wind.fromDeg),
  readingHeightM: of(ranges.wind.readingHeightM),
});
const air = {
  airTemperatureC: of(ranges.conditions.airTemperatureC),
  qnhHpa: maybe(ranges.conditions.qnhHpa),
  relativeHumidity: maybe(ranges.conditions.relativeHumidity),
  wind,
};
const ground = {
  elevationM: of(ranges.conditions.elevationM),
  roughnessM: maybe(ranges.conditions.roughnessM),
};
const weather = fc.record({ ...air, ...ground });
const pack = fc.record({
  ratedCapacityMah: of(ranges.battery.ratedCapacityMah),
  nominalVoltageV: of(ranges.battery.nominalVoltageV),
  cellCount: of(ranges.battery.cellCount),
  fullCellVoltageV: of(ranges.battery.fullCellVoltageV),
  chemistry: fc.option(fc.constantFrom(...chemistries)),
  cycles: maybe(ranges.battery.cycles),
  health: maybe(ranges.battery.health),
  startCharge: of(ranges.battery.startCharge),
  daysSinceCharge: maybe(ranges.battery.daysSinceCharge),
  startTemperatureC: maybe(ranges.battery.startTemperatureC),
});
const keeping = fc.record({
  state: fc.option(fc.constantFrom(...batteryStates)),
  chargedAt: fc.option(instant),
  keptAt: fc.option(fc.constantFrom(...keptPlaces)),
  boughtOn: fc.option(instant.map((at) => at.slice(0, 10))),
  notes: fc.option(text),
});

const contents: Record<string, fc.Arbitrary<object>> = {
  batteries: fc
    .record({ label: text, pack, keeping: fc.option(keeping) })
    .map((one) => ({ aircraftId, ...one })),
  places: fc.record({
    name: text,
    ...ground,
    coordinates: fc.option(
      fc.record({ latitudeDeg: of(siteRanges.latitudeDeg), longitudeDeg: of(siteRanges.longitudeDeg) }),
    ),
    timeZone: fc.option(fc.constantFrom('Europe/London', 'Australia/Sydney', 'Asia/Kathmandu')),
    tallestM: maybe(siteRanges.tallestM),
    ceilingM: maybe(siteRanges.ceilingM),
    launchPlaces: fc.option(
      fc.array(
        fc.record({
          id: fc.uuid(),
          name: text,
          eastM: of(launchPlaceRanges.eastM),
          northM: of(launchPlaceRanges.northM),
        }),
        { maxLength: 3 },
      ),
    ),
  }),
  days: fc
    .record({
      at: instant,
      weather: fc.record(air),
      hours: fc.option(fc.array(fc.record({ at: instant, ...air }), { maxLength: 4 })),
    })
    .map((one) => ({ placeId, ...one })),
  shoots: fc
    .record({
      name: text,
      startsAt: instant,
      swapTimeS: of(shootRanges.swapTimeS),
      swapParts: fc.option(
        fc.record({
          landS: of(planRanges.landS),
          changeS: of(planRanges.changeS),
          satellitesS: of(planRanges.satellitesS),
        }),
      ),
      moving: fc.option(fc.record({ speedMps: of(planRanges.speedMps), packUpS: of(planRanges.packUpS) })),
      shots: fc.array(
        fc.record({
          id: fc.uuid(),
          name: text,
          durationS: of(shotRanges.durationS),
          style: fc.constantFrom(...styles),
          distanceM: of(shotRanges.distanceM),
          bearingDeg: of(shotRanges.bearingDeg),
          heightM: of(shotRanges.heightM),
        }),
        { maxLength: 5 },
      ),
      policy: fc.record({
        kind: fc.constant('touch-down-charge'),
        reserveCharge: of(ranges.policy.reserveCharge),
      }),
    })
    .map((one) => ({ aircraftId, dayId, batteryIds, ...one })),
  'test-flights': fc
    .record({
      flownAt: instant,
      weather,
      note: fc.option(text),
      source: fc.option(
        fc.record({ name: text, hash: text, flightNumber: of(logSourceRanges.flightNumber) }),
      ),
      test: fc.record({
        pattern: fc.constantFrom('low-hover', 'circle', 'free-flying'),
        heightM: of(testFlightRanges.heightM),
        startCharge: fc.double({ min: 0.5, max: 1, noNaN: true }),
        endCharge: fc.double({ min: 0, max: 0.49, noNaN: true }),
        durationS: of(testFlightRanges.durationS),
        endTemperatureC: maybe(testFlightRanges.endTemperatureC),
        recording: fc.option(text),
        recordingLoadW: maybe(ranges.flight.recordingLoadW),
        addedMassKg: maybe(ranges.aircraft.addedMassKg),
        freshRotors: fc.option(fc.boolean()),
        checkpoints: fc.option(
          fc
            .array(
              fc.record({
                timeS: fc.double({ min: 0, max: 30, noNaN: true }).map((value) => value + 0),
                charge: of(checkpointRanges.charge),
                cellVoltageV: maybe(checkpointRanges.cellVoltageV),
                heightM: maybe(checkpointRanges.heightM),
                speedMps: maybe(checkpointRanges.speedMps),
                kind: fc.option(fc.constantFrom(...signKinds)),
              }),
              { maxLength: 6 },
            )
            .map((all) => all.sort((a, b) => a.timeS - b.timeS)),
        ),
      }),
    })
    .map((one) => ({ aircraftId, batteryId: batteryIds[0], ...one })),
  'timed-charges': fc
    .record({
      way: fc.constantFrom('hub', 'cable'),
      startedAt: instant,
      marks: fc
        .array(fc.record({ timeS: of(chargeMarkRanges.timeS), charge: of(chargeMarkRanges.charge) }), {
          minLength: 2,
          maxLength: 6,
        })
        .map((marks) => {
          const inOrder = (values: number[]) => values.sort((a, b) => a - b);
          const [times, charges] = [
            inOrder(marks.map(({ timeS }) => timeS)),
            inOrder(marks.map(({ charge }) => charge)),
          ];
          return times.map((timeS, i) => ({ timeS, charge: charges[i] }));
        }),
    })
    .map((one) => ({ chargerId, batteryId: batteryIds[0], ...one })),
};

/** Every number in it, by its path. */
function numbersIn(value: unknown, path: string[] = []): string[][] {
  if (typeof value === 'number') return [path];
  if (value === null || typeof value !== 'object') return [];
  return Object.entries(value).flatMap(([name, part]) => numbersIn(part, [...path, name]));
}
function withValue(content: unknown, [name, ...rest]: string[], value: unknown): unknown {
  if (name === undefined) return value;
  const part = (content as Record<string, unknown>)[name];
  const changed = withValue(part, rest, value);
  return Array.isArray(content)
    ? content.map((one, i) => (String(i) === name ? changed : one))
    : { ...(content as object), [name]: changed };
}

describe.each(Object.keys(contents))('%s', (path) => {
  const content = contents[path] as fc.Arbitrary<object>;
  const send = (body: object) => http().post(`/api/v1/${path}`).send(body);

  test.each(withRandom(71))(
    'whatever lies in its ranges comes back as it was sent, to the digit (seed %d)',
    async (seed) => {
      await fc.assert(
        fc.asyncProperty(content, async (body) => {
          const { body: made } = await send(body).expect(201);
          expect(made).toMatchObject(body);
          const { body: read } = await http().get(`/api/v1/${path}/${made.id}`).expect(200);
          expect(read).toMatchObject(body);
        }),
        { seed, numRuns: 12 },
      );
    },
  );

  test.each(withRandom(72))(
    'one number that cannot be is refused by its path, and nothing is kept (seed %d)',
    async (seed) => {
      const kept = async () => (await http().get(`/api/v1/${path}?limit=200`)).body.items.length;
      const before = await kept();
      const wrong = fc.constantFrom<unknown>(1e12, -1e12, '12', true, [], {}, 'NaN');
      await fc.assert(
        fc.asyncProperty(content, wrong, fc.nat(), async (body, value, which) => {
          const places = numbersIn(body);
          const place = places[which % places.length] as string[];
          const { body: problem } = await send(withValue(body, place, value) as object).expect(400);
          const named = problem.errors.map((error: { path: string }) => error.path);
          expect(named).toContain(place.join('.'));
          expect(JSON.stringify(problem)).not.toMatch(/at .*\.(ts|js):\d+/);
        }),
        { seed, numRuns: 12 },
      );
      expect(await kept()).toBe(before);
    },
  );
});

test.each([
  ['names', 'Jay\u00001', 'Name of the aircraft holds a control character'],
  ['invisible names', '\u0000', 'Name of the aircraft holds a control character'],
  ['broken lines', 'Jay\r\nEND:VCALENDAR', 'Name of the aircraft must stand on one line'],
  ['half characters', 'Jay \ud83c', 'Name of the aircraft holds half of a character'],
])('%s that would not come back as they were sent are refused in words', async (_what, name, message) => {
  const { body: jay } = await http().get(`/api/v1/aircraft/${aircraftId}`).expect(200);
  const { id: _i, createdAt: _c, updatedAt: _u, ...rest } = jay;
  const { body } = await http()
    .put(`/api/v1/aircraft/${aircraftId}`)
    .send({ ...rest, name })
    .expect(400);
  expect(body.errors[0].message).toContain(message);
});
