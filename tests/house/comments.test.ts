import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
// @ts-expect-error: plain JavaScript, as the linter reads it.
import { DENIED_PHRASES } from '../../denied-words.js';

const phrases = DENIED_PHRASES as readonly (readonly [RegExp, string])[];
const COMMENT = /\/\*[\s\S]*?\*\/|(?:^|\s)\/\/ .*|<!--[\s\S]*?-->/gm;

/** The denied phrases in the comments of a file, each with what to write instead. */
const deniedIn = (source: string): string[] =>
  (source.match(COMMENT) ?? []).flatMap((comment) => {
    const text = comment.replace(/\n\s*(\*|\/\/)?\s*/g, ' ');
    return phrases.flatMap(([phrase, instead]) => {
      const found = phrase.exec(text);
      return found ? [`“${found[0]}”: write ${instead}`] : [];
    });
  });

test('a denied phrase is found in every kind of comment, and in no string', () => {
  expect(deniedIn('/** A hold of\n * one’s own. */')).toHaveLength(1);
  expect(deniedIn('  // What was put right.')).toHaveLength(1);
  expect(deniedIn('<!-- The house rules -->')).toHaveLength(1);
  expect(deniedIn("const label = 'House rules';")).toEqual([]);
});

test('no comment has a denied phrase', () => {
  const folders = ['api', 'bench', 'bin', 'core', 'docs', 'library', 'server', 'tests', 'web'];
  const files = folders.flatMap((folder) =>
    readdirSync(folder, { recursive: true, encoding: 'utf8' }).map((name) => join(folder, name)),
  );
  const code = files.filter((file) => /\.(ts|vue|js)$/.test(file) && !file.startsWith(join('tests', 'house')));
  expect(code.length).toBeGreaterThan(500);
  expect(code.flatMap((file) => deniedIn(readFileSync(file, 'utf8')).map((found) => `${file}: ${found}`))).toEqual([]);
});
