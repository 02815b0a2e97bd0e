import { beforeEach, describe, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { effectScope } from 'vue';
import { keptCondition, newPerson, type KeptCondition, type Person } from '#core/people';
import { fakeBrowser, settle, type Call, type FakeBrowser } from '../../../tests/support/browser';
import { usePeople } from '../../state/people';
import { vault } from '../../sync/vault';
import { usePerson } from './use-person';

const measure = {
  id: 'm1',
  measuredAt: '2026-11-20T18:30',
  in: [4, 4, 4, 4, 4],
  out: [5, 5, 5, 5, 5],
  holdFull: [],
  holdEmpty: [],
};
const moment = '2026-11-20T18:30:00.000Z';
const knee: KeptCondition = keptCondition('k', 'knee');
const carrying: KeptCondition = { ...keptCondition('p', 'pregnancy'), since: '2026-06-18' };
let browser: FakeBrowser;
let stored: { revision: number; document: Person };

const row = () => ({ id: 'p1', createdAt: moment, updatedAt: moment, ...stored });
function server(call: Call) {
  if (call.path === '/people') return { status: 200, body: { unreadable: 0, people: [row()] } };
  if (call.path === '/people/groups') return { status: 200, body: { unreadable: 0, groups: [] } };
  if (call.method === 'GET') return { status: 200, body: row() };
  const sent = call.body as { revision: number; document: Person };
  if (sent.revision !== stored.revision) {
    const problem = { type: 'about:blank', title: 'Changed elsewhere', status: 409, detail: 'Changed elsewhere.' };
    return { status: 409, body: { ...problem, current: row(), yours: sent.document } };
  }
  stored = { revision: stored.revision + 1, document: sent.document };
  return { status: 200, body: row() };
}
const elsewhere = (patch: Partial<Person>): void => {
  stored = { revision: stored.revision + 4, document: { ...stored.document, ...patch } };
};
/** A window of its own: another tab, or the same page opened again. */
async function opened() {
  setActivePinia(createPinia());
  const person = effectScope().run(() => usePerson('p1'))!;
  await settle();
  return person;
}

beforeEach(() => {
  browser = fakeBrowser();
  stored = { revision: 1, document: newPerson('Mara Quill') };
  browser.answer = server;
});

describe('a person', () => {
  test('is read and changed; what does not fit is refused and not sent', async () => {
    const { document: here, put } = await opened();
    expect(here.value.name).toBe('Mara Quill');
    expect(put('note', { note: 'sings' })).toBeUndefined();
    await settle();
    expect(stored).toMatchObject({ revision: 2, document: { note: 'sings' } });
    expect(put('rename', { name: ' ' })).toBe('A name is needed.');
    await settle();
    expect(stored.revision).toBe(2);
  });

  test('changed again before the first change was answered: both arrive, and each is taken back by itself', async () => {
    const person = await opened();
    person.put('told', { conditions: [carrying] });
    person.put('told', { conditions: [...person.document.value.conditions, knee] });
    await settle();
    expect(stored.document.conditions).toEqual([carrying, knee]);
    person.undo();
    await settle();
    expect(stored.document.conditions).toEqual([carrying]);
    person.redo();
    await settle();
    expect(stored.document.conditions).toEqual([carrying, knee]);
  });

  test('changed in another window: what both told of is kept, and what one corrected stays corrected', async () => {
    stored.document.conditions = [carrying];
    const { put, document: here } = await opened();
    elsewhere({ name: 'Mara Quill-Ash', conditions: [carrying, knee] });
    put('told', { conditions: [{ ...carrying, note: 'twins' }] });
    await settle();
    expect(stored).toMatchObject({
      revision: 6,
      document: { name: 'Mara Quill-Ash', conditions: [{ ...carrying, note: 'twins' }, knee] },
    });
    expect(here.value).toEqual(stored.document);
  });

  test('both changed the same: nobody is chosen for, and both are there until one is', async () => {
    const { put, theirs, document: here, settle: choose } = await opened();
    elsewhere({ note: 'sings low' });
    put('note', { note: 'sings high' });
    await settle();
    expect([here.value.note, theirs.value?.document.note, stored.document.note]).toEqual([
      'sings high',
      'sings low',
      'sings low',
    ]);
    choose(true);
    await settle();
    expect([stored.document.note, theirs.value]).toEqual(['sings high', undefined]);
  });

  test('is followed where another window changed them', async () => {
    const { document: here } = await opened();
    elsewhere({ note: 'sings' });
    await usePeople().load();
    await settle();
    expect(here.value.note).toBe('sings');
  });

  test('a measuring that cannot be sent stays in this browser and is sent when the person is opened again', async () => {
    const first = await opened();
    browser.answer = (call) => (call.method === 'PUT' ? 'unreachable' : server(call));
    first.put('measure', { breaths: [measure] });
    await settle();
    expect(first.trouble.value).toBe('The server cannot be reached.');
    browser.answer = server;
    elsewhere({ note: 'came late' });
    await opened();
    expect(stored.document).toMatchObject({ breaths: [measure], note: 'came late' });
    await opened();
    expect(stored.document.breaths).toHaveLength(1);
    expect(browser.local.getItem('zovrin.person.unsent.p1')).toBeNull();
  });

  test('an answer that was lost, and the same field changed again: that is no conflict with oneself', async () => {
    const { put, theirs, trouble } = await opened();
    browser.answer = (call) => {
      server(call);
      return 'unreachable';
    };
    put('note', { note: 'sings' });
    await settle();
    expect([stored.document.note, trouble.value]).toEqual(['sings', 'The server cannot be reached.']);
    browser.answer = server;
    put('note', { note: 'sings high' });
    await settle();
    expect([stored.document.note, theirs.value, trouble.value]).toEqual(['sings high', undefined, '']);
  });

  test('what is changed while a save fails is sent after it, without being told to', async () => {
    const { put, trouble } = await opened();
    let failed = 0;
    browser.answer = (call) => (call.method === 'PUT' && failed++ === 0 ? 'unreachable' : server(call));
    put('note', { note: 'sings' });
    put('contact', { contact: 'by the door' });
    await settle();
    expect(stored.document).toMatchObject({ note: 'sings', contact: 'by the door' });
    expect(trouble.value).toBe('');
  });

  test('forgotten for good, nothing of them is left in this browser', async () => {
    const { put, forget } = await opened();
    browser.answer = () => 'unreachable';
    put('told', { conditions: [carrying] });
    await settle();
    expect(vault.read('zovrin.person.unsent.p1')).toContain('pregnancy');
    // And what there was could not be read by who is locked out.
    expect(JSON.stringify(browser.local)).not.toContain('pregnancy');
    forget();
    expect(browser.local.getItem('zovrin.person.unsent.p1')).toBeNull();
  });

  test('one that is gone says so', async () => {
    browser.answer = () => ({ status: 404 });
    const { missing, trouble } = await opened();
    expect([missing.value, trouble.value]).toEqual([true, 'Refused.']);
  });
});

describe('taking back', () => {
  test('undoes the last change made here, and leaves what was changed elsewhere meanwhile', async () => {
    const { put, undo, canUndo } = await opened();
    expect(canUndo.value).toBe(false);
    put('note', { note: 'sits high' });
    await settle();
    put('contact', { contact: 'by the door' });
    await settle();
    elsewhere({ emergency: 'Corin' });
    undo();
    await settle();
    expect(stored.document).toMatchObject({ note: 'sits high', contact: '', emergency: 'Corin' });
    undo();
    await settle();
    expect(stored.document).toMatchObject({ note: '', contact: '', emergency: 'Corin' });
    expect(canUndo.value).toBe(false);
  });
});
