import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/** The core has one door for each room, the other packages one each; past a door nobody reaches. */
const deepImports = {
  regex: '^@lean-clasp/(core$|core/[^/]+/|(?!core/)[^/]+/)',
  message: 'Import from the index of a room of the core, or of the package.',
};

/** Described with by the core, parts of which are read in with the page. */
const wholeType = {
  group: ['@sinclair/typebox'],
  importNames: ['Type'],
  message: 'Take Type from basics/type: this one brings all of the package into the page.',
};

export default tseslint.config(
  {
    ignores: [
      '**/dist/',
      'node_modules/',
      'coverage/',
      'test-results/',
      'playwright-report/',
      '.demo-data/',
      '.dev-data/',
      // AssemblyScript, which its own compiler checks.
      'packages/core/assembly/',
    ],
  },
  js.configs.recommended,
  { files: ['**/*.mjs', '**/*.cjs'], languageOptions: { globals: globals.node } },
  // What runs inside the page that a script drives.
  {
    files: ['scripts/bench/*.mjs', 'scripts/screenshots.mjs'],
    languageOptions: { globals: globals.browser },
  },
  {
    files: ['**/*.{ts,tsx}'],
    extends: [tseslint.configs.recommendedTypeChecked],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-explicit-any': 'error',
      '@typescript-eslint/ban-ts-comment': ['error', { 'ts-expect-error': true }],
      '@typescript-eslint/switch-exhaustiveness-check': 'error',
      'no-restricted-imports': ['error', { patterns: [deepImports] }],
      'no-console': 'error',
    },
  },
  {
    files: ['packages/core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': ['error', { patterns: [deepImports, wholeType] }],
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'fetch',
        'process',
        'localStorage',
        'setTimeout',
        'performance',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now', message: 'The clock is passed in.' },
        { object: 'Math', property: 'random', message: 'Seeds are passed in.' },
      ],
    },
  },
  // One plan for every kind: what differs between kinds is said by the kind.
  {
    files: ['packages/*/src/**/*.ts', 'apps/*/src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}', 'packages/core/src/formats/upgrades/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            "BinaryExpression[operator=/^[!=]==$/]:has(> MemberExpression[property.name='template']):has(> Literal)",
          message: 'Ask the kind (findKind), not its name.',
        },
        {
          selector:
            "CallExpression[callee.property.name='includes'] > MemberExpression[property.name='template']",
          message: 'Ask the kind (findKind), not its name.',
        },
        {
          selector: "BinaryExpression[operator='in'][left.value=/^(facts|row|boards|panel)$/]",
          message: 'There is one plan and one document; a part that is not there is null.',
        },
      ],
    },
  },
  { files: ['apps/web/src/**/*.{ts,tsx}'], ...reactHooks.configs.flat.recommended },
  // Playwright reads the fixtures that a fixture needs off its first pattern, which may be empty.
  {
    files: ['e2e/**/*.ts'],
    rules: { 'no-empty-pattern': ['error', { allowObjectPatternsAsParameters: true }] },
  },
  prettier,
);
