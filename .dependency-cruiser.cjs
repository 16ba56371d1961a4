/** Imports run one way: core ← contract ← server, core ← contract ← web, core ← cli. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: `^${from}/src`, pathNot: '\\.test\\.tsx?$|/testing/' },
  to: { path: '^(core|contract|server|web|cli|ops|demo|e2e)/', pathNot: `^(${allowed})/` },
});

/** Core's rooms from the ground up: each imports only rooms that stand before it. */
const ROOMS = [
  ...[
    'quantity',
    'codec',
    'explanation',
    'statics',
    'gear',
    'policy',
    'rating',
    'effort',
    'winch',
    'anchors',
    'hold',
    'hazards',
    'fatigue',
    'wear',
  ],
  ...[
    'inspections',
    'kits',
    'logbook',
    'rig',
    'resolved',
    'rigging',
    'layouts',
    'moment',
    'shock',
    'pull',
    'release',
    'judgement',
    'advice',
  ],
];
const roomsInOrder = ROOMS.slice(0, -1).map((room, index) => ({
  name: 'rooms-in-order',
  comment: `${room} stands before the room that it imports; see docs/architecture.md.`,
  severity: 'error',
  from: { path: `^core/src/${room}/`, pathNot: '\\.test\\.ts$' },
  to: { path: `^core/src/(${ROOMS.slice(index + 1).join('|')})/` },
}));

/** What finds a balance and what judges with it. */
const SOLVER =
  '^core/src/(statics/solve-network|moment/moment-at|pull/run-pull|judgement/judge|judgement/report/write-report|judging)\\.ts$';

module.exports = {
  forbidden: [
    only('core-imports-itself-only', 'core', 'core'),
    only('contract-imports-core-only', 'contract', 'contract|core'),
    only('server-imports-contract-and-core', 'server', 'server|contract|core'),
    only('web-imports-contract-and-core', 'web', 'web|contract|core'),
    only('cli-imports-core-only', 'cli', 'cli|core'),
    {
      name: 'core-is-pure',
      comment: 'No clock, randomness, input, output or framework in core.',
      severity: 'error',
      from: { path: '^core/src', pathNot: '\\.test\\.ts$' },
      to: { dependencyTypes: ['core', 'npm', 'npm-dev', 'npm-peer', 'npm-optional', 'npm-no-pkg', 'npm-unknown'] },
    },
    { name: 'no-cycles', severity: 'error', from: {}, to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } } },
    { name: 'no-circles', comment: 'Between files, of types too.', severity: 'error', from: {}, to: { circular: true } },
    { name: 'no-circles-of-folders', comment: 'Between folders.', severity: 'error', scope: 'folder', from: {}, to: { circular: true } },
    ...roomsInOrder,
    {
      name: 'rule-by-its-list',
      comment: 'Only the list of its theme imports a rule; what two rules share is a fact of the rig or the moment.',
      severity: 'error',
      from: { path: '^(core|contract|server|web|cli)/src', pathNot: '-rules\\.ts$|\\.test\\.ts$' },
      to: {
        path: '^core/src/judgement/rules/[^/]+/',
        pathNot:
          '/(\\w+-rules|fit-rule|ropes-on-pulleys|place-figures|operators|about-lanyard|strands-over-features|tow-ropes|run-ups|off-heading|trees|tipping|leg-angles|standing-vehicles)\\.ts$',
      },
    },
    {
      name: 'page-without-solver',
      comment: 'The page asks the worker; only the worker opens the judging door or runs the solver.',
      severity: 'error',
      from: { path: '^web/src', pathNot: 'solver\\.worker\\.ts$|\\.test\\.tsx?$' },
      to: { path: SOLVER },
    },
    {
      name: 'light-door-without-solver',
      comment: 'What the pages import stays without the solver, however many files lie between.',
      severity: 'error',
      from: { path: '^core/src/index\\.ts$' },
      to: { path: SOLVER, reachable: true },
    },
    {
      name: 'inside-core-no-door',
      comment: 'Inside a package import the file itself.',
      severity: 'error',
      from: { path: '^(core|contract)/src' },
      to: { path: '^$1/src/(index|judging)\\.ts$' },
    },
    {
      name: 'queries-in-repositories-only',
      severity: 'error',
      from: {
        path: '^server/src',
        pathNot:
          '(repository|mapper|migrate|team-database|schema)\\.ts$|/migrations/|/testing/|\\.test\\.ts$|health\\.controller|merge-register',
      },
      to: { path: 'node_modules/kysely' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: 'dist/|/generated/|\\.test\\.tsx?$|/testing/' },
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { conditionNames: ['source', 'import', 'default'], exportsFields: ['exports'] },
    tsPreCompilationDeps: true,
  },
};
