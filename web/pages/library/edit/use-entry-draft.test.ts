import { beforeEach, describe, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import {
  blankPosition,
  blankTechnique,
  copyOf,
  OwnEntry,
  positionDocument,
  readEntry,
  type Position,
} from '#core/catalogue';
import { POSITIONS } from '#library';
import { useLibrary } from '../../../state/library';
import { fakeBrowser, settle, type Call, type FakeBrowser } from '../../../../tests/support/browser';
import { beginEntry, ENTRY_DRAFTS, editPath } from './entry-drafts';
import { useEntryDraft, withValueAt } from './use-entry-draft';

const at = new Date(1_790_000_000_000).toISOString();
let browser: FakeBrowser;
let onServer: Map<string, { revision: number; document: OwnEntry }>;
const stored = (id: string) => ({ id, createdAt: at, updatedAt: at, deletedAt: null, ...onServer.get(id)! });
const seat = POSITIONS[0]!;

/** A server that takes entries as the real one does. */
function serve({ method, path, body }: Call) {
  if (method === 'GET') return { status: 200, body: { unreadable: 0, entries: [...onServer.keys()].map(stored) } };
  const { document: sent, revision = 0 } = body as { document: OwnEntry; revision?: number };
  const document = OwnEntry.parse(sent);
  const { id } = document.entry;
  const known = onServer.get(id);
  if (known && known.revision !== revision && JSON.stringify(known.document) !== JSON.stringify(document)) {
    const problem = { type: 'about:blank', title: 'Changed elsewhere', status: 409, detail: 'Changed elsewhere.' };
    return { status: 409, body: { ...problem, current: stored(id), yours: document } };
  }
  onServer.set(id, { revision: revision + 1, document });
  return { status: path === '/entries' ? 201 : 200, body: stored(id) };
}
const named = (draft: ReturnType<typeof useEntryDraft>, name: string): void => {
  draft.change('names.english', name);
  draft.change('short', name.slice(0, 24));
  draft.change('areas', ['feet']);
};
const entryOf = (draft: ReturnType<typeof useEntryDraft>) => draft.document.value?.entry as Position;
async function opened(id: string) {
  const draft = useEntryDraft(id);
  expect(await draft.open()).toBe(true);
  return draft;
}
const begun = () => beginEntry((id) => blankPosition(id, seat.figure));
const drafts = () => Object.keys(browser.local).filter((key) => key.startsWith('zovrin.entry.'));

beforeEach(async () => {
  browser = fakeBrowser();
  onServer = new Map();
  browser.answer = serve;
  setActivePinia(createPinia());
  await useLibrary().ready();
});

test('setting one place of a value leaves the value alone', () => {
  const value = { a: [{ b: 1 }, { b: 2 }], c: 3 };
  expect(withValueAt(value, 'a.1.b', 5)).toEqual({ a: [{ b: 1 }, { b: 5 }], c: 3 });
  expect(value.a[1]).toEqual({ b: 2 });
  expect(withValueAt(value, '', 7)).toBe(7);
});

test('a blank entry needs a name, and a blank position an area; a technique with a name is whole', () => {
  const wrong = (document: OwnEntry): string[] => {
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
    expect([onServer.size, drafts().length]).toEqual([0, 1]);
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
    (await opened(id)).change('names.english', '');
    (await opened(id)).change('aims', 'A'.repeat(500));
    const waiting = await ENTRY_DRAFTS.waiting();
    expect(waiting.map(({ draft: { document } }) => editPath(document))).toEqual([`/library/${id}/edit`]);
    expect(entryOf(await opened(id)).aims).toHaveLength(500);
  });

  test('what has not the shape of an entry is not taken up', async () => {
    browser.local.setItem(
      'zovrin.entry.own-a.x',
      JSON.stringify({ revision: 0, document: { kind: 'position' }, unanswered: [], editedAt: 1 }),
    );
    browser.local.setItem('zovrin.entry.own-b.x', 'no json');
    expect(await ENTRY_DRAFTS.waiting()).toEqual([]);
    expect(await useEntryDraft('own-a').open()).toBe(false);
  });
});

describe('saving', () => {
  test('a whole entry is stored, offered in the library, and no longer kept here', async () => {
    const draft = await opened(await begun());
    named(draft, 'Estuary rest');
    expect(await draft.save()).toBe(true);
    await settle();
    expect([draft.dirty.value, drafts().length]).toEqual([false, 0]);
    expect(useLibrary().positions.at(-1)?.names.english).toBe('Estuary rest');
    draft.change('aims', 'Quiet');
    expect(await draft.save()).toBe(true);
    expect([...onServer.values()].map(({ revision }) => revision)).toEqual([2]);
  });

  test('a copy is not unsaved afterwards because its fields stood in another order', async () => {
    const backwards = Object.fromEntries(Object.entries(seat).reverse()) as Position;
    const draft = await opened(await beginEntry((id) => copyOf(positionDocument(backwards), id)));
    expect(await draft.save()).toBe(true);
    await settle();
    expect([draft.dirty.value, drafts()]).toEqual([false, []]);
  });

  test('when the server is away it says so, keeps the entry, and stores it once later', async () => {
    const id = await begun();
    const draft = await opened(id);
    named(draft, 'Estuary rest');
    browser.answer = () => 'unreachable';
    expect([await draft.save(), draft.trouble.value]).toEqual([
      false,
      'Not saved. The server cannot be reached. Your changes are kept here; save again later.',
    ]);
    browser.answer = serve;
    expect([await (await opened(id)).save(), onServer.size]).toEqual([true, 1]);
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
    expect([entryOf(draft).aims, draft.dirty.value]).toEqual(['', false]);
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
    const { document } = onServer.get(id)!;
    onServer.set(id, { revision: 2, document: withValueAt(document, 'entry.names.english', 'Theirs') });
    draft.change('aims', 'Quiet');
    expect(await draft.save()).toBe(false);
    expect(draft.conflict.value?.document.entry.names.english).toBe('Theirs');
    return { id, draft };
  }
  const names = () => [...onServer.values()].map(({ document }) => document.entry.names.english);

  test('going on with mine keeps theirs as an entry of its own', async () => {
    const { id, draft } = await inConflict();
    await draft.resolve('mine');
    expect(onServer.get(id)).toMatchObject({ revision: 3, document: { entry: { aims: 'Quiet' } } });
    expect(names().sort()).toEqual(['Mine', 'Theirs (other version)']);
  });

  test('going on with theirs keeps mine as an entry of its own, and undo brings it back', async () => {
    const { draft } = await inConflict();
    await draft.resolve('theirs');
    expect(names().sort()).toEqual(['Mine (other version)', 'Theirs']);
    expect(entryOf(draft).names.english).toBe('Theirs');
    draft.undo();
    expect(entryOf(draft).aims).toBe('Quiet');
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
    browser.answer = (call) => {
      const answer = serve(call);
      return call.method === 'PUT' ? 'unreachable' : answer;
    };
    draft.change('aims', 'Once');
    expect(await draft.save()).toBe(false);
    browser.answer = serve;
    await useLibrary().reload();
    const after = await opened(id);
    after.change('aims', 'Twice');
    expect(await after.save()).toBe(true);
    expect(onServer.get(id)).toMatchObject({ revision: 3, document: { entry: { aims: 'Twice' } } });
  });
});

test('a first save whose answer was lost is built upon, without a reload and without a question', async () => {
  const draft = await opened(await begun());
  named(draft, 'Estuary rest');
  browser.answer = (call) => {
    const answer = serve(call);
    return call.method === 'POST' ? 'unreachable' : answer;
  };
  expect(await draft.save()).toBe(false);
  browser.answer = serve;
  draft.change('aims', 'Quiet');
  expect([await draft.save(), draft.conflict.value, draft.trouble.value]).toEqual([true, undefined, '']);
  expect([...onServer.values()]).toMatchObject([{ revision: 2, document: { entry: { aims: 'Quiet' } } }]);
});

test('what was deleted is no longer offered, but the plans that use it still know it', async () => {
  const draft = await opened(await begun());
  named(draft, 'Estuary rest');
  await draft.save();
  const { id } = entryOf(draft);
  browser.answer = ({ method }) =>
    method === 'DELETE'
      ? { status: 204 }
      : { status: 200, body: { unreadable: 0, entries: [{ ...stored(id), deletedAt: at }] } };
  const library = useLibrary();
  await library.remove(id);
  expect(library.positions).toHaveLength(POSITIONS.length);
  expect(library.all.position(id)?.names.english).toBe('Estuary rest');
});
