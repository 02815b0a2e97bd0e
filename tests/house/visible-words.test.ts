import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { visibleStrings } from '../support/visible-strings';
// @ts-expect-error: plain JavaScript, as the linter reads it.
import { DENIED_ON_SCREEN } from '../../denied-words.js';

const denied = DENIED_ON_SCREEN as readonly (readonly [RegExp, string])[];
const files = ['web', 'core', 'api', 'server', 'library/demo']
  .flatMap((room) =>
    readdirSync(room, { recursive: true, encoding: 'utf8' })
      .filter((path) => /\.(vue|ts)$/.test(path) && !path.endsWith('.test.ts'))
      .map((path) => join(room, path)),
  )
  .sort();
const strings = files.flatMap(visibleStrings);
const complaints = (texts: readonly { text: string; path: string; line: number }[]): string[] =>
  texts.flatMap(({ text, path, line }) =>
    denied
      .filter(([pattern]) => pattern.test(text))
      .map(([, instead]) => `${path}:${line} “${text}”: write ${instead}`),
  );

test('no string of any page has a word that is not used on the screen', () => {
  expect(complaints(strings)).toEqual([]);
});

test('strings of every page are found, in templates, attributes, expressions and scripts', () => {
  const found = new Set(strings.map(({ text }) => text));
  for (const text of [
    'Page not found',
    'Fit a plan to today’s time',
    'Recently taught',
    'Duplicate what is selected',
  ]) {
    expect([text, found.has(text)]).toEqual([text, true]);
  }
  const silent = files.filter(
    (path) => path.startsWith('web/pages/') && path.endsWith('Page.vue') && visibleStrings(path).length === 0,
  );
  expect(silent).toEqual([]);
  expect(strings.length).toBeGreaterThan(2000);
});

test.each([
  ['House rules'],
  ['Take back'],
  ['3:20 in all'],
  ['This plan is not here any more.'],
  ['Stature'],
  ['Ways out'],
  ['a hold of your own under this name'],
])('“%s” would be refused', (text) => {
  expect(complaints([{ text, path: 'somewhere', line: 1 }])).toHaveLength(1);
});

test.each([['Cupboard door'], ['Take backs'], ['Stay here'], ['total']])('“%s” is left alone', (text) => {
  expect(complaints([{ text, path: 'somewhere', line: 1 }])).toEqual([]);
});
