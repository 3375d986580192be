import { execFile } from 'node:child_process';
import { copyFileSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { heavyPlans } from '../core/fixtures/heavyRequests';
import { expect, RunningApp, test } from './fixtures';

const run = promisify(execFile);
const newFolder = () => mkdtempSync(join(tmpdir(), 'acorn-tally-server-'));
const api = (app: RunningApp, path: string) => `${app.url}/api/v1/${path}`;

// Four of four quick stops left a .db without a table (26 Nov 2026); a terminal sends the signal twice.
test('stopped at once, or twice, the one file is all there is', async ({ request }) => {
  const app = new RunningApp();
  await app.start('--demo');
  app.signal('SIGINT');
  app.signal('SIGINT');
  expect(await app.stop()).toBe(0);
  const alone = newFolder();
  copyFileSync(join(app.dataFolder, 'acorn-tally.db'), join(alone, 'acorn-tally.db'));
  const copy = new RunningApp(alone);
  await copy.start();
  const { items } = await (await request.get(api(copy, 'batteries'))).json();
  expect(items).toHaveLength(12);
  await copy.remove();
  await app.remove();
});

test('one command makes a sound backup while the server runs and is written to; it overwrites nothing', async ({
  app,
  request,
}) => {
  const file = join(newFolder(), 'acorn-tally.db');
  const writing = Promise.all(
    Array.from({ length: 20 }, (_, i) =>
      request.post(api(app, 'places'), { data: { name: `Site ${i}`, elevationM: i } }),
    ),
  );
  const command = ['server/dist/main.js', '--backup', file];
  const env = { ...process.env, ACORN_TALLY_DATA: app.dataFolder };
  const { stdout } = await run(process.execPath, command, { env });
  expect(stdout).toContain('Backed up to');
  await writing;
  const again = await run(process.execPath, command, { env }).catch((error) => error);
  expect(again.stderr).toContain('name another for the backup');
  const copy = new RunningApp(join(file, '..'));
  await copy.start();
  expect((await (await request.get(api(copy, 'batteries'))).json()).items).toHaveLength(12);
  await copy.remove();
});

test('a sick database is refused in plain words, without a stack trace', async () => {
  const folder = newFolder();
  writeFileSync(join(folder, 'acorn-tally.db'), 'this is no database, whatever it is called');
  const env = { ...process.env, ACORN_TALLY_DATA: folder, PORT: '0' };
  const ended = await run(process.execPath, ['server/dist/main.js'], { env }).catch((error) => error);
  expect(ended.code).toBe(1);
  expect(ended.stderr.trim()).toMatch(/^Acorn Tally cannot start\. .* put a backup in its place\.$/);
});

test('however much is computed, health and records answer; what is too much is asked to come again', async ({
  app,
  request,
}) => {
  const first = async (path: string) => (await (await request.get(api(app, path))).json()).items[0];
  const [aircraft, battery, conditions] = [
    await first('aircraft'),
    await first('batteries'),
    await first('conditions'),
  ];
  const legs = Array.from({ length: 64 }, (_, i) => ({
    style: i % 2 ? 'hover' : 'normal',
    durationS: 5 + i,
  }));
  const heaviest = {
    aircraft: aircraft.spec,
    battery: { ...battery.pack, ratedCapacityMah: 60_000 },
    conditions: conditions.weather,
    flight: { ...aircraft.flight, mix: [], legs },
    policy: aircraft.policy,
    draws: 4096,
  };
  const giveUp = new AbortController();
  const compute = (signal?: AbortSignal) =>
    fetch(api(app, 'estimates'), {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(heaviest),
      signal,
    });
  const asked = Array.from({ length: 4 }, () => compute());
  const tookMs: number[] = [];
  for (let i = 0; i < 20; i++) {
    for (const path of ['health', 'batteries', 'places']) {
      const began = performance.now();
      expect((await request.get(api(app, path))).status()).toBe(200);
      tookMs.push(performance.now() - began);
    }
  }
  tookMs.sort((a, b) => a - b);
  console.log(
    `  while four of the heaviest are computed: median ${tookMs[30]?.toFixed(0)} ms, slowest ${tookMs.at(-1)?.toFixed(0)} ms`,
  );
  // More than can wait: some are told so at once. Aborted when the client disconnects.
  const refused = new Promise<Response>((resolve) => {
    for (let i = 0; i < 24; i++)
      compute(giveUp.signal).then(
        (one) => one.status === 503 && resolve(one),
        () => undefined,
      );
  });
  const full = await refused;
  expect(Number(full.headers.get('retry-after'))).toBeGreaterThan(0);
  giveUp.abort();
  for (const one of await Promise.all(asked)) expect(one.status).toBe(200);
});

test('while a shoot of a hundred takes is planned, an estimate is answered and a test flight is recorded', async ({
  app,
  request,
}) => {
  test.slow();
  const heavy = heavyPlans['100 shots, 40 packs, quick']?.();
  let isPlanned = false;
  const plan = request.post(api(app, 'swap-plans'), { data: heavy, timeout: 120_000 }).then((answer) => {
    isPlanned = true;
    return answer;
  });
  const items = async (path: string) => (await (await request.get(api(app, path))).json()).items;
  const [jay] = await items('aircraft');
  const [battery] = await items('batteries');
  const [flown] = await items('test-flights');
  const { policy, flight, spec } = jay;
  const estimate = await request.post(api(app, 'estimates'), {
    data: { aircraft: spec, battery: battery.pack, conditions: flown.weather, flight, policy },
  });
  expect(estimate.status()).toBe(200);
  const { aircraftId, batteryId, flownAt, test: content, weather } = flown;
  const recorded = await request.post(api(app, 'test-flights'), {
    data: { aircraftId, batteryId, flownAt, test: content, weather },
  });
  expect([recorded.status(), isPlanned]).toEqual([201, false]);
  const { id } = await recorded.json();
  const frozen = await (await request.get(api(app, `test-flights/${id}/estimate`))).json();
  expect(frozen.answer).not.toBeNull();
  const answer = await plan;
  expect(answer.status()).toBe(200);
  const { flights, complete } = await answer.json();
  expect([flights.flatMap(({ shots }: { shots: object[] }) => shots).length, complete]).toEqual([100, false]);
});

test('what is no file under the name of one, and the document in a form we do not give, are not there', async ({
  app,
  request,
}) => {
  const missing = await request.get(`${app.url}/assets/nothing`);
  expect(missing.status()).toBe(404);
  expect(missing.headers()['cache-control'] ?? '').not.toContain('immutable');
  expect((await request.get(`${app.url}/api/docs-yaml`)).status()).toBe(404);
  expect((await request.get(`${app.url}/api/v1/openapi.json`)).status()).toBe(200);
  expect((await request.get(`${app.url}/swap-plan`)).headers()['content-type']).toContain('text/html');
});
