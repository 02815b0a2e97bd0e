import { expect, test } from '@jest/globals';
import { Linter } from 'eslint';
import { parser } from 'typescript-eslint';
// @ts-expect-error: plain JavaScript, as the linter reads it.
import { castThroughUnknown, deniedWords } from '../../denied-words.js';

const linter = new Linter();
const messagesFor = (code: string): string[] =>
  linter.verify(code, [{ rules: { 'no-restricted-syntax': deniedWords as never } }]).map(({ message }) => message);

test.each([
  ['const MOST_STEPS = 3;', 'MAX_ and MIN_'],
  ['const WayOut = { kind: 1 };', 'PropSolution'],
  ['function easierWays() {}', 'modifications'],
  ['import { keptList } from "x";', 'cachedList'],
  ['const PlanRoom = 1;', 'Page or View'],
  ['const told = words();', 'what it holds'],
  ['export const weeksSaid = 1;', 'InWords'],
  ['type = OwnEntry;', 'CustomEntry'],
])('%s is refused, with the word that is used instead', (code, instead) => {
  expect(messagesFor(code)[0]).toContain(instead);
});

test('what is called as it should be is left alone', () => {
  expect(messagesFor('const MAX_STEPS = 3; const roomy = mostly; class PlanPage {}')).toEqual([]);
});

test('a cast through unknown is refused, and a plain one is not', () => {
  const casts = (code: string): number =>
    linter.verify(code, [
      { languageOptions: { parser }, rules: { 'no-restricted-syntax': ['error', castThroughUnknown] } },
    ]).length;
  expect([
    casts('const a = b as unknown as number;'),
    casts('const a = b as unknown;'),
    casts('const a = b as number;'),
  ]).toEqual([1, 0, 0]);
});
