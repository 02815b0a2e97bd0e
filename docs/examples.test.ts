import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { EXAMPLES } from './examples';

const folder = join(process.cwd(), 'docs', 'examples');

test('the examples are what the program writes today (else: npm run docs:examples)', () => {
  expect(readdirSync(folder).sort()).toEqual(Object.keys(EXAMPLES).sort());
  for (const [name, text] of Object.entries(EXAMPLES)) {
    expect([name, readFileSync(join(folder, name), 'utf8') === text]).toEqual([name, true]);
  }
});
