const swc = (tsx) => [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx },
      transform: { react: { runtime: 'automatic' } },
      target: 'es2022',
    },
    module: { type: 'commonjs' },
  },
];

const shared = {
  transform: { '\\.tsx$': swc(true), '\\.ts$': swc(false) },
  testPathIgnorePatterns: ['/node_modules/', '/dist/'],
  // What is looked up in the global scope of a test costs many times what it does elsewhere; sums look these up all the time.
  sandboxInjectedGlobals: ['Math', 'Number', 'Array', 'Map', 'Object'],
};

// env-paths ships ES modules only.
const node = {
  ...shared,
  testEnvironment: 'node',
  transform: { ...shared.transform, 'node_modules/env-paths/.+\\.js$': swc(false) },
  transformIgnorePatterns: ['node_modules/(?!env-paths/)'],
};

export default {
  // A machine of two processors would otherwise leave one of them idle.
  maxWorkers: '100%',
  testTimeout: 60_000,
  projects: [
    {
      ...node,
      displayName: 'core',
      testMatch: ['<rootDir>/packages/**/*.test.ts'],
    },
    {
      ...node,
      displayName: 'server',
      testMatch: ['<rootDir>/apps/server/**/*.test.ts', '<rootDir>/apps/cli/**/*.test.ts'],
    },
    {
      ...shared,
      displayName: 'web',
      testEnvironment: '<rootDir>/apps/web/test/jsdom-environment.cjs',
      testMatch: ['<rootDir>/apps/web/**/*.test.{ts,tsx}'],
      setupFilesAfterEnv: ['<rootDir>/apps/web/test/setup.cjs'],
      // nanoid, which the calendar writer stands on, and the hook for shortcuts and the drawing in space ship ES modules only.
      transform: {
        ...shared.transform,
        'node_modules/(nanoid|react-hotkeys-hook|three)/.+\\.js$': swc(false),
      },
      transformIgnorePatterns: ['node_modules/(?!(nanoid|react-hotkeys-hook|three)/)'],
      moduleNameMapper: {
        '^@fontsource.*$': '<rootDir>/apps/web/test/nothing.cjs',
        '\\.css$': '<rootDir>/apps/web/test/nothing.cjs',
        '^three$': '<rootDir>/node_modules/three/build/three.module.js',
        '^@emotion/sheet$': '<rootDir>/apps/web/test/no-styles.cjs',
        '/workers$': '<rootDir>/apps/web/test/workers.ts',
      },
    },
  ],
};
