/** Which way imports may point: core ← validation, words ← paper, archive ← server, cli, web; never sideways, never in circles. */
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
      name: 'words-know-only-core',
      severity: 'error',
      from: { path: '^packages/words/src', pathNot: '\\.test\\.ts$' },
      to: { path: '^(apps|packages/validation)/' },
    },
    {
      name: 'paper-knows-only-core-and-words',
      severity: 'error',
      from: { path: '^packages/paper/src', pathNot: '\\.test\\.ts$' },
      to: { path: '^(apps|packages/(validation|store))/' },
    },
    {
      name: 'archives-know-no-app-and-no-paper',
      severity: 'error',
      from: { path: '^packages/archive/src', pathNot: '\\.test\\.ts$' },
      to: { path: '^(apps|packages/paper)/' },
    },
    {
      name: 'apps-never-sideways',
      severity: 'error',
      from: { path: '^apps/([^/]+)/' },
      to: { path: '^apps/([^/]+)/', pathNot: '^apps/$1/' },
    },
    {
      name: 'web-foundations-know-no-pages',
      comment: 'What every page stands on asks no page.',
      severity: 'error',
      from: {
        path: '^apps/web/src/(quantities|parts|timeline|api|documents|drawing|frame)/',
        pathNot: '\\.test\\.tsx?$',
      },
      to: {
        path: '^apps/web/src/(builds|today|workspace|squeeze|order|glue|assembly|shop|sums|logbook|bench|verdicts|planner)/',
      },
    },
    {
      name: 'core-models-do-not-know-plans',
      severity: 'error',
      comment: 'Models answer questions; only the plan, and what stands on it, puts them together.',
      from: {
        path: '^packages/core/src/(units|materials|adhesives|air|bending|calendar|choice|clamps|geometry|mechanics|sequence|solids|spread)/',
        pathNot: '\\.test\\.ts$',
      },
      to: {
        path: '^packages/core/src/(assembly|kinds|templates|plan|verdicts|fixes|placing|drawing|bench|demo)/',
      },
    },
    {
      name: 'plans-do-not-know-what-stands-on-them',
      severity: 'error',
      comment: 'Fixes, placing, bench and drawing read a plan; a plan never asks them.',
      from: {
        path: '^packages/core/src/(formats|assembly|kinds|plan|verdicts)/',
        pathNot: '\\.test\\.ts$',
      },
      to: { path: '^packages/core/src/(fixes|placing|drawing|full-size|bench|demo|calculations)/' },
    },
    {
      name: 'kinds-and-documents-know-no-plan',
      severity: 'error',
      from: { path: '^packages/core/src/(formats|assembly|kinds)/', pathNot: '\\.test\\.ts$' },
      to: { path: '^packages/core/src/(plan|verdicts|templates)/' },
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
