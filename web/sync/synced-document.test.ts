import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import fc from 'fast-check';
import { newGroup, newPerson, readPerson, type Person } from '#core/people';
import { emptyPlan, readPlan, restStep, type Plan } from '#core/plan';
import { personClient, planClient } from '../client/documents';
import { fakeBrowser } from '../../tests/support/browser';
import { fakeServer, type Fate, type FakeServer } from '../../tests/support/fake-server';
import { fakeWindows, type FakeWindow, type FakeWindows } from '../../tests/support/fake-windows';
import { sourceOf } from './source';
import { syncedDocument, type SyncedDocument } from './synced-document';

let server: FakeServer;
let windows: FakeWindows;
let open: SyncedDocument<Person, Person>[] = [];

beforeEach(() => {
  jest.useFakeTimers();
  server = fakeServer(() => Date.now());
  fakeBrowser().answer = server.answer;
  windows = fakeWindows();
  server.put('/people/mara', newPerson('Mara Quill'));
});
afterEach(async () => {
  server.fate = () => 'arrives';
  for (const one of open) void one.close();
  open = [];
  jest.useRealTimers();
});

const stored = (): Person => server.stored('/people/mara')!.document as Person;
/** Lets everything go on that can, and an hour pass. */
async function anHourLater(): Promise<void> {
  await jest.advanceTimersByTimeAsync(3_600_000);
}
const soon = (): Promise<void> => jest.advanceTimersByTimeAsync(0);

async function openedIn(window: FakeWindow, id = 'mara'): Promise<SyncedDocument<Person, Person>> {
  const source = sourceOf(`person.${id}`, readPerson, personClient.at(id));
  const synced = syncedDocument<Person, Person>(
    {
      ...source,
      initial: newPerson(''),
      fetch: () => window.during(source.fetch()),
      // A window that is gone sends nothing any more.
      send: (revision, person) =>
        window.isOpen() ? window.during(source.send(revision, person)) : new Promise(() => undefined),
    },
    window,
  );
  open.push(synced);
  await synced.ready();
  return synced;
}
const put = (synced: SyncedDocument<Person, Person>, patch: Partial<Person>): void => {
  expect(synced.change('change', { ...synced.document.value, ...patch })).toBeUndefined();
};
const puts = (fate: Fate) => (server.fate = ({ method }) => (method === 'PUT' ? fate : 'arrives'));

test('forgotten in one window, it is gone from another that has it open: nothing of it is kept, shown or sent', async () => {
  puts('lostRequest');
  const [first, second] = [await openedIn(windows.open()), await openedIn(windows.open())];
  put(second, { note: 'sings high' });
  await soon();
  expect(windows.storage.size).toBe(1);
  await first.forget();
  await soon();
  expect([windows.storage.size, second.isMissing.value, second.isLoaded.value]).toEqual([0, true, false]);
  expect(second.document.value).toEqual(newPerson(''));
  puts('arrives');
  expect(second.change('change', { ...newPerson('Mara'), note: 'again' })).toBeDefined();
  await anHourLater();
  expect([windows.storage.size, stored().note]).toEqual([0, '']);
});

describe('a draft for each window', () => {
  test('two windows that crash with unsent notes: both notes are there, and are sent', async () => {
    puts('lostRequest');
    const [first, second] = [windows.open(), windows.open()];
    put(await openedIn(first), { note: 'sings high' });
    put(await openedIn(second), { contact: 'by the door' });
    await soon();
    expect(windows.storage.size).toBe(2);
    first.crash();
    second.crash();
    puts('arrives');
    const again = await openedIn(windows.open());
    expect(again.document.value).toMatchObject({ note: 'sings high', contact: 'by the door' });
    await soon();
    expect(stored()).toMatchObject({ note: 'sings high', contact: 'by the door' });
    expect(windows.storage.size).toBe(0);
  });

  test('the draft of a window that is still open is left to it', async () => {
    puts('lostRequest');
    const first = await openedIn(windows.open());
    put(first, { note: 'sings high' });
    const second = await openedIn(windows.open());
    expect(second.document.value.note).toBe('');
    puts('arrives');
    await anHourLater();
    expect([second.document.value.note, stored().note]).toEqual(['sings high', 'sings high']);
  });

  test('two drafts that contradict each other: one is asked about, and the other stays kept until then', async () => {
    puts('lostRequest');
    const [first, second] = [windows.open(), windows.open()];
    put(await openedIn(first), { note: 'sings high' });
    await jest.advanceTimersByTimeAsync(10);
    put(await openedIn(second), { note: 'sings low' });
    await soon();
    first.crash();
    second.crash();
    puts('arrives');
    const again = await openedIn(windows.open());
    expect(again.state.value).toBe('conflict');
    const notes = () => [again.document.value.note, ...[...windows.storage.values()].map((text) => text)].join();
    expect(notes()).toContain('sings high');
    expect(notes()).toContain('sings low');
    await again.resolve('mine');
    await soon();
    expect(['sings high', 'sings low']).toContain(stored().note);
  });
});

describe('no conflict with oneself', () => {
  test('an answer that is lost, with the fields in another order on the server', async () => {
    const synced = await openedIn(windows.open());
    puts('lostAnswer');
    put(synced, { note: 'sings' });
    await soon();
    const reversed = Object.fromEntries(Object.entries(stored()).reverse());
    server.put('/people/mara', reversed, 2);
    puts('arrives');
    put(synced, { note: 'sings high' });
    await anHourLater();
    expect([synced.state.value, stored().note, server.stored('/people/mara')!.revision]).toEqual([
      'saved',
      'sings high',
      3,
    ]);
  });

  test('an answer that is lost, and another window builds on what was stored', async () => {
    const [mine, other] = [await openedIn(windows.open()), await openedIn(windows.open())];
    puts('lostAnswer');
    put(mine, { note: 'sings' });
    await soon();
    puts('arrives');
    await other.load();
    put(other, { contact: 'by the door' });
    put(mine, { note: 'sings high' });
    await anHourLater();
    expect(stored()).toMatchObject({ note: 'sings high', contact: 'by the door' });
    expect([mine.state.value, other.state.value]).toEqual(['saved', 'saved']);
  });
});

describe('sent again', () => {
  test('after longer and longer waits, and at once when the server is back', async () => {
    const synced = await openedIn(windows.open());
    let tries = 0;
    server.fate = ({ method }) => (method === 'PUT' && ++tries < 4 ? 'lostRequest' : 'arrives');
    put(synced, { note: 'sings' });
    await soon();
    expect([tries, synced.state.value]).toEqual([1, 'waiting']);
    await jest.advanceTimersByTimeAsync(2000);
    await jest.advanceTimersByTimeAsync(5000);
    expect(tries).toBe(3);
    await jest.advanceTimersByTimeAsync(10_000);
    expect([tries, synced.state.value, stored().note]).toEqual([4, 'saved', 'sings']);
  });

  test('what a closing window sends last is told to the others', async () => {
    const [closing, other] = [await openedIn(windows.open()), await openedIn(windows.open())];
    put(closing, { note: 'sings' });
    await closing.close();
    await soon();
    expect(other.document.value.note).toBe('sings');
  });
});

describe('both changed the same', () => {
  test.each(['mine', 'theirs'] as const)(
    'choosing %s: it counts there only, and everything else of both stays',
    async (choice) => {
      const synced = await openedIn(windows.open());
      server.put('/people/mara', { ...stored(), note: 'sings low', emergency: 'Corin' }, 2);
      put(synced, { note: 'sings high', contact: 'by the door' });
      await soon();
      expect(synced.state.value).toBe('conflict');
      await synced.resolve(choice);
      await soon();
      const note = choice === 'mine' ? 'sings high' : 'sings low';
      expect(stored()).toMatchObject({ note, contact: 'by the door', emergency: 'Corin' });
      expect(synced.state.value).toBe('saved');
      if (choice === 'theirs') {
        synced.undo();
        await soon();
        expect(stored().note).toBe('sings high');
      }
    },
  );
});

test('a change for good is in every version: no undo takes it back, and it is saved', async () => {
  const synced = await openedIn(windows.open());
  put(synced, { notes: [] });
  put(synced, { name: 'Mara Quill-Rowe' });
  synced.changeForGood((version) => ({ ...version, statureCm: 171 }));
  expect(synced.document.value).toMatchObject({ name: 'Mara Quill-Rowe', statureCm: 171 });
  synced.undo();
  expect(synced.document.value).toMatchObject({ name: 'Mara Quill', statureCm: 171 });
  expect(synced.canUndo.value).toBe(false);
  await anHourLater();
  expect(stored()).toMatchObject({ name: 'Mara Quill', statureCm: 171 });
  synced.redo();
  expect(synced.document.value).toMatchObject({ name: 'Mara Quill-Rowe', statureCm: 171 });
});

describe('undo that lasts', () => {
  test('over leaving the page and coming back, in this window and the next', async () => {
    const synced = await openedIn(windows.open());
    for (const note of ['sits', 'sits high']) {
      put(synced, { note });
      await soon();
    }
    await synced.close();
    const again = await openedIn(windows.open());
    await soon();
    again.undo();
    await soon();
    expect(stored().note).toBe('sits');
    again.undo();
    await soon();
    expect([stored().note, again.canUndo.value]).toEqual(['', false]);
    again.redo();
    again.redo();
    await soon();
    expect(stored().note).toBe('sits high');
  });

  test('what was changed elsewhere meanwhile is not taken back with it', async () => {
    const synced = await openedIn(windows.open());
    put(synced, { note: 'sits' });
    await soon();
    await synced.close();
    server.put('/people/mara', { ...stored(), emergency: 'Corin' }, 9);
    const again = await openedIn(windows.open());
    await soon();
    again.undo();
    await soon();
    expect(stored()).toMatchObject({ note: '', emergency: 'Corin' });
  });
});

test('a plan is merged as well: one window changes a step, the other puts one in', async () => {
  const plan: Plan = {
    ...emptyPlan('Evening'),
    steps: [restStep('a', 'Settle', 120), restStep('b', 'Last rest', 600)],
  };
  server.put('/plans/p', plan);
  const openPlan = async () => {
    const synced = syncedDocument<Plan>(sourceOf('plan.p', readPlan, planClient.at('p')), windows.open());
    await synced.opened();
    return synced;
  };
  const [one, other] = [await openPlan(), await openPlan()];
  const steps = one.document.value!.steps;
  one.apply({ name: 'rename' }, { ...plan, steps: [{ ...steps[0]!, name: 'Arrive' }, steps[1]!] });
  other.apply({ name: 'add' }, { ...plan, steps: [...steps, restStep('c', 'Sit up', 60)] });
  await anHourLater();
  const kept = server.stored('/plans/p')!.document as Plan;
  expect(kept.steps.map(({ name }) => name)).toEqual(['Arrive', 'Last rest', 'Sit up']);
  expect([one.state.value, other.state.value]).toEqual(['saved', 'saved']);
  await Promise.all([one.close(), other.close()]);
});

/**
 * Two windows at the same document. Each has fields and notes of its own, so that whatever one of them set last must be
 * there in the end, and nobody must ever be asked.
 */
describe('two windows, random edits, random losses', () => {
  const FIELDS = [
    ['note', 'contact'],
    ['emergency', 'name'],
  ] as const;
  const act = fc.record(
    {
      window: fc.constantFrom(0, 1),
      does: fc.constantFrom('set', 'set', 'add', 'drop', 'rewrite', 'undo', 'wait', 'crash', 'leave'),
      field: fc.constantFrom(0, 1),
      fate: fc.constantFrom<Fate>('arrives', 'arrives', 'lostRequest', 'lostAnswer'),
    },
    { noNullPrototype: true },
  );

  test('no edit is lost and no question is asked', async () => {
    let [edits, crashes, lost] = [0, 0, 0];
    await fc.assert(
      fc.asyncProperty(fc.array(act, { minLength: 4, maxLength: 24 }), async (acts) => {
        server = fakeServer(() => Date.now());
        fakeBrowser().answer = (call) => server.answer(call);
        windows = fakeWindows();
        server.put('/people/mara', newPerson('Mara Quill'));
        const places = [windows.open(), windows.open()];
        const synced = [await openedIn(places[0]!), await openedIn(places[1]!)];
        /** What each window set last, kept apart from the code that is tested. */
        const expected: Record<string, string> = { note: '', contact: '', emergency: '', name: 'Mara Quill' };
        const notes = new Map<string, string>();
        for (const [i, { window, does, field, fate }] of acts.entries()) {
          server.fate = ({ method }) => {
            const becomes = method === 'PUT' ? fate : 'arrives';
            if (becomes !== 'arrives') lost++;
            return becomes;
          };
          const here = synced[window]!;
          const own = [...notes.keys()].filter((id) => id.startsWith(`w${window}-`));
          const list = here.document.value.notes;
          if (does === 'set') {
            const name = FIELDS[window]![field]!;
            expected[name] = `${name} ${i}`;
            put(here, { [name]: expected[name] });
            edits++;
          } else if (does === 'add') {
            const id = `w${window}-${i}`;
            notes.set(id, 'new');
            put(here, { notes: [...list, { id, on: '2026-11-20', words: 'new' }] });
            edits++;
          } else if ((does === 'drop' || does === 'rewrite') && own.length > 0) {
            const id = own[field % own.length]!;
            if (does === 'drop') notes.delete(id);
            else notes.set(id, `words ${i}`);
            const next = list.flatMap((one) =>
              one.id !== id ? [one] : does === 'drop' ? [] : [{ ...one, words: `words ${i}` }],
            );
            put(here, { notes: next });
            edits++;
          } else if (does === 'wait') {
            await jest.advanceTimersByTimeAsync(3000);
          } else if (does === 'crash' || does === 'leave') {
            if (does === 'leave') await here.close();
            places[window]!.crash();
            crashes++;
            places[window] = windows.open();
            server.fate = () => 'arrives';
            synced[window] = await openedIn(places[window]!);
          }
          if (field === 0) await soon();
          expect(synced.map(({ state }) => state.value)).not.toContain('conflict');
        }
        server.fate = () => 'arrives';
        await anHourLater();
        await anHourLater();
        const { note, contact, emergency, name, notes: kept } = stored();
        expect({ note, contact, emergency, name }).toEqual(expected);
        expect(Object.fromEntries(kept.map(({ id, words }) => [id, words]))).toEqual(Object.fromEntries(notes));
        expect(synced.map(({ document }) => document.value)).toEqual([stored(), stored()]);
        expect(synced.map(({ state }) => state.value)).toEqual(['saved', 'saved']);
        await Promise.all(synced.map((one) => one.close()));
        open = [];
      }),
      { numRuns: 1000 },
    );
    // It was tried in earnest.
    expect([edits > 3000, crashes > 300, lost > 1000]).toEqual([true, true, true]);
  });
});

test('kinds do not share anything: a group of the same id is another document', async () => {
  server.put('/groups/mara', newGroup('Choir'));
  const synced = await openedIn(windows.open());
  put(synced, { note: 'sings' });
  await soon();
  expect(server.stored('/groups/mara')!.document).toEqual(newGroup('Choir'));
});
