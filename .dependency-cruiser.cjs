/** The allowed imports of docs/architecture.md, as rules. */
const only = (from, to, why) => ({
  name: `${from}-imports`,
  comment: why,
  severity: 'error',
  from: { path: `^src/${from}/`, pathNot: '\\.test\\.tsx?$' },
  to: { path: '^src/', pathNot: `^src/(${[from, ...to].join('|')})/` },
});

/** The rooms of core in their order: each uses only those before it. */
const ROOMS = [
  'base',
  'money',
  'ledger',
  'words',
  'files',
  'calendar',
  'company',
  'chart',
  'papers',
  'openings',
  'schedules',
  'statements',
  'proof',
  'access',
];
const inOrder = ROOMS.map((room, at) => ({
  name: `core-${room}`,
  comment: 'a room of core uses only rooms before it (docs/architecture.md)',
  severity: 'error',
  from: { path: `^src/core/${room}/`, pathNot: '(\\.test\\.ts$|/testing/)' },
  to: { path: '^src/core/', pathNot: `^src/core/(${ROOMS.slice(0, at + 1).join('|')})/` },
}));

module.exports = {
  forbidden: [
    ...inOrder,
    {
      name: 'core-has-rooms-only',
      comment: 'everything in core lies in a room',
      severity: 'error',
      from: {},
      to: { path: '^src/core/[^/]+\\.ts$' },
    },
    only('core', [], 'core is pure: it knows nothing of the rest'),
    only('store', ['core'], 'store is SQL and core types'),
    only(
      'actions',
      ['core', 'store', 'workers', 'print'],
      'use cases join core and store, have files read by the pool, and have documents printed',
    ),
    only('print', ['core'], 'a document becomes a PDF; what is in it was decided before'),
    {
      name: 'kernel-below-subjects',
      comment: 'what every use case is made with knows no subject but what is held of books',
      severity: 'error',
      from: { path: '^src/actions/kernel/' },
      to: { path: '^src/actions/(?!kernel/|frame/held-chart)' },
    },
    only('workers', ['core'], 'a worker is a thin shell around core'),
    only(
      'ui',
      ['core', 'actions', 'workers'],
      'components show; they reach the server through actions and heavy computation through workers',
    ),
    only('ask', ['core'], 'it answers without screen and database'),
    only('app', ['ui', 'actions', 'core', 'simulated'], 'pages are thin: ui and actions (and core types)'),
    only('simulated', [], 'a stand-in for an outside service knows nothing of the application'),
    {
      name: 'core-is-pure',
      comment: 'no React, Next.js, SQL, file system or network in core',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '\\.test\\.ts$' },
      to: {
        dependencyTypes: ['npm', 'core'],
        pathNot:
          'node_modules/(temporal-polyfill|iconv-lite|safer-buffer|pdfjs-dist|postal-mime|html-to-text|htmlparser2|domhandler|domutils|domelementtype|entities|@e965/xlsx|fflate|fastest-levenshtein|saxes|xmlchars|fast-xml-builder|temporal-utils|temporal-spec|@zxcvbn-ts)/',
      },
    },
    {
      name: 'sql-only-in-store',
      severity: 'error',
      from: { pathNot: '^(src/store|bench|tests|scripts)/' },
      to: { path: 'node_modules/(@electric-sql/pglite|pg)/' },
    },
    {
      name: 'no-cycles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    { name: 'not-to-unresolvable', severity: 'error', from: {}, to: { couldNotResolve: true } },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
