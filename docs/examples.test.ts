import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from '@jest/globals';
import { peopleIn, readPeopleTable } from '#core/exchange';
import { CONDITIONS } from '#library/cautions';
import { readArchive } from '../server/backup/archive';
import { readEmail } from '../tests/support/email';
import { EXAMPLES } from './examples';

const folder = join(process.cwd(), 'docs', 'examples');
const bytesOf = (name: string): Buffer => readFileSync(join(folder, name));
/** Made in the browser or by the server, or written by hand: each is read below. */
const OTHERS = ['backup.zip', 'letter.eml', 'people.csv', 'sound.ogg', 'student.html'];

test('the examples are what the program writes today (else: npm run docs:examples)', () => {
  expect(readdirSync(folder).sort()).toEqual([...Object.keys(EXAMPLES), ...OTHERS].sort());
  for (const [name, text] of Object.entries(EXAMPLES)) {
    expect([name, bytesOf(name).toString('utf8') === text]).toEqual([name, true]);
  }
});

test('the others are read as what they are (else: npm run docs:files)', async () => {
  const { documents, faults, manifest } = await readArchive(bytesOf('backup.zip'));
  expect([faults, manifest.withPeople, documents.length > 5]).toEqual([[], false, true]);
  const [text, page, calendar] = readEmail(bytesOf('letter.eml').toString('latin1')).parts;
  expect(text!.content.toString('utf8')).toContain('leads you through the steps');
  expect(page!.headers.get('content-type')).toContain('text/html');
  expect(calendar!.content.toString('utf8')).toContain('BEGIN:VCALENDAR');
  const student = bytesOf('student.html').toString('utf8');
  expect(student.length).toBeLessThan(300_000);
  expect(student).not.toMatch(/(?:src|href)="https?:/);
  expect(bytesOf('sound.ogg').toString('latin1', 0, 4)).toBe('OggS');
  expect(bytesOf('sound.ogg').includes('OpusHead')).toBe(true);
  const table = readPeopleTable(bytesOf('people.csv').toString('utf8'))!;
  const meanings = table.columns.map(({ likely }) => likely);
  const options = { conditions: CONDITIONS, here: [], today: '2026-11-26', readDay: () => undefined };
  expect(peopleIn(table, meanings, options).map(({ issues }) => issues)).toEqual([[], [], []]);
});
