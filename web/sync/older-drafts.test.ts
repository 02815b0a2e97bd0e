import { beforeEach, expect, test } from '@jest/globals';
import { newPerson, readPerson } from '#core/people';
import { fakeBrowser, type FakeBrowser } from '../../tests/support/browser';
import { readDraft } from './draft';
import { openDrafts } from './drafts';
import { renameOlderDrafts } from './older-drafts';
import { vault } from './vault';

let browser: FakeBrowser;
beforeEach(() => {
  browser = fakeBrowser();
});
const left = async (key: string) => (await (await openDrafts()).leftovers(key)).map(({ text }) => text);

test('what an earlier version had not sent is found by its kind and its id, and only once', async () => {
  for (const [older, key] of [
    ['zovrin.draft.p1.tab', 'plan.p1'],
    ['zovrin.entry.own-1.tab', 'entry.own-1'],
    ['zovrin.person.unsent.mara', 'person.mara'],
    ['zovrin.group.unsent.choir', 'group.choir'],
    ['zovrin.place.unsent.loft', 'place.loft'],
    ['zovrin.journal.unsent.j1', 'journal.j1'],
    ['zovrin.class.p1.unsent', 'class.p1'],
    ['zovrin.variants.p1.unsent', 'variants.p1'],
    ['zovrin.house.unsent', 'settings.house'],
    ['zovrin.said.r1', 'review.r1'],
  ] as const) {
    vault.write(older, `text of ${key}`);
    renameOlderDrafts();
    renameOlderDrafts();
    expect([await left(key), vault.read(older)]).toEqual([[`text of ${key}`], null]);
  }
});

test('a note about a person is read as it was kept, and stays sealed', async () => {
  const document = { ...newPerson('Mara Quill'), note: 'pregnant' };
  vault.write('zovrin.person.unsent.mara', JSON.stringify({ revision: 3, base: newPerson('Mara Quill'), document }));
  renameOlderDrafts();
  const [text] = await left('person.mara');
  const draft = readDraft(text!, (value) => {
    const read = readPerson(value);
    return read.ok ? read.value : undefined;
  });
  expect(draft).toMatchObject({ revision: 3, document, base: newPerson('Mara Quill'), unanswered: [] });
  expect(JSON.stringify(browser.local)).not.toContain('pregnant');
});

test('while people are locked it stays under its name, and is found when they are open again', async () => {
  const key = btoa('k'.repeat(32));
  vault.write('zovrin.person.unsent.mara', 'note');
  vault.close();
  renameOlderDrafts();
  expect(browser.local.getItem('zovrin.person.unsent.mara')).not.toBeNull();
  vault.open(key);
  renameOlderDrafts();
  expect(await left('person.mara')).toEqual(['note']);
});

test('what is kept otherwise, and drafts of today, are left alone', () => {
  for (const name of ['zovrin.draft.plan.p1.tab.editor', 'zovrin.run.p1.r1', 'zovrin.teacher']) vault.write(name, 'x');
  renameOlderDrafts();
  expect(Object.keys(browser.local).sort()).toEqual([
    'zovrin.draft.plan.p1.tab.editor',
    'zovrin.run.p1.r1',
    'zovrin.teacher',
  ]);
});
