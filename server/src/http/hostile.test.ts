import 'reflect-metadata';
import { kinds, recordKinds } from '@acorn-tally/core';
import fc from 'fast-check';
import request from 'supertest';
import { jayOnTheFell } from '../../../core/fixtures/jay';
import { withRandom } from '../../../core/fixtures/seeds';
import { startTestServer, type TestServer } from '../testing/testServer';

/** `npm run test:random` sends more; ACORN_TALLY_HOSTILE=200000 npx jest server/src/http/hostile sends as many. */
const bodies = Number(process.env.ACORN_TALLY_HOSTILE ?? 2000);

type Json = null | boolean | number | string | Json[] | { [name: string]: Json };

let server: TestServer;
const sound: { path: string; body: Json; method: 'post' | 'put' }[] = [];
beforeAll(async () => {
  server = await startTestServer();
  await server.app.listen(0, '127.0.0.1');
  for (const { path } of kinds.map((kind) => recordKinds[kind])) {
    const [record] = (await http().get(`/api/v1/${path}`).expect(200)).body.items;
    if (!record) continue;
    const { id, createdAt: _c, updatedAt: _u, version, ...content } = record;
    sound.push({ path, body: content, method: 'post' });
    sound.push({ path: `${path}/${id}`, body: { ...content, version }, method: 'put' });
  }
  const { aircraft, battery, conditions, flight, policy } = jayOnTheFell;
  const asked = { aircraft, battery, conditions, policy, draws: 16 };
  const position = { distanceM: 380, bearingDeg: 60, heightM: 60, charge: 0.41 };
  sound.push({ path: 'estimates', body: { ...asked, flight } as unknown as Json, method: 'post' });
  for (const path of ['returns', 'reaches'])
    sound.push({ path, body: { ...asked, position } as unknown as Json, method: 'post' });
  sound.push({ path: 'swap-plans', body: smallShoot as unknown as Json, method: 'post' });
});
afterAll(() => server.close());

/** With one of everything that a plan may be asked for. */
const smallShoot = {
  startAt: '2026-11-26T07:30:00Z',
  endAt: '2026-11-26T10:00:00Z',
  order: 'free',
  effort: 'quick',
  draws: 16,
  aircraft: [{ id: 'jay', spec: jayOnTheFell.aircraft, returnHeightM: 40 }],
  batteries: [
    { ...jayOnTheFell.battery, id: 'one', aircraftId: 'jay', label: 'One', waitingTemperatureC: 15 },
  ],
  chargers: [{ id: 'hub', name: 'Hub', packsAtOnce: 1, emptyToFullS: 3240, fromAt: '2026-11-26T07:30:00Z' }],
  launchPlaces: [{ id: 'yard', name: 'Yard', eastM: 0, northM: 0 }],
  moving: { speedMps: 1.2, packUpS: 180 },
  swap: { landS: 30, changeS: 90, satellitesS: 60 },
  shots: [
    {
      id: 'a',
      name: 'A',
      durationS: 200,
      style: 'slow',
      distanceM: 90,
      bearingDeg: 60,
      heightM: 30,
      takes: 2,
    },
    {
      id: 'b',
      name: 'B',
      durationS: 100,
      style: 'hover',
      distanceM: 20,
      bearingDeg: 0,
      heightM: 10,
      after: ['a'],
      light: 'low-sun',
      pin: { batteryId: 'one', flightNumber: 1 },
    },
  ],
  locks: [{ flightNumber: 1, batteryId: 'one' }],
  coordinates: { latitudeDeg: 54.52, longitudeDeg: -2.81 },
  hours: [7, 8, 9, 10].map((hour) => ({
    at: `2026-11-26T${String(hour).padStart(2, '0')}:00:00Z`,
    ...jayOnTheFell.conditions,
  })),
  policy: jayOnTheFell.policy,
};

const http = () => request(server.app.getHttpServer());

const nested = (depth: number): Json =>
  depth === 0 ? 1 : depth % 2 ? [nested(depth - 1)] : { a: nested(depth - 1) };

/** What does not belong where it stands. */
const hostile = fc.oneof(
  fc.constantFrom<Json>(
    [],
    {},
    [[]],
    [null],
    [{}],
    null,
    true,
    '',
    '0',
    'NaN',
    -0,
    -1,
    1e-320,
    1e308,
    -1e308,
    2 ** 53,
    'x'.repeat(5000),
    '\u0000',
    '\ud800',
    '=1+1',
    "'; DROP TABLE aircraft; --",
    '2026-11-26T08:40:00Z',
    '9999-12-31T23:59:59-12:00',
    { toString: 1 },
    { constructor: { prototype: 1 } },
    { length: 3 },
  ),
  fc.constantFrom(nested(20), nested(40), Array(2000).fill(0) as Json, Array(300).fill({}) as Json),
  fc.jsonValue({ maxDepth: 3 }) as fc.Arbitrary<Json>,
);
const names = fc.constantFrom(
  '__proto__',
  'constructor',
  'id',
  'version',
  'toString',
  'then',
  'hours',
  'legs',
  '',
  'a.b',
);

/** Some place in a body, by falling through it. */
function changed(body: Json, steps: readonly number[], change: (at: Json) => Json): Json {
  const [step, ...rest] = steps;
  if (step === undefined || typeof body !== 'object' || body === null) return change(body);
  const keys = Object.keys(body);
  if (keys.length === 0) return change(body);
  const key = keys[step % keys.length] as string;
  if (Array.isArray(body))
    return body.map((part, i) => (String(i) === key ? changed(part, rest, change) : part));
  return { ...body, [key]: changed(body[key] as Json, rest, change) };
}

const attack = fc.record({
  which: fc.nat(1000),
  changes: fc.array(
    fc.record({
      steps: fc.array(fc.nat(40), { maxLength: 5 }),
      how: fc.constantFrom('replace', 'add', 'drop', 'double'),
      value: hostile,
      name: names,
    }),
    { minLength: 1, maxLength: 3 },
  ),
});

function attacked(body: Json, { changes }: { changes: readonly Change[] }): Json {
  return changes.reduce((so, { steps, how, value, name }) => {
    const change = (at: Json): Json => {
      if (how === 'replace') return value;
      if (how === 'double') return [at, at];
      if (typeof at !== 'object' || at === null || Array.isArray(at)) return value;
      if (how === 'add') return Object.assign(Object.create(null), at, { [name]: value });
      return Object.fromEntries(Object.entries(at).slice(1));
    };
    return changed(so, steps, change);
  }, body);
}

interface Change {
  readonly steps: readonly number[];
  readonly how: string;
  readonly value: Json;
  readonly name: string;
}

test.each(withRandom(41))(
  `${bodies} hostile bodies: each is taken or refused in words, none breaks anything (seed %d)`,
  async (seed) => {
    let taken = 0;
    const refused = new Set<number>();
    await fc.assert(
      fc.asyncProperty(fc.array(attack, { minLength: 50, maxLength: 50 }), async (attacks) => {
        await Promise.all(
          attacks.map(async (one) => {
            const { path, body, method } = sound[one.which % sound.length] as (typeof sound)[number];
            const text = JSON.stringify(attacked(body, one));
            const answer = await http()
              [method](`/api/v1/${path}`)
              .set('content-type', 'application/json')
              .send(text);
            const { status } = answer;
            if (status >= 500 && status !== 503)
              throw new Error(`${status} for ${method} ${path} ${text.slice(0, 2000)}`);
            if (status < 300) taken += 1;
            else refused.add(status);
            expect(answer.text.length).toBeLessThan(Math.max(200_000, 4 * text.length));
            expect(answer.text).not.toMatch(/node_modules|\.ts:\d/);
          }),
        );
      }),
      { seed, numRuns: Math.ceil(bodies / 50), endOnFailure: true },
    );
    // The attack reaches behind the door as well: some bodies are sound enough to be kept, and all of what is kept is read.
    expect(taken).toBeGreaterThan(bodies / 200);
    expect([...refused]).toContain(400);
    for (const { path } of kinds.map((kind) => recordKinds[kind])) {
      const { body } = await http().get(`/api/v1/${path}`).expect(200);
      expect(body.damaged).toEqual([]);
    }
    await http().get('/api/v1/health').expect(200);
  },
  600_000,
);

test.each(['%00', '%E0%A4%A', '..%2f..%2fetc', 'a'.repeat(5000), '%F0%9F%90%A6', "' OR 1=1"])(
  'an id of “%s” names nothing',
  async (id) => {
    for (const method of ['get', 'delete'] as const) {
      const { status } = await http()[method](`/api/v1/batteries/${id}`);
      expect([400, 404, 414]).toContain(status);
    }
  },
);

test('a list within a list of objects is refused: it would pass for the objects within it (seen 26 Nov 2026)', async () => {
  const { shots, batteries } = smallShoot;
  for (const list of [
    { shots: [shots] },
    { shots: [shots[0], []] },
    { batteries: [...batteries, batteries] },
  ]) {
    const [[field]] = Object.entries(list) as [[string, unknown]];
    const { body } = await http()
      .post('/api/v1/swap-plans')
      .send({ ...smallShoot, ...list })
      .expect(400);
    expect(body.errors[0]).toMatchObject({ path: field, message: `${field} needs a list of objects.` });
  }
});
