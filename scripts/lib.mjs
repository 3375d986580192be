// What the other scripts share. Only Node's own modules: this runs before anything is installed.
import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
const stamps = join(root, 'node_modules', '.acorn-tally');

/** Runs a command in the project's folder and stops the script if it fails. */
export function run(command, args, options = {}) {
  const { status } = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (status !== 0) process.exit(status ?? 1);
}

/** Starts a long-running command; it gets the same signals as we do. */
export function start(command, args, env = {}) {
  return spawn(command, args, { cwd: root, stdio: 'inherit', env: { ...process.env, ...env } });
}

/** Installs the packages unless the installed ones are those of the lock. */
export function installIfStale() {
  const lock = hashOf([join(root, 'package-lock.json')]);
  if (stampIs('installed', lock)) return;
  console.log('Installing packages …');
  run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error']);
  setStamp('installed', lock);
}

/** Builds server and web unless nothing they are made of has changed. */
export function buildIfStale() {
  const sources = [
    'package-lock.json',
    ...['core/src', 'server/src', 'web/src', 'web/public'].flatMap(filesUnder),
    ...['web/index.html', 'web/vite.config.ts', 'server/vite.config.ts'],
  ].map((file) => join(root, file));
  const hash = hashOf(sources);
  const built = ['server/dist/main.js', 'web/dist/index.html'].every((file) => existsSync(join(root, file)));
  if (built && stampIs('built', hash)) return;
  console.log('Building …');
  for (const part of ['server', 'web']) {
    run(join(root, 'node_modules/.bin/vite'), ['build', '--logLevel', 'warn'], { cwd: join(root, part) });
  }
  setStamp('built', hash);
}

/** Debian's Chromium for the browser tests and screenshots; installed when it is missing and we may. */
export function chromiumIfMissing() {
  if (existsSync('/usr/bin/chromium')) return;
  if (process.getuid?.() !== 0) {
    console.error('The browser tests need /usr/bin/chromium: install Debian’s package "chromium".');
    process.exit(1);
  }
  console.log('Installing Chromium …');
  run('apt-get', ['update', '-qq']);
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
    stdio: ['ignore', 'ignore', 'inherit'],
  });
}

function filesUnder(folder) {
  return readdirSync(join(root, folder), { recursive: true })
    .map((name) => join(folder, name))
    .filter((file) => statSync(join(root, file)).isFile())
    .filter((file) => !/\.test\.tsx?$/.test(file))
    .sort();
}

function hashOf(files) {
  const hash = createHash('sha256');
  for (const file of files) hash.update(file).update(readFileSync(file));
  return hash.digest('hex');
}

function stampIs(name, value) {
  const file = join(stamps, name);
  return existsSync(file) && readFileSync(file, 'utf8') === value;
}

function setStamp(name, value) {
  mkdirSync(stamps, { recursive: true });
  writeFileSync(join(stamps, name), value);
}
