import { beforeEach, describe, expect, test } from '@jest/globals';
import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { MAX_UNDO, record, startHistory, undo, type History } from '#core/document';
import { fakeBrowser, type FakeBrowser } from '../../tests/support/browser';
import { tabName } from './tabs';
import { forgetUndo, undoStore } from './undo-store';
import { vault } from './vault';

interface Note {
  version: number;
  text: string;
}
const note = (text: string): Note => ({ version: 1, text });
const read = (value: unknown): Note | undefined =>
  typeof (value as Note | undefined)?.text === 'string' ? (value as Note) : undefined;
const written = (...texts: string[]): History<Note> =>
  texts.reduce((history, text) => record(history, { name: `type ${text}` }, note(text)), startHistory(note('')));
const texts = ({ past, now, future }: History<Note>) => [
  past.map(({ version }) => version.text),
  now.text,
  future.map(({ version }) => version.text),
];
let browser: FakeBrowser;

beforeEach(async () => {
  browser = fakeBrowser();
  await forgetUndo('');
});

describe('the steps of undo in the browser’s database', () => {
  test('come back as they were, back and forth', async () => {
    await undoStore('place.a', read).write(undo(written('one', 'two', 'three')));
    const again = await undoStore('place.a', read).read();
    expect(texts(again!)).toEqual([['', 'one'], 'two', ['three']]);
    expect(again!.past.map(({ change }) => change)).toEqual(['type one', 'type two']);
    expect(await undoStore('place.b', read).read()).toBeUndefined();
  });

  test('only what is new is written, and what is no longer there is removed', async () => {
    const store = undoStore('place.a', read);
    let history = written('one', 'two');
    await store.write(history);
    const before = history.now;
    history = record(undo(history), { name: 'other' }, note('another'));
    await store.write(history);
    expect(texts((await undoStore('place.a', read).read())!)).toEqual([['', 'one'], 'another', []]);
    expect(before.text).toBe('two');
  });

  test(`reach ${MAX_UNDO} steps back`, async () => {
    await undoStore('place.a', read).write(written(...Array.from({ length: MAX_UNDO + 50 }, (_, i) => `${i}`)));
    const again = await undoStore('place.a', read).read();
    expect([again!.past.length, again!.now.text]).toEqual([MAX_UNDO, `${MAX_UNDO + 49}`]);
  });

  test('about people are sealed, and are not there while people are locked', async () => {
    await undoStore('person.mara', read).write(written('pregnant'));
    const database = await openDB('zovrin');
    const kept = (await database.getAll('versions')) as string[];
    database.close();
    expect(kept).toHaveLength(2);
    expect(kept.join()).not.toContain('pregnant');
    vault.close();
    expect(await undoStore('person.mara', read).read()).toBeUndefined();
  });

  test('of a window that is still open are left to it; those of one that is gone are taken up', async () => {
    await undoStore('place.a', read).write(written('there'));
    // As if another window had written them.
    const database = await openDB('zovrin');
    const mine = `place.a.${await tabName()}`;
    await database.put('heads', await database.get('heads', mine), 'place.a.other');
    for (const [, id] of (await database.getAllKeys('versions')) as [string, string][]) {
      await database.put('versions', await database.get('versions', [mine, id]), ['place.a.other', id]);
      await database.delete('versions', [mine, id]);
    }
    await database.delete('heads', mine);
    database.close();
    browser.otherTabs = ['zovrin.tab.other'];
    expect(await undoStore('place.a', read).read()).toBeUndefined();
    browser.otherTabs = [];
    const store = undoStore('place.a', read);
    const taken = await store.read();
    expect(texts(taken!)).toEqual([[''], 'there', []]);
    // It goes on here, and is not kept twice.
    await store.write(taken!);
    const after = await openDB('zovrin');
    expect(await after.getAllKeys('heads')).toEqual([mine]);
    expect(await after.count('versions')).toBe(2);
    after.close();
  });

  test('a version that cannot be read ends them there; forgotten, nothing is left', async () => {
    const store = undoStore<Note>('place.a', read);
    const broken = { version: 0, wrong: true } as unknown as Note;
    let history = startHistory(note('first'));
    history = record(history, { name: 'break' }, broken);
    history = record(history, { name: 'mend' }, note('second'));
    history = record(history, { name: 'type' }, note('third'));
    await store.write(history);
    expect(texts((await undoStore('place.a', read).read())!)).toEqual([['second'], 'third', []]);
    await store.forget();
    expect(await undoStore('place.a', read).read()).toBeUndefined();
  });

  test('without a database nothing is kept and nothing fails', async () => {
    const { indexedDB: there } = globalThis;
    Reflect.deleteProperty(globalThis, 'indexedDB');
    try {
      const store = undoStore('place.z', read);
      await store.write(written('one'));
      expect(typeof (await store.read())).toMatch(/undefined|object/);
    } finally {
      globalThis.indexedDB = there;
    }
  });
});
