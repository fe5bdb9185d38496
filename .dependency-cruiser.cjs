/** Which way imports may point: core ← validation ← server, cli; core ← web; never sideways, never in circles. */
module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, dependencyTypesNot: ['type-only'] },
    },
    {
      name: 'core-stands-alone',
      severity: 'error',
      from: { path: '^packages/core/src', pathNot: '\\.test\\.ts$' },
      to: { pathNot: ['^packages/core/src', 'node_modules/@sinclair/typebox'] },
    },
    {
      name: 'validation-knows-only-core',
      severity: 'error',
      from: { path: '^packages/validation/src', pathNot: '\\.test\\.ts$' },
      to: { path: '^apps/' },
    },
    {
      name: 'apps-never-sideways',
      severity: 'error',
      from: { path: '^apps/([^/]+)/' },
      to: { path: '^apps/([^/]+)/', pathNot: '^apps/$1/' },
    },
    {
      name: 'core-models-do-not-know-plans',
      severity: 'error',
      comment: 'Models answer questions; only verdicts, fixes, drawing, bench, demo put them together.',
      from: {
        path: '^packages/core/src/(units|materials|adhesives|spread|clamps|mechanics)/',
        pathNot: '\\.test\\.ts$',
      },
      to: { path: '^packages/core/src/(verdicts|fixes|drawing|bench|demo|templates|assembly|sequence)/' },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '(/dist/|\\.d\\.ts$)' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
