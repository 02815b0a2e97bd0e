// A zone in which the clocks change, so that tests of days can see it; the same on every machine.
process.env.TZ = 'Europe/London';

const COMPILED = {
  jsc: { parser: { syntax: 'typescript' }, target: 'es2022' },
  module: { type: 'es6' },
};

export default {
  testEnvironment: 'node',
  // Generous, for a machine that is busy with something else: no test is about time.
  testTimeout: 120_000,
  maxWorkers: 2,
  roots: [
    '<rootDir>/core',
    '<rootDir>/library',
    '<rootDir>/api',
    '<rootDir>/server',
    '<rootDir>/web',
    '<rootDir>/docs',
    '<rootDir>/tests/server',
    '<rootDir>/tests/house',
  ],
  testMatch: ['**/*.test.ts'],
  // Tests of components ask for `tests/support/jsdom.js` in their first line; Vue is then still the one for Node.
  testEnvironmentOptions: { customExportConditions: ['node', 'node-addons'] },
  moduleFileExtensions: ['ts', 'vue', 'js', 'mjs', 'cjs', 'json'],
  extensionsToTreatAsEsm: ['.ts', '.vue'],
  transform: {
    '^.+[.]ts$': ['<rootDir>/tests/support/transform.js', COMPILED],
    '^.+[.]vue$': ['<rootDir>/tests/support/vue-transform.js', COMPILED],
  },
};
