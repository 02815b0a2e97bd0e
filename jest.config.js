export default {
  testEnvironment: 'node',
  // Generous, for a machine that is busy with something else: no test is about time.
  testTimeout: 30_000,
  maxWorkers: 2,
  roots: [
    '<rootDir>/core',
    '<rootDir>/library',
    '<rootDir>/api',
    '<rootDir>/server',
    '<rootDir>/web',
    '<rootDir>/docs',
    '<rootDir>/tests/server',
  ],
  testMatch: ['**/*.test.ts'],
  extensionsToTreatAsEsm: ['.ts'],
  transform: {
    '^.+\\.ts$': [
      '<rootDir>/tests/support/transform.js',
      {
        jsc: { parser: { syntax: 'typescript' }, target: 'es2022' },
        module: { type: 'es6' },
      },
    ],
  },
};
