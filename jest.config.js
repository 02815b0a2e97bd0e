export default {
  testEnvironment: 'node',
  roots: [
    '<rootDir>/core',
    '<rootDir>/library',
    '<rootDir>/api',
    '<rootDir>/server',
    '<rootDir>/web',
    '<rootDir>/docs',
  ],
  testMatch: ['**/*.test.ts'],
  extensionsToTreatAsEsm: ['.ts'],
  transform: {
    '^.+\\.ts$': [
      '@swc/jest',
      {
        jsc: { parser: { syntax: 'typescript' }, target: 'es2022' },
        module: { type: 'es6' },
      },
    ],
  },
};
