/** `npm run mutants`: does a test fail when a law is changed? Not in `npm test`; its score is in CONTRIBUTING. */
export default {
  testRunner: 'jest',
  jest: { projectType: 'custom', configFile: 'scripts/jest-mutants.mjs', enableFindRelatedTests: false },
  coverageAnalysis: 'perTest',
  mutate: [
    'core/src/air/*.ts',
    'core/src/aircraft/*.ts',
    'core/src/swapPlan/search/rank.ts',
    '!**/*.test.ts',
  ],
  // Tables and ranges are run once when the file is loaded: to try them anew would start every test anew.
  ignoreStatic: true,
  reporters: ['clear-text', 'progress-append-only', 'json'],
  jsonReporter: { fileName: 'test-results/mutants.json' },
  clearTextReporter: { allowColor: false, logTests: false },
  tempDirName: '.cache/stryker',
  ignorePatterns: ['web', 'server', 'e2e', 'docs', 'test-results', '.git', 'data'],
  concurrency: 2,
  timeoutMS: 20_000,
};
