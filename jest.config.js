const swc = [
  '@swc/jest',
  {
    jsc: {
      parser: { syntax: 'typescript', tsx: true },
      transform: { react: { runtime: 'automatic' } },
      target: 'es2022',
    },
    module: { type: 'es6' },
  },
];

const shared = {
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  transform: {
    '/node_modules/': '<rootDir>/build/bound-globals.jest.js',
    '^.+\\.(t|j)sx?$': swc,
  },
  moduleNameMapper: { '\\.css$': '<rootDir>/build/no-styles.jest.js' },
  transformIgnorePatterns: ['/node_modules/(?!(drizzle-orm|@electric-sql/pglite|zod)/)'],
  modulePathIgnorePatterns: ['<rootDir>/dist/', '<rootDir>/data/', '<rootDir>/.cache/'],
};

export default {
  // What a test file leaves behind in its process (a context with all its modules) is never let go: a worker that has
  // run fifty of them holds gigabytes, and is three times slower than one that has run a few.
  workerIdleMemoryLimit: '300MB',
  projects: [
    {
      ...shared,
      displayName: 'unit',
      testMatch: ['<rootDir>/{build,core,contract,server,site,studio,demo}/**/*.test.{ts,tsx}'],
      globalSetup: '<rootDir>/server/db/template.jest.js',
      setupFiles: ['<rootDir>/build/property-seed.jest.ts'],
      setupFilesAfterEnv: ['<rootDir>/build/patience.jest.ts'],
    },
    { ...shared, displayName: 'browser', testMatch: ['<rootDir>/e2e/**/*.test.ts'] },
  ],
  // No test is about how fast this machine is today; one that hangs ends.
  testTimeout: 900_000,
};
