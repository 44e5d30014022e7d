/** Two projects: the core and other units run alone; integration tests get a throwaway PostgreSQL. */
const transform = {
  '^.+\\.tsx?$': [
    '@swc/jest',
    {
      jsc: {
        parser: { syntax: 'typescript', tsx: true, decorators: true },
        transform: { legacyDecorator: true, react: { runtime: 'automatic' } },
        target: 'es2022',
      },
    },
  ],
};
const common = {
  rootDir: __dirname,
  testEnvironment: 'node',
  transform,
  moduleNameMapper: { '^@/(.*)$': '<rootDir>/src/$1' },
  modulePathIgnorePatterns: ['<rootDir>/.next', '<rootDir>/.data'],
  // Test files run in a context of their own, in which what is global is slow to find: geometry calls these all the time.
  sandboxInjectedGlobals: ['Math', 'Array', 'Number', 'Map', 'Set'],
};

module.exports = {
  projects: [
    {
      ...common,
      displayName: 'unit',
      testMatch: ['<rootDir>/{src,scripts}/**/*.test.ts?(x)'],
      testPathIgnorePatterns: ['\\.integration\\.test\\.ts$'],
    },
    {
      ...common,
      displayName: 'integration',
      testMatch: ['<rootDir>/{src,tests,scripts}/**/*.integration.test.ts'],
      globalSetup: '<rootDir>/tests/support/database.setup.ts',
      globalTeardown: '<rootDir>/tests/support/database.teardown.ts',
    },
  ],
  // One for each core; what takes long begins first.
  maxWorkers: 2,
  testSequencer: require.resolve('./tests/support/longestFirst.mjs'),
  testTimeout: 60000,
};
