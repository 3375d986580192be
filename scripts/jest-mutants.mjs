import config from '../jest.config.mjs';

/** The tests that stand beside what `stryker.config.mjs` mutates: they must notice by themselves. */
export default {
  ...config.projects[0],
  testTimeout: config.testTimeout,
  rootDir: process.cwd(),
  testRegex: ['core/src/(air|aircraft)/[^/]*\\.test\\.ts$', 'core/src/swapPlan/search/rank\\.test\\.ts$'],
};
