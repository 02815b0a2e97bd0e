import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import globals from 'globals';
import ts from 'typescript-eslint';
import { castThroughUnknown, deniedWords } from './denied-words.js';

/** Code that walks arrays of numbers by indices it has computed, where a check of each look would only be noise. */
const NUMERIC_KERNELS = [
  'core/body/**',
  'core/breath/{fit,measure}.ts',
  'core/exchange/captions/{best-of-rows,class-chain,evidence,semi-markov}.ts',
  'core/fit/{fit,price,ways,bounds}.ts',
  'core/knapsack/**',
  'core/numbers/**',
  'core/order/**',
  'core/props/moves.ts',
  'core/review/forecast.ts',
  'core/run/catch-up.ts',
];
/** In a test, what is not there fails the test, which is all that a check could do. */
const TESTS = ['**/*.test.ts', 'tests/**', 'bench/**'];

/** Rules that need types: what is checked by them, and by which project. */
const typed = (files, ignores, project, more = {}) => ({
  files,
  ignores,
  languageOptions: { parserOptions: { project, tsconfigRootDir: import.meta.dirname, ...more } },
  rules: {
    '@typescript-eslint/no-floating-promises': 'error',
    '@typescript-eslint/no-unnecessary-condition': 'error',
  },
});

export default ts.config(
  {
    ignores: [
      'dist',
      'data',
      'node_modules',
      'test-results',
      'docs/plan.schema.json',
      'web/public/handout',
      '**/*.tmp.*',
    ],
  },
  js.configs.recommended,
  ...ts.configs.strict,
  ...vue.configs['flat/recommended'],
  {
    files: ['**/*.vue'],
    languageOptions: { parserOptions: { parser: ts.parser } },
  },
  {
    languageOptions: { globals: { ...globals.node, ...globals.browser } },
    rules: {
      '@typescript-eslint/consistent-type-imports': 'error',
      '@typescript-eslint/no-redeclare': 'off',
      'no-redeclare': 'off',
      'no-undef': 'off',
      'no-console': 'off',
      eqeqeq: 'error',
      'no-restricted-syntax': deniedWords,
      'vue/multi-word-component-names': 'off',
      'vue/require-default-prop': 'off',
      'vue/one-component-per-file': 'error',
    },
  },
  typed(['**/*.ts'], ['web/**'], 'tsconfig.json'),
  typed(['web/**/*.test.ts'], [], 'tsconfig.json'),
  typed(['web/**/*.ts', 'web/**/*.vue'], ['**/*.test.ts'], 'web/tsconfig.json', { extraFileExtensions: ['.vue'] }),
  {
    files: ['**/*.ts', '**/*.vue'],
    ignores: [...TESTS, 'web/sync/**'],
    rules: {
      'no-restricted-syntax': [...deniedWords, castThroughUnknown],
    },
  },
  { files: [...NUMERIC_KERNELS, ...TESTS], rules: { '@typescript-eslint/no-non-null-assertion': 'off' } },
  { files: ['core/**/*.ts', 'library/**/*.ts', 'api/**/*.ts'], rules: { 'no-console': 'error' } },
  {
    // The computation has no clock, no randomness and no place of its own: all three are passed in.
    files: ['core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': [
        'error',
        'window',
        'document',
        'process',
        'performance',
        'crypto',
        'fetch',
        'setTimeout',
        'setInterval',
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now' },
        { object: 'Math', property: 'random' },
      ],
    },
  },
  prettier,
);
