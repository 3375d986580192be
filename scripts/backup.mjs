// npm run backup -- FILE: a sound copy of all that was entered, also while the server runs.
import { resolve } from 'node:path';
import { buildIfStale, installIfStale, root, run } from './lib.mjs';

const [file] = process.argv.slice(2);
if (file === undefined) {
  console.error('Name the file to back up to: npm run backup -- FILE');
  process.exit(1);
}
installIfStale();
buildIfStale();
run(process.execPath, ['server/dist/main.js', '--backup', resolve(process.env.INIT_CWD ?? root, file)]);
