import { beforeEach, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { positionDocument, techniqueDocument, type CustomEntry } from '#core/catalogue';
import { ENTRIES } from '#api';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { fakeBrowser, type FakeBrowser } from '../../tests/support/browser';
import { fakeServer, type FakeServer } from '../../tests/support/fake-server';
import { useLibrary } from './library';

const named = (made: CustomEntry, english: string): CustomEntry =>
  ({ ...made, entry: { ...made.entry, names: { ...made.entry.names, english }, short: english } }) as CustomEntry;

let browser: FakeBrowser;
let server: FakeServer;
beforeEach(() => {
  setActivePinia(createPinia());
  browser = fakeBrowser();
  server = fakeServer();
  server.put(`${ENTRIES.path}/quay`, named(positionDocument({ ...POSITIONS[0]!, id: 'quay' }), 'Quay fold'));
  server.put(`${ENTRIES.path}/tide`, named(techniqueDocument({ ...TECHNIQUES[0]!, id: 'tide' }), 'Tide breath'));
  browser.answer = server.answer;
});

test('what ships is there at once, and custom entries once they have come', async () => {
  const library = useLibrary();
  expect(library.positions).toEqual(POSITIONS);
  await library.ready();
  expect(library.positions.map(({ id }) => id)).toEqual([...POSITIONS.map(({ id }) => id), 'quay']);
  expect(library.techniques.map(({ id }) => id)).toEqual([...TECHNIQUES.map(({ id }) => id), 'tide']);
  expect(library.all.position('quay')?.names.english).toBe('Quay fold');
  expect(library.all.position('easy-seat')).toBe(builtInLibrary.position('easy-seat'));
  expect([library.ownEntry('quay')?.revision, library.ownEntry('easy-seat')]).toEqual([1, undefined]);
});

test('one that is deleted is offered no more, and still known to the plans that use it', async () => {
  const library = useLibrary();
  await library.ready();
  library.keep({ ...library.ownEntry('quay')!, deletedAt: '2026-11-25T10:00:00.000Z' });
  expect(library.positions.map(({ id }) => id)).not.toContain('quay');
  expect(library.all.position('quay')?.names.english).toBe('Quay fold');
});

test('one that was just stored takes the place of what was known of it', async () => {
  const library = useLibrary();
  await library.ready();
  const before = library.ownEntry('quay')!;
  library.keep({ ...before, revision: 2, document: named(before.document, 'Quay bow') });
  expect(library.all.position('quay')?.names.english).toBe('Quay bow');
  expect(library.own).toHaveLength(2);
});
