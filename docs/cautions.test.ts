import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { builtInKnowledge, CONDITIONS, RULES } from '#library/cautions';
import { cautionsDocument, demandsDocument } from './cautions-table';

const text = readFileSync(join(process.cwd(), 'docs', 'cautions.md'), 'utf8');

test('the table for review is what the rules say (else: npm run docs:cautions)', () => {
  expect(cautionsDocument(builtInKnowledge)).toBe(text);
});

test('the page of what each position demands is what is measured (else: npm run docs:cautions)', () => {
  expect(demandsDocument(builtInKnowledge)).toBe(readFileSync(join(process.cwd(), 'docs', 'demands.md'), 'utf8'));
});

test('every rule and every condition stands in it with its reason', () => {
  for (const { reason, instead } of RULES) expect(text).toContain(`${reason} | ${instead.words}`);
  for (const { name } of CONDITIONS) expect(text).toContain(`### ${name}\n`);
});
