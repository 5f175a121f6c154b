/* Rooms of the core in the order the data walks: a room imports only from rooms before it. */
const ROOMS = [
  'faultKinds',
  'partKinds',
  'checkKinds',
  'vocabulary',
  'safety',
  'catalogueFiles',
  'text',
  'chance',
  'assumptions',
  'positions',
  'codes',
  'checks',
  'signal',
  'diagnosis',
  'fitment',
  'matching',
  'intake',
  'offers',
  'plan',
  'compare',
  'stock',
  'quote',
  'handover',
  'advice',
  'ledger',
  'contract',
  'practice',
];

const roomRules = ROOMS.slice(0, -1).map((room, i) => ({
  name: `core-${room}-imports-only-earlier-rooms`,
  comment: 'Imports in the core point one way, along the flow of the data.',
  severity: 'error',
  from: { path: `^packages/core/src/${room}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^packages/core/src/(${ROOMS.slice(i + 1).join('|')})/` },
}));

/* What each package may import of the others. Nothing else: a new one must be let in here. */
const PACKAGES = {
  core: [],
  // Its faults follow from physics: it must not learn from the tables it tries. Seeded chance alone.
  'bench-vehicle': ['core/src/doors/chance\\.ts$'],
  // The client of a device is what a real one would meet: standards, not our vehicle. Only the bench is ours, and its words.
  devices: ['core/src/doors/(bench|limits)\\.ts$'],
  'stand-ins': ['core/', 'bench-vehicle/', 'devices/', 'practice/'],
  practice: ['core/', 'bench-vehicle/'],
  web: ['core/'],
  // Practice runs in its threads, on a database of its own.
  server: ['core/', 'devices/', 'practice/'],
  cli: ['core/', 'server/src/backup/index\\.ts$'],
};
/* What its tests may import beside: a server is tried on devices that stand in. */
const TESTS_ALSO = { server: ['stand-ins/'] };
const TESTS = '(\\.test\\.ts$|/tests/)';
const mayKnow = (name, known) => ({
  path: '^packages/',
  pathNot: `^packages/(${[`${name}/`, ...known].join('|')})`,
});
const packageRules = Object.entries(PACKAGES).flatMap(([name, known]) => [
  {
    name: `${name}-knows-only-what-it-may`,
    severity: 'error',
    from: { path: `^packages/${name}/`, pathNot: TESTS },
    to: mayKnow(name, known),
  },
  {
    name: `tests-of-${name}-know-only-what-they-may`,
    severity: 'error',
    from: { path: `^packages/${name}/.*${TESTS}` },
    to: mayKnow(name, [...known, ...(TESTS_ALSO[name] ?? [])]),
  },
]);

module.exports = {
  forbidden: [
    ...roomRules,
    { name: 'no-circles', severity: 'error', from: {}, to: { circular: true } },
    {
      name: 'core-is-pure',
      comment: 'No React, Koa, database or Node in the core: it is pure computation.',
      severity: 'error',
      from: { path: '^packages/core/src/', pathNot: '(\\.test\\.ts$|/tests/)' },
      to: { dependencyTypes: ['core'] },
    },
    {
      name: 'core-packages',
      comment: 'The few packages the core may use.',
      severity: 'error',
      from: { path: '^packages/core/src/', pathNot: '(\\.test\\.ts$|/tests/)' },
      to: {
        path: 'node_modules',
        pathNot:
          'node_modules/(zod|i18next|pure-rand|dinero\\.js|chrono-node|damerau-levenshtein|@types/damerau-levenshtein|papaparse|@types/papaparse|csv-parse)/',
      },
    },
    ...packageRules,
    {
      name: 'web-ships-no-validator',
      comment:
        'The page takes words and types from the core, not its schemas: they would double the first load.',
      severity: 'error',
      from: { path: '^packages/web/src/', pathNot: '\\.test\\.' },
      to: { path: '^packages/core/src/index\\.ts$', dependencyTypesNot: ['type-only'] },
    },
    { name: 'not-unresolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
    {
      name: 'no-tests-in-code',
      severity: 'error',
      from: { pathNot: '(\\.test\\.tsx?$|^e2e|/tests/)' },
      to: { path: '(\\.test\\.tsx?$|/tests/)' },
    },
    {
      name: 'no-orphans',
      severity: 'error',
      from: {
        orphan: true,
        path: '^packages/[^/]+/src/',
        pathNot: '(main\\.tsx?|\\.d\\.ts|doors/\\w+\\.ts|\\.css)$',
      },
      to: {},
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(/dist/|\\.data/|^virtual:)' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      extensions: ['.ts', '.tsx', '.mjs', '.js', '.json', '.css'],
    },
  },
};
