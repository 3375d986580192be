import 'reflect-metadata';
import fc from 'fast-check';
import request from 'supertest';
import { withRandom } from '../core/fixtures/seeds';
import { PretendServer } from '../web/src/testing/pretendServer';
import { startTestServer, type TestServer } from './src/testing/testServer';

/** The stand-in that the browser's sync tests trust does what the server does. */

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

interface Step {
  readonly method: 'GET' | 'POST' | 'PUT' | 'DELETE';
  readonly path: string;
  readonly body?: object;
  readonly key?: string;
}

/** What a client goes by: the status, and of records their id, version, and whether one of that id was deleted. */
interface Heard {
  readonly status: number;
  readonly records: readonly string[];
  readonly removed: boolean;
}

async function askServer({ method, path, body, key }: Step): Promise<Heard> {
  const http = request(server.app.getHttpServer());
  const verb = method.toLowerCase() as 'get' | 'post' | 'put' | 'delete';
  const asked = http[verb](`/api/v1/${path}`).set(key ? { 'idempotency-key': key } : {});
  const answer = await (body ? asked.send(body) : asked);
  return heard(answer.status, answer.body);
}

async function askPretender(pretender: PretendServer, { method, path, body, key }: Step): Promise<Heard> {
  const headers = key ? { 'idempotency-key': key } : {};
  const init = { method, body: body ? JSON.stringify(body) : null, headers };
  const answer = await pretender.fetch(`/api/v1/${path}`, init as RequestInit);
  return heard(answer.status, answer.status === 204 ? {} : ((await answer.json()) as Body));
}

interface Body {
  readonly id?: string;
  readonly version?: number;
  readonly current?: Body;
  readonly removed?: boolean;
  readonly items?: readonly Body[];
}

function heard(status: number, { id, version, current, removed, items }: Body): Heard {
  const record = current ?? (id && version ? { id, version } : null);
  const all = items ?? (record ? [record] : []);
  const records = all.filter((one) => one.id?.startsWith('tried-')).map((one) => `${one.id} ${one.version}`);
  return { status, records: records.sort(), removed: removed === true };
}

const place = (name: string) => ({ name, elevationM: 620 });

/** Steps on two records, with the versions a client may have read; `run` keeps runs apart, since the server goes on. */
function steps(run: number): fc.Arbitrary<Step[]> {
  const id = fc.constantFrom(`tried-${run}-a`, `tried-${run}-b`);
  const version = fc.integer({ min: 1, max: 4 });
  const step: fc.Arbitrary<Step> = fc.oneof(
    fc.record({ id, key: fc.option(fc.constantFrom('one', 'two'), { nil: undefined }) }).map(
      ({ id: own, key }): Step => ({
        method: 'POST',
        path: 'places',
        body: { id: own, ...place('Made') },
        ...(key && { key: `make-${own}-${key}` }),
      }),
    ),
    fc.record({ id, version }).map(
      (one): Step => ({
        method: 'PUT',
        path: `places/${one.id}`,
        body: { ...place('Changed'), version: one.version },
      }),
    ),
    fc.record({ id, version: fc.option(version) }).map(
      (one): Step => ({
        method: 'DELETE',
        path: `places/${one.id}${one.version === null ? '' : `?version=${one.version}`}`,
      }),
    ),
    id.map((own): Step => ({ method: 'POST', path: `places/${own}/restore` })),
    fc.constant<Step>({ method: 'GET', path: 'places' }),
  );
  return fc.array(step, { minLength: 5, maxLength: 25 });
}

test.each(withRandom(20261202))(
  'any steps of a client are answered alike, to what it goes by (seed %d)',
  async (seed) => {
    const runs = Array.from(
      { length: 40 },
      (_, run) => fc.sample(steps(run), { numRuns: 1, seed: seed + run })[0],
    );
    const statuses = new Set<number>();
    for (const run of runs) {
      const pretender = new PretendServer();
      const told: string[] = [];
      for (const step of run ?? []) {
        const ours = await askServer(step);
        // A list of the server has what other runs left as well.
        const own = run?.[0] ? ownOf(run, ours) : ours;
        told.push(`${step.method} ${step.path} ${JSON.stringify(step.body ?? null)}`);
        expect({ told, ...(await askPretender(pretender, step)) }).toEqual({ told, ...own });
        statuses.add(ours.status);
      }
    }
    expect([...statuses].sort()).toEqual([200, 201, 204, 404, 409]);
  },
);

/** Of the records that were heard of those that this run is about. */
function ownOf(run: readonly Step[], { records, ...rest }: Heard): Heard {
  const about = JSON.stringify(run);
  return { ...rest, records: records.filter((one) => about.includes(`${one.split(' ')[0]}`)) };
}
