import 'reflect-metadata';
import Ajv from 'ajv';
import addFormats from 'ajv-formats';
import request from 'supertest';
import { jayOnTheFell } from '../../../core/fixtures/jay';
import { startTestServer, type TestServer } from '../testing/testServer';

interface Operation {
  readonly responses: Readonly<
    Record<string, { readonly content?: Readonly<Record<string, { schema: object }>> }>
  >;
}
interface Document {
  readonly paths: Readonly<Record<string, Readonly<Record<string, Operation>>>>;
  readonly components: { readonly schemas: Readonly<Record<string, object>> };
}

let server: TestServer;
let document: Document;
beforeAll(async () => {
  server = await startTestServer();
  document = (await http().get('/api/v1/openapi.json').expect(200)).body;
});
afterAll(() => server.close());
const http = () => request(server.app.getHttpServer());

/** One line for each part of each endpoint and form, so that a difference is read at a glance. */
function inLines({ paths, components }: Document): string[] {
  const lines = (name: string, parts: object) =>
    Object.entries(parts).map(([part, value]) => `${name} ${part}: ${JSON.stringify(value)}`);
  return [
    ...Object.entries(paths).flatMap(([path, operations]) =>
      Object.entries(operations).flatMap(([method, operation]) => lines(`${method} ${path}`, operation)),
    ),
    ...Object.entries(components.schemas).flatMap(([name, schema]) => {
      const { properties = {}, ...rest } = schema as { readonly properties?: object };
      return [...lines(name, rest), ...lines(`${name}.`, properties)];
    }),
  ];
}

test('the document is what it was: a change of it is a change for programs, and is seen in review', () => {
  expect(inLines(document).join('\n')).toMatchSnapshot();
});

test('every endpoint says what it answers, and which problems', () => {
  for (const [path, operations] of Object.entries(document.paths)) {
    for (const [method, { responses }] of Object.entries(operations)) {
      const fine = Object.entries(responses).find(([status]) => status.startsWith('2'));
      const schema = Object.values(fine?.[1].content ?? {})[0]?.schema;
      expect({ path, method, told: fine?.[0] === '204' || schema !== undefined }).toMatchObject({
        told: true,
      });
      expect(Object.keys(responses['503']?.content ?? {})).toHaveLength(1);
    }
  }
});

/** OpenAPI 3.0 says "nullable" where JSON Schema has a list of types (OpenAPI 3.0.3, 4.7.24). */
function asJsonSchema(schema: unknown): unknown {
  if (Array.isArray(schema)) return schema.map(asJsonSchema);
  if (typeof schema !== 'object' || schema === null) return schema;
  const { nullable, ...rest } = schema as { nullable?: boolean };
  const inner = Object.fromEntries(Object.entries(rest).map(([name, part]) => [name, asJsonSchema(part)]));
  return nullable === true ? { anyOf: [inner, { type: 'null' }] } : inner;
}

const { aircraft, battery, conditions, flight, policy } = jayOnTheFell;
const asked = { aircraft, battery, conditions, policy, draws: 16 };
const position = { distanceM: 380, bearingDeg: 60, heightM: 60, charge: 0.41 };
const obstacles = [{ name: 'chimney', distanceM: 150, widthM: 30, heightM: 31 }];
const gale = { ...conditions, wind: { speedMps: 12, gustMps: 15, fromDeg: 240, readingHeightM: 10 } };

test.each([
  ['get', '/places', null],
  ['get', '/days', null],
  ['get', '/aircraft', null],
  ['get', '/batteries', null],
  ['get', '/chargers', null],
  ['get', '/test-flights', null],
  ['get', '/shoots', null],
  ['get', '/plans', null],
  ['get', '/lift-offs', null],
  ['get', '/health', null],
  ['post', '/estimates', { ...asked, flight }],
  ['post', '/returns', { ...asked, position, obstacles, below: 'water' }],
  ['post', '/returns', { ...asked, position, conditions: gale }],
  ['post', '/reaches', { ...asked, position }],
  ['get', '/practice/weather-station?day=2026-11-26&elevationM=620&latitudeDeg=54.5&longitudeDeg=-2.8', null],
] as const)('%s %s answers as the document says', async (method, path, body) => {
  const ajv = new Ajv({ strict: false, allErrors: true });
  addFormats(ajv);
  const answer = await http()
    [method](`/api/v1${path}`)
    .send(body ?? undefined)
    .expect(200);
  const operation = document.paths[`/api/v1${path.split('?')[0]}`]?.[method];
  const schema = operation?.responses['200']?.content?.['application/json']?.schema;
  const whole = asJsonSchema({ ...schema, components: document.components }) as object;
  const validate = ajv.compile(whole);
  validate(answer.body);
  expect(validate.errors ?? []).toEqual([]);
});
