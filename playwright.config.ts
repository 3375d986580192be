import { defineConfig } from '@playwright/test';

const chromium = {
  executablePath: '/usr/bin/chromium',
  args: [
    '--headless',
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
    '--lang=en-GB',
  ],
};

/** Debian's Chromium against the built application; each test has a server and data of its own (e2e/fixtures.ts). */
export default defineConfig({
  testDir: 'e2e',
  outputDir: 'test-results/playwright',
  workers: 2,
  fullyParallel: true,
  timeout: 180_000,
  // How fast it answers is measured elsewhere (npm run bench, *.measure.ts); a slow machine fails no test.
  expect: { timeout: 60_000 },
  reporter: [['list'], ['json']],
  use: {
    launchOptions: chromium,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    // Recorded always, it takes a third of the time; `--trace on` shows a test that fails.
    trace: 'off',
  },
  projects: [
    { name: 'work', testMatch: /.*\.spec\.ts/ },
    // Measures how the screen keeps up: alone on the machine, after all else, one by one.
    { name: 'measure', testMatch: /.*\.measure\.ts/, dependencies: ['work'], workers: 1 },
    { name: 'screenshots', testMatch: /screenshots\.ts/ },
  ],
});
