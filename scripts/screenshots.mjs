// npm run screenshots: the pictures of the README, taken anew from the example at 1280×800.
import { buildIfStale, chromiumIfMissing, installIfStale, run } from './lib.mjs';

installIfStale();
chromiumIfMissing();
buildIfStale();
run('node_modules/.bin/playwright', [
  'test',
  '--config',
  'playwright.config.ts',
  '--project',
  'screenshots',
  '--reporter',
  'line',
]);
