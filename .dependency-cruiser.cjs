/** The direction of imports: web → core ← server, and in core each folder only from those above it. */
const coreFolders = [
  'units',
  'statistics',
  'air',
  'aircraft',
  'battery',
  'flight',
  'reserve',
  'belief',
  'estimate',
  'wayHome',
  'testFlights',
  'calibration',
  'swapPlan',
  'formats',
  'flightLog',
  'records',
  'requests',
];

const downward = coreFolders.map((folder, i) => ({
  name: `core-${folder}-imports-only-earlier-folders`,
  comment: 'A folder of core imports only folders before it; see docs/ARCHITECTURE.md.',
  severity: 'error',
  from: { path: `^core/src/${folder}/` },
  to: { path: `^core/src/(${[...coreFolders.slice(i + 1), 'index'].join('|')})` },
}));

/** The parts of the swap plan, each from those before it. */
const planFolders = ['request', 'physics', 'search', 'report'];
const planDownward = planFolders.slice(0, -1).map((folder, i) => ({
  name: `swap-plan-${folder}-imports-only-earlier-folders`,
  severity: 'error',
  from: { path: `^core/src/swapPlan/${folder}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/src/swapPlan/(${planFolders.slice(i + 1).join('|')})/` },
}));

/** The views of the interface; each is a chunk of its own, and none imports another. */
const views = ['minutes', 'wayHome', 'testFlights', 'swapPlan', 'kit', 'conditions', 'method', 'firstSteps'];
/** What views share, from the ground up; each folder imports only those before it, none a view. */
const webFolders = [
  'api',
  'workers',
  'records',
  'state',
  'theme',
  'fields',
  'parts',
  'charts',
  'answers',
  'flightClock',
];

module.exports = {
  forbidden: [
    ...downward,
    ...planDownward,
    {
      name: 'core-has-no-outward-imports',
      comment:
        'Core computes; it imports no server, no web, no Node, and only packages that read a format, know the sun, the shape of the earth, its time zones, or matrices.',
      severity: 'error',
      from: { path: '^core/src/', pathNot: '\\.test\\.ts$' },
      to: {
        pathNot:
          '^core/src/|node_modules/(papaparse|suncalc|geographiclib-geodesic|@date-fns/tz|@photostructure/tz-lookup|@types/papaparse|fast-xml-parser|ml-matrix|ical-generator)/',
      },
    },
    {
      name: 'web-and-server-do-not-import-each-other',
      severity: 'error',
      from: { path: '^(web|server)/src/' },
      to: { path: '^(web|server)/src/', pathNot: '^$1/src/' },
    },
    ...views.map((view) => ({
      name: `${view}-imports-no-other-view`,
      comment: 'What two views share stands in web/src/parts or answers; see docs/ARCHITECTURE.md.',
      severity: 'error',
      from: { path: `^web/src/${view}/` },
      to: { path: `^web/src/(app|${views.filter((other) => other !== view).join('|')})/` },
    })),
    ...webFolders.slice(0, -1).map((folder, i) => ({
      name: `${folder}-of-the-web-imports-only-earlier-folders`,
      severity: 'error',
      from: { path: `^web/src/${folder}/`, pathNot: '\\.test\\.tsx?$' },
      to: { path: `^web/src/(${webFolders.slice(i + 1).join('|')})/` },
    })),
    {
      name: 'shared-folders-import-no-view',
      severity: 'error',
      from: { path: `^web/src/(${webFolders.join('|')})/` },
      to: { path: `^web/src/(app|${views.join('|')})/` },
    },
    {
      name: 'only-the-database-folder-has-sql',
      comment: 'SQL stays in server/src/database.',
      severity: 'error',
      from: { path: '^server/src/', pathNot: '^server/src/database/' },
      to: { path: 'node_modules/(drizzle-orm|@libsql)/' },
    },
    {
      name: 'database-imports-no-http',
      comment: 'The database throws its own errors; http turns them into answers.',
      severity: 'error',
      from: { path: '^server/src/database/', pathNot: '\\.test\\.ts$' },
      to: { path: '^server/src/(http|records|calculations|practice|demo|testing)/' },
    },
    {
      name: 'no-circular-imports',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    {
      name: 'no-orphans',
      comment: 'A file that nobody imports is dead, or an entry.',
      severity: 'error',
      from: { orphan: true, pathNot: ['\\.test\\.tsx?$', '/main\\.tsx?$', '/worker\\.ts$', '\\.d\\.ts$'] },
      to: {},
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { extensions: ['.ts', '.tsx', '.js', '.mjs', '.json', '.css'] },
  },
};
