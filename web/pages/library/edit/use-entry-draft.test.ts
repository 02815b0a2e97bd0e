import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { effectScope, type EffectScope } from 'vue';
import {
  blankPosition,
  blankTechnique,
  copyOf,
  positionDocument,
  readEntry,
  type CustomEntry,
  type Position,
} from '#core/catalogue';
import { POSITIONS } from '#library';
import { useLibrary } from '../../../state/library';
import { fakeBrowser, settle, type FakeBrowser } from '../../../../tests/support/browser';
import { fakeServer, type FakeServer } from '../../../../tests/support/fake-server';
import { beginEntry, editPath, waitingEntries } from './entry-drafts';
import { useEntryDraft, withValueAt } from './use-entry-draft';

let browser: FakeBrowser;
let server: FakeServer;
let scopes: EffectScope[] = [];
const onServer = (id: string) => server.stored(`/entries/${id}`) as { revision: number; document: CustomEntry };
const seat = POSITIONS[0]!;

const named = (draft: ReturnType<typeof useEntryDraft>, name: string): void => {
  draft.change('names.english', name);
  draft.change('short', name.slice(0, 24));
  draft.change('areas', ['feet']);
};
const entryOf = (draft: ReturnType<typeof useEntryDraft>) => draft.document.value?.entry as Position;
/** The entry’s page, opened; `leave` goes away from it. */
async function opened(id: string) {
  const scope = effectScope();
  scopes.push(scope);
  const draft = scope.run(() => useEntryDraft(id))!;
  expect(await draft.open()).toBe(true);
  const leave = async (): Promise<void> => {
    scope.stop();
    await settle();
  };
  return { ...draft, leave };
}
/** The ids of what was stored in a test, in order. */
const ids = (): string[] => [
  ...new Set(
    browser.calls.flatMap(({ method, body }) =>
      method === 'POST' ? [(body as { document: CustomEntry }).document.entry.id] : [],
    ),
  ),
];
const names = (): string[] => ids().map((id) => onServer(id).document.entry.names.english);
const begun = () => beginEntry((id) => blankPosition(id, seat.figure));
const drafts = () => Object.keys(browser.local).filter((key) => key.startsWith('zovrin.draft.entry.'));

beforeEach(async () => {
  browser = fakeBrowser();
  server = fakeServer();
  browser.answer = server.answer;
  setActivePinia(createPinia());
  await useLibrary().ready();
});

// Nothing is tried again after a test.
afterEach(() => {
  for (const scope of scopes) scope.stop();
  scopes = [];
});

test('setting one place of a value leaves the value alone', () => {
  const value = { a: [{ b: 1 }, { b: 2 }], c: 3 };
  expect(withValueAt(value, 'a.1.b', 5)).toEqual({ a: [{ b: 1 }, { b: 5 }], c: 3 });
  expect(value.a[1]).toEqual({ b: 2 });
  expect(withValueAt(value, '', 7)).toBe(7);
});

test('a blank entry needs a name, and a blank position an area; a technique with a name is whole', () => {
  const wrong = (document: CustomEntry): string[] => {
    const read = readEntry(document);
    return read.ok ? [] : read.issues.map(({ field }) => field);
  };
  expect(wrong(blankPosition('own-a', seat.figure))).toEqual(['entry.names.english', 'entry.short', 'entry.areas']);
  expect(wrong(blankTechnique('own-b'))).toEqual(['entry.names.english', 'entry.short']);
});

describe('an unfinished entry', () => {
  test('says nothing before a field is touched or saving is tried, then says it there, and stores nothing', async () => {
    const draft = await opened(await begun());
    expect(draft.problem('names.english')).toBe('');
    draft.change('aims', 'Rest');
    expect(draft.problem('names.english')).toBe('');
    draft.change('names.english', 'x');
    draft.change('names.english', '');
    expect(draft.problem('names.english')).toBe('A name is needed.');
    expect([draft.problem('areas'), await draft.save()]).toEqual(['', false]);
    expect(draft.problem('areas')).toBe('Name at least one area of the body.');
    expect([ids(), drafts().length]).toEqual([[], 1]);
  });

  test('a range is right or wrong as a whole, whichever end was typed', async () => {
    const draft = await opened(await begun());
    draft.change('defaults.blended.minSeconds', 400);
    expect(draft.problem('defaults.blended.maxSeconds')).toBe('The longest is shorter than the shortest.');
    draft.change('defaults.blended.maxSeconds', 500);
    expect(draft.problem('defaults.blended.seconds')).toBe('The length must lie within its range.');
    draft.change('defaults.blended.seconds', 450);
    expect(draft.problem('defaults.blended.seconds')).toBe('');
  });

  test('is taken up again after a reload, whole or not, and is told of in the library', async () => {
    const id = await begun();
    for (const [path, value] of [
      ['names.english', ''],
      ['aims', 'A'.repeat(500)],
    ] as const) {
      const draft = await opened(id);
      draft.change(path, value);
      await draft.leave();
    }
    expect((await waitingEntries()).map(editPath)).toEqual([`/library/${id}/edit`]);
    expect(entryOf(await opened(id)).aims).toHaveLength(500);
  });

  test('what has not the shape of an entry is not taken up', async () => {
    browser.local.setItem(
      'zovrin.draft.entry.own-a.x.y',
      JSON.stringify({ revision: 0, document: { kind: 'position' }, unanswered: [], editedAt: 1 }),
    );
    browser.local.setItem('zovrin.draft.entry.own-b.x.y', 'no json');
    expect(await waitingEntries()).toEqual([]);
    const scope = effectScope();
    expect(await scope.run(() => useEntryDraft('own-a'))!.open()).toBe(false);
    scope.stop();
  });
});

describe('saving', () => {
  test('a whole entry is stored, offered in the library, and no longer kept here', async () => {
    const draft = await opened(await begun());
    named(draft, 'Estuary rest');
    expect(await draft.save()).toBe(true);
    await settle();
    expect([draft.isDirty.value, drafts().length]).toEqual([false, 0]);
    expect(useLibrary().positions.at(-1)?.names.english).toBe('Estuary rest');
    draft.change('aims', 'Quiet');
    expect(await draft.save()).toBe(true);
    expect(ids().map((id) => onServer(id).revision)).toEqual([2]);
  });

  test('a copy is not unsaved afterwards because its fields stood in another order', async () => {
    const backwards = Object.fromEntries(Object.entries(seat).reverse()) as Position;
    const draft = await opened(await beginEntry((id) => copyOf(positionDocument(backwards), id)));
    expect(await draft.save()).toBe(true);
    await settle();
    expect([draft.isDirty.value, drafts()]).toEqual([false, []]);
  });

  test('when the server is away it says so, keeps the entry, and stores it once later', async () => {
    const id = await begun();
    const draft = await opened(id);
    named(draft, 'Estuary rest');
    server.fate = () => 'lostRequest';
    expect([await draft.save(), draft.notSaved.value]).toEqual([
      false,
      'Not saved yet. The server cannot be reached. Your changes are kept here and sent again.',
    ]);
    await draft.leave();
    server.fate = () => 'arrives';
    expect([await (await opened(id)).save(), names()]).toEqual([true, ['Estuary rest']]);
  });

  test('undo and redo reach over a save; joined changes are one step', async () => {
    const draft = await opened(await begun());
    named(draft, 'One');
    await draft.save();
    for (const aims of ['Q', 'Qu', 'Quiet']) draft.change('aims', aims, 'aims');
    draft.undo();
    expect(entryOf(draft).aims).toBe('');
    draft.redo();
    expect(entryOf(draft).aims).toBe('Quiet');
    draft.discard();
    expect([entryOf(draft).aims, draft.isDirty.value]).toEqual(['', false]);
    draft.undo();
    expect(entryOf(draft).aims).toBe('Quiet');
  });
});

describe('changed in two places', () => {
  async function inConflict() {
    const id = await begun();
    const draft = await opened(id);
    named(draft, 'Mine');
    await draft.save();
    const theirs = withValueAt(onServer(id).document, 'entry.names.english', 'Theirs');
    server.put(`/entries/${id}`, withValueAt(theirs, 'entry.areas', ['calves']), 2);
    draft.change('names.english', 'Mine too');
    draft.change('aims', 'Quiet');
    expect(await draft.save()).toBe(false);
    expect(draft.conflict.value?.document.entry.names.english).toBe('Theirs');
    return { id, draft };
  }

  test('different places of it: both are there, and nobody is asked', async () => {
    const id = await begun();
    const draft = await opened(id);
    named(draft, 'Mine');
    await draft.save();
    server.put(`/entries/${id}`, withValueAt(onServer(id).document, 'entry.aims', 'Quiet'), 2);
    draft.change('names.english', 'Mine too');
    expect(await draft.save()).toBe(true);
    expect(onServer(id).document.entry).toMatchObject({ names: { english: 'Mine too' }, aims: 'Quiet' });
  });

  test('going on with mine keeps theirs as an entry of its own', async () => {
    const { id, draft } = await inConflict();
    await draft.resolve('mine');
    expect(onServer(id)).toMatchObject({ revision: 3, document: { entry: { aims: 'Quiet', areas: ['calves'] } } });
    expect(names().sort()).toEqual(['Mine too', 'Theirs (other version)']);
  });

  test('going on with theirs keeps mine as an entry of its own, and undo brings it back', async () => {
    const { draft } = await inConflict();
    await draft.resolve('theirs');
    expect(names().sort()).toEqual(['Mine too (other version)', 'Theirs']);
    expect(entryOf(draft)).toMatchObject({ names: { english: 'Theirs' }, aims: 'Quiet' });
    draft.undo();
    expect(entryOf(draft).names.english).toBe('Mine too');
  });

  test('when the other version cannot be kept nothing is decided', async () => {
    const { draft } = await inConflict();
    browser.answer = () => 'unreachable';
    await expect(draft.resolve('mine')).rejects.toThrow('cannot be reached');
    expect(draft.conflict.value).toBeDefined();
  });

  test('a save whose answer was lost is no conflict with oneself, not even after a reload', async () => {
    const id = await begun();
    const draft = await opened(id);
    named(draft, 'Mine');
    await draft.save();
    server.fate = ({ method }) => (method === 'PUT' ? 'lostAnswer' : 'arrives');
    draft.change('aims', 'Once');
    expect(await draft.save()).toBe(false);
    await draft.leave();
    server.fate = () => 'arrives';
    await useLibrary().reload();
    const after = await opened(id);
    after.change('aims', 'Twice');
    expect(await after.save()).toBe(true);
    expect(onServer(id)).toMatchObject({ revision: 3, document: { entry: { aims: 'Twice' } } });
  });
});

test('a first save whose answer was lost is built upon, without a reload and without a question', async () => {
  const draft = await opened(await begun());
  named(draft, 'Estuary rest');
  server.fate = ({ method }) => (method === 'POST' ? 'lostAnswer' : 'arrives');
  expect(await draft.save()).toBe(false);
  server.fate = () => 'arrives';
  draft.change('aims', 'Quiet');
  expect([await draft.save(), draft.conflict.value, draft.trouble.value]).toEqual([true, undefined, '']);
  expect(ids().map(onServer)).toMatchObject([{ revision: 2, document: { entry: { aims: 'Quiet' } } }]);
});

test('what was deleted is no longer offered, but the plans that use it still know it', async () => {
  const draft = await opened(await begun());
  named(draft, 'Estuary rest');
  await draft.save();
  const { id } = entryOf(draft);
  const at = '2026-11-20T18:30:00.000Z';
  const gone = { id, ...onServer(id), createdAt: at, updatedAt: at, deletedAt: at };
  browser.answer = ({ method }) =>
    method === 'DELETE' ? { status: 204 } : { status: 200, body: { items: [gone], total: 1, unreadable: 0 } };
  const library = useLibrary();
  await library.remove(id);
  expect(library.positions).toHaveLength(POSITIONS.length);
  expect(library.all.position(id)?.names.english).toBe('Estuary rest');
});
