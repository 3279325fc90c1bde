import config from '../jest.config.js';

const { globalSetup: _, ...unit } = config.projects.find(({ displayName }) => displayName === 'unit');

/** For tests that need no database: see tests-in-one.jest.ts. */
export default {
  ...unit,
  rootDir: '..',
  testMatch: ['<rootDir>/build/tests-in-one.jest.ts'],
  testTimeout: 60_000,
  testEnvironment: process.env.STOP_AT_FAILURE ? '<rootDir>/build/stops-at-failure.jest.js' : 'node',
};
