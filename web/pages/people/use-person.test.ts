import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { effectScope, type EffectScope } from 'vue';
import { personCondition, newPerson, type PersonCondition, type Person } from '#core/people';
import { fakeBrowser, settle, type FakeBrowser } from '../../../tests/support/browser';
import { fakeServer, type FakeServer } from '../../../tests/support/fake-server';
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
const knee: PersonCondition = personCondition('k', 'knee');
const carrying: PersonCondition = { ...personCondition('p', 'pregnancy'), since: '2026-06-18' };
let browser: FakeBrowser;
let server: FakeServer;
let scopes: EffectScope[] = [];
/** A scope that ends with the test: nothing is tried again after it. */
function scopeOfTest(): EffectScope {
  const scope = effectScope();
  scopes.push(scope);
  return scope;
}
afterEach(() => {
  for (const scope of scopes) scope.stop();
  scopes = [];
});
const stored = () => server.stored('/people/p1') as { revision: number; document: Person };
/** Another window saves. */
const elsewhere = (patch: Partial<Person>): void =>
  server.put('/people/p1', { ...stored().document, ...patch }, stored().revision + 4);
const drafts = (): string[] => Object.keys(browser.local).filter((key) => key.startsWith('zovrin.draft.person.p1.'));
/** The person’s page, opened; `leave` goes away from it. */
async function opened() {
  setActivePinia(createPinia());
  const scope = scopeOfTest();
  const person = scope.run(() => usePerson('p1'))!;
  await settle();
  const leave = async (): Promise<void> => {
    scope.stop();
    await settle();
  };
  return { ...person, leave };
}

beforeEach(() => {
  browser = fakeBrowser();
  server = fakeServer();
  server.put('/people/p1', newPerson('Mara Quill'));
  browser.answer = server.answer;
});

describe('a person', () => {
  test('is read and changed; what does not fit is refused and not sent', async () => {
    const { document: here, put } = await opened();
    expect(here.value.name).toBe('Mara Quill');
    expect(put('note', { note: 'sings' })).toBeUndefined();
    await settle();
    expect(stored()).toMatchObject({ revision: 2, document: { note: 'sings' } });
    expect(put('rename', { name: ' ' })).toBe('A name is needed.');
    await settle();
    expect(stored().revision).toBe(2);
  });

  test('changed again before the first change was answered: both arrive, and each is taken back by itself', async () => {
    const person = await opened();
    person.put('told', { conditions: [carrying] });
    person.put('told', { conditions: [...person.document.value.conditions, knee] });
    await settle();
    expect(stored().document.conditions).toEqual([carrying, knee]);
    person.undo();
    await settle();
    expect(stored().document.conditions).toEqual([carrying]);
    person.redo();
    await settle();
    expect(stored().document.conditions).toEqual([carrying, knee]);
  });

  test('changed in another window: what both told of is kept, and what one corrected stays corrected', async () => {
    server.put('/people/p1', { ...newPerson('Mara Quill'), conditions: [carrying] });
    const { put, document: here } = await opened();
    elsewhere({ name: 'Mara Quill-Ash', conditions: [carrying, knee] });
    put('told', { conditions: [{ ...carrying, note: 'twins' }] });
    await settle();
    expect(stored()).toMatchObject({
      revision: 6,
      document: { name: 'Mara Quill-Ash', conditions: [{ ...carrying, note: 'twins' }, knee] },
    });
    expect(here.value).toEqual(stored().document);
  });

  test('both changed the same: nobody is chosen for, and both are there until one is', async () => {
    const { put, conflict, document: here, resolve } = await opened();
    elsewhere({ note: 'sings low' });
    put('note', { note: 'sings high' });
    await settle();
    expect([here.value.note, conflict.value?.document.note, stored().document.note]).toEqual([
      'sings high',
      'sings low',
      'sings low',
    ]);
    await resolve('mine');
    expect([stored().document.note, conflict.value]).toEqual(['sings high', undefined]);
  });

  test('is followed where another window changed them', async () => {
    const { document: here } = await opened();
    elsewhere({ note: 'sings' });
    browser.hear('zovrin.person.p1', 5);
    await settle();
    expect(here.value.note).toBe('sings');
  });

  test('a measuring that cannot be sent stays in this browser and is sent when the person is opened again', async () => {
    const first = await opened();
    server.fate = ({ method }) => (method === 'PUT' ? 'lostRequest' : 'arrives');
    first.put('measure', { breaths: [measure] });
    await settle();
    expect(first.trouble.value).toBe('The server cannot be reached.');
    await first.leave();
    server.fate = () => 'arrives';
    elsewhere({ note: 'came late' });
    const again = await opened();
    expect(stored().document).toMatchObject({ breaths: [measure], note: 'came late' });
    await again.leave();
    await opened();
    expect(stored().document.breaths).toHaveLength(1);
    expect(drafts()).toEqual([]);
  });

  test('an answer that was lost, and the same field changed again: that is no conflict with oneself', async () => {
    const { put, conflict, trouble } = await opened();
    server.fate = () => 'lostAnswer';
    put('note', { note: 'sings' });
    await settle();
    expect([stored().document.note, trouble.value]).toEqual(['sings', 'The server cannot be reached.']);
    server.fate = () => 'arrives';
    put('note', { note: 'sings high' });
    await settle();
    expect([stored().document.note, conflict.value, trouble.value]).toEqual(['sings high', undefined, '']);
  });

  test('what is changed while a save fails is sent after it, without being told to', async () => {
    const { put, trouble } = await opened();
    let failed = 0;
    server.fate = ({ method }) => (method === 'PUT' && failed++ === 0 ? 'lostRequest' : 'arrives');
    put('note', { note: 'sings' });
    put('contact', { contact: 'by the door' });
    await settle();
    expect(stored().document).toMatchObject({ note: 'sings', contact: 'by the door' });
    expect(trouble.value).toBe('');
  });

  test('forgotten for good, nothing of them is left in this browser', async () => {
    const { put, forget, leave } = await opened();
    browser.answer = () => 'unreachable';
    put('told', { conditions: [carrying] });
    await settle();
    expect(vault.read(drafts()[0]!)).toContain('pregnancy');
    // And what there was could not be read by who is locked out.
    expect(JSON.stringify(browser.local)).not.toContain('pregnancy');
    await forget();
    expect(drafts()).toEqual([]);
    // Nor does leaving the page, or a try to send it again, bring anything back.
    server.fate = () => 'arrives';
    browser.answer = () => ({ status: 404 });
    await leave();
    expect(drafts()).toEqual([]);
  });

  test('one that is gone says so', async () => {
    browser.answer = () => ({ status: 404 });
    const { isMissing, trouble } = await opened();
    expect([isMissing.value, trouble.value]).toEqual([true, 'Refused.']);
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
    expect(stored().document).toMatchObject({ note: 'sits high', contact: '', emergency: 'Corin' });
    undo();
    await settle();
    expect(stored().document).toMatchObject({ note: '', contact: '', emergency: 'Corin' });
    expect(canUndo.value).toBe(false);
  });
});
