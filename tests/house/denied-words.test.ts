import { expect, test } from '@jest/globals';
import { Linter } from 'eslint';
// @ts-expect-error: plain JavaScript, as the linter reads it.
import { deniedWords } from '../../denied-words.js';

const linter = new Linter();
const said = (code: string): string[] =>
  linter.verify(code, [{ rules: { 'no-restricted-syntax': deniedWords as never } }]).map(({ message }) => message);

test.each([
  ['const MOST_STEPS = 3;', 'MAX_ and MIN_'],
  ['const WayOut = { kind: 1 };', 'PropSolution'],
  ['function easierWays() {}', 'modifications'],
  ['import { keptList } from "x";', 'cachedList'],
  ['const PlanRoom = 1;', 'Page or View'],
])('%s is refused, with the word that is used instead', (code, instead) => {
  expect(said(code)[0]).toContain(instead);
});

test('what is called as it should be is left alone', () => {
  expect(said('const MAX_STEPS = 3; const roomy = mostly; class PlanPage {}')).toEqual([]);
});
