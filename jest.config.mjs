const swc = (decorators, react) => [
  '<rootDir>/scripts/jest-transform.mjs',
  {
    module: { type: 'commonjs' },
    jsc: {
      target: 'es2022',
      parser: { syntax: 'typescript', tsx: react, decorators },
      transform: {
        legacyDecorator: decorators,
        decoratorMetadata: decorators,
        react: { runtime: 'automatic' },
        useDefineForClassFields: !decorators,
      },
    },
  },
];

/** Packages that ship only ES modules are compiled as well. */
const compiled =
  '/node_modules/(?!(@nestjs|@date-fns|fast-check|pure-rand|drizzle-orm|@libsql|uuid|ml-[^/]+|is-any-array)/)';

export default {
  // Reckoning the example for a test server takes long on a busy machine, and no test is about time.
  testTimeout: 60_000,
  // By itself it leaves one core free, which of two is half.
  maxWorkers: '100%',
  projects: [
    {
      displayName: 'core',
      roots: ['<rootDir>/core'],
      transform: { '\\.[tj]s$': swc(false, false) },
      transformIgnorePatterns: [compiled],
    },
    {
      displayName: 'server',
      roots: ['<rootDir>/server'],
      transform: { '\\.m?[tj]s$': swc(true, false) },
      transformIgnorePatterns: [compiled],
    },
    {
      displayName: 'web',
      roots: ['<rootDir>/web'],
      moduleNameMapper: { '\\.css$': '<rootDir>/web/no-styles.cjs' },
      transform: { '\\.[tj]sx?$': swc(false, true) },
      transformIgnorePatterns: [compiled],
    },
  ],
};
