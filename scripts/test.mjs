// npm test: everything that must hold, from a fresh clone. `npm run test:unit`, `test:browser` and `test:studies` are its parts;
// `npm run test:random` tries properties with a new seed. The last line counts the tests of all runners.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildIfStale, chromiumIfMissing, installIfStale, root } from './lib.mjs';

const reports = join(root, 'test-results', 'reports');
const bin = (command) => join(root, 'node_modules', '.bin', command);

const parts = { unit, studies, browser, random };
const asked = process.argv.slice(2);
const unknown = asked.find((name) => !(name in parts));
if (unknown) throw new Error(`There is no part “${unknown}”: ${Object.keys(parts).join(', ')}.`);
const names = asked.length > 0 ? asked : ['unit', 'studies', 'browser'];

installIfStale();
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });

const results = [];
for (const name of names) {
  const begun = performance.now();
  const { passed, failed } = sum(await parts[name]());
  results.push({ name, passed, failed, minutes: (performance.now() - begun) / 60_000 });
}
console.log();
for (const { name, passed, failed, minutes } of results)
  console.log(`${name}: ${minutes.toFixed(1)} min, ${passed} passed, ${failed} failed`);
const total = sum(results);
console.log(`${total.passed} passed, ${total.failed} failed`);
process.exit(total.failed === 0 ? 0 : 1);

/** Lint, types, layers and Jest. */
async function unit() {
  const checks = await inPairs([
    ['format and lint', bin('biome'), ['check', '.', '--error-on-warnings']],
    ...['core', 'server', 'web', 'e2e'].map((part) => [
      `types of ${part}`,
      bin('tsc'),
      ['--noEmit', '-p', part],
    ]),
    [
      'dependency rules',
      bin('depcruise'),
      ['--config', '.dependency-cruiser.cjs', 'core/src', 'server/src', 'web/src'],
    ],
  ]);
  return [...checks, jest()];
}

/** The short forms of studies that take minutes of numbers and need no test runner. */
function studies() {
  const study = (file, how) => [process.execPath, ['scripts/run-typescript.mjs', `bench/${file}.ts`, how]];
  return inPairs([
    ['calibration study, short', ...study('calibrationStudy', '30')],
    ['swap plan study, short', ...study('swapPlanStudy', 'short')],
  ]);
}

/** The built application, driven in a browser. */
function browser() {
  chromiumIfMissing();
  buildIfStale();
  const report = join(reports, 'playwright.json');
  const args = ['test', '--project', 'work', '--project', 'measure'];
  return [counted('playwright', args, { PLAYWRIGHT_JSON_OUTPUT_NAME: report }, report, playwrightCount)];
}

/** Jest with a seed that was not tried before, or with ACORN_TALLY_SEED again. */
function random() {
  const seed = process.env.ACORN_TALLY_SEED ?? String(Date.now() % 2 ** 31);
  console.log(`Seed: ${seed} (ACORN_TALLY_SEED=${seed} npm run test:random tries it again)`);
  return [jest({ ACORN_TALLY_HOSTILE: '10000', ...process.env, ACORN_TALLY_SEED: seed })];
}

function jest(env = {}) {
  const report = join(reports, 'jest.json');
  return counted('jest', ['--json', `--outputFile=${report}`], env, report, jestCount);
}

/** Two at a time; what each prints stands together, once it has ended. */
async function inPairs(commands) {
  const waiting = [...commands];
  const results = [];
  const work = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      const [name, program, args] = next;
      const { ok, output } = await ended(program, args);
      console.log(`\n› ${name}${ok ? '' : ': failed'}\n${output}`);
      results.push(ok ? { passed: 1, failed: 0 } : { passed: 0, failed: 1 });
    }
  };
  await Promise.all([work(), work()]);
  return results;
}

function ended(program, args) {
  const child = spawn(program, args, { cwd: root });
  let output = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (output += text));
  return new Promise((resolve) => {
    child.on('error', ({ message }) => resolve({ ok: false, output: message }));
    child.on('close', (code) => resolve({ ok: code === 0, output }));
  });
}

/** Runs a test runner and reads its report; a runner that breaks without one counts as a failure. */
function counted(command, args, env, report, count) {
  console.log(`\n› ${command} ${args.slice(0, 3).join(' ')}`);
  const all = { ...process.env, ...env };
  const isFine = spawnSync(bin(command), args, { cwd: root, stdio: 'inherit', env: all }).status === 0;
  if (!existsSync(report)) return { passed: 0, failed: 1 };
  const { passed, failed } = count(JSON.parse(readFileSync(report, 'utf8')));
  return { passed, failed: failed === 0 && !isFine ? 1 : failed };
}

function jestCount({ numPassedTests, numFailedTests, numRuntimeErrorTestSuites }) {
  return { passed: numPassedTests, failed: numFailedTests + numRuntimeErrorTestSuites };
}

function playwrightCount({ stats }) {
  return { passed: stats.expected + stats.flaky, failed: stats.unexpected };
}

function sum(results) {
  const of = (name) => results.reduce((total, one) => total + one[name], 0);
  return { passed: of('passed'), failed: of('failed') };
}
