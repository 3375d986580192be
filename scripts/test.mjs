// npm test: everything that must hold, from a fresh clone. The last line counts the tests of all runners.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildIfStale, chromiumIfMissing, installIfStale, root } from './lib.mjs';

installIfStale();
chromiumIfMissing();
const reports = join(root, 'test-results', 'reports');
rmSync(reports, { recursive: true, force: true });
mkdirSync(reports, { recursive: true });

const bin = (command) => join(root, 'node_modules', '.bin', command);
/** The longest first: what comes after them fills the other core. */
const checks = await inPairs([
  ['calibration study, short', ...study('calibrationStudy', '30')],
  ['swap plan study, short', ...study('swapPlanStudy', 'short')],
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

const jest = counted(
  'jest.json',
  () => runs('jest', ['--json', `--outputFile=${join(reports, 'jest.json')}`]),
  jestCount,
);
buildIfStale();
const browser = counted(
  'playwright.json',
  () =>
    runs('playwright', ['test', '--project', 'work', '--project', 'measure'], {
      PLAYWRIGHT_JSON_OUTPUT_NAME: join(reports, 'playwright.json'),
    }),
  playwrightCount,
);

const parts = [...checks.map(({ passed }) => (passed ? [1, 0] : [0, 1])), jest, browser];
const [passed, failed] = parts.reduce(([p, f], [p2, f2]) => [p + p2, f + f2], [0, 0]);
for (const check of checks.filter((one) => !one.passed)) console.log(`Failed: ${check.name}`);
console.log(`${passed} passed, ${failed} failed`);
process.exit(failed === 0 ? 0 : 1);

/** Minutes of numbers, which need no test runner. */
function study(file, how) {
  return [process.execPath, ['scripts/run-typescript.mjs', `bench/${file}.ts`, how]];
}

/** Two at a time; what each says stands together, once it has ended. */
async function inPairs(commands) {
  const waiting = [...commands];
  const results = [];
  const work = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) {
      const [name, program, args] = next;
      const { passed, said } = await ended(program, args);
      console.log(`\n› ${name}\n${said}`);
      results.push({ name, passed });
    }
  };
  await Promise.all([work(), work()]);
  return results;
}

function ended(program, args) {
  const child = spawn(program, args, { cwd: root });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (said += text));
  return new Promise((resolve) => {
    child.on('error', ({ message }) => resolve({ passed: false, said: message }));
    child.on('close', (code) => resolve({ passed: code === 0, said }));
  });
}

function runs(command, args, env = {}) {
  console.log(`\n› ${command} ${args.slice(0, 3).join(' ')}`);
  const all = { ...process.env, ...env };
  return spawnSync(bin(command), args, { cwd: root, stdio: 'inherit', env: all }).status === 0;
}

/** Runs a test runner and reads its report; a runner that breaks without one counts as a failure. */
function counted(report, runner, count) {
  const fine = runner();
  const file = join(reports, report);
  if (!existsSync(file)) return [0, 1];
  const [p, f] = count(JSON.parse(readFileSync(file, 'utf8')));
  return [p, f === 0 && !fine ? 1 : f];
}

function jestCount(report) {
  return [report.numPassedTests, report.numFailedTests + report.numRuntimeErrorTestSuites];
}

function playwrightCount({ stats }) {
  return [stats.expected + stats.flaky, stats.unexpected];
}
