/** Imports run one way: core ← contract ← server, core ← contract ← web, core ← cli. */
const only = (name, from, allowed) => ({
  name,
  severity: 'error',
  from: { path: `^${from}/src`, pathNot: '\\.test\\.tsx?$|/testing/' },
  to: { path: '^(core|contract|server|web|cli|ops|demo|e2e)/', pathNot: `^(${allowed})/` },
});

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
    {
      name: 'page-without-solver',
      comment: 'The page asks the worker; only the worker runs the solver.',
      severity: 'error',
      from: { path: '^web/src', pathNot: 'solver\\.worker\\.ts$' },
      to: { path: '^core/src/(statics/solve|judgement/(judge|assess)\\.ts)' },
    },
    {
      name: 'inside-core-no-door',
      comment: 'Inside a package import the file itself.',
      severity: 'error',
      from: { path: '^(core|contract)/src' },
      to: { path: '^$1/src/index\\.ts$' },
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
    exclude: { path: 'dist/|/generated/' },
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: { conditionNames: ['source', 'import', 'default'], exportsFields: ['exports'] },
    tsPreCompilationDeps: true,
  },
};
