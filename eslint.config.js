import js from '@eslint/js';
import prettier from 'eslint-config-prettier';
import vue from 'eslint-plugin-vue';
import globals from 'globals';
import ts from 'typescript-eslint';
import { deniedWords } from './denied-words.js';

export default ts.config(
  { ignores: ['dist', 'data', 'node_modules', 'test-results', 'docs/plan.schema.json', '**/*.tmp.*'] },
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
      '@typescript-eslint/no-non-null-assertion': 'off',
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
