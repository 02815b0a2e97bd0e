import { beforeEach, describe, expect, test } from '@jest/globals';
import { effectScope } from 'vue';
import { newPerson, type Person } from '#core/people';
import { fakeBrowser, settle, type Call, type FakeBrowser } from '../../tests/support/browser';
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
let browser: FakeBrowser;
let stored: { revision: number; document: Person };

const row = () => ({ id: 'p1', createdAt: moment, updatedAt: moment, ...stored });
function server(call: Call) {
  if (call.method === 'GET') return { status: 200, body: row() };
  const sent = call.body as { revision: number; document: Person };
  if (sent.revision !== stored.revision) {
    const problem = { type: 'about:blank', title: 'Changed elsewhere', status: 409, detail: 'Changed elsewhere.' };
    return { status: 409, body: { ...problem, current: row(), yours: sent.document } };
  }
  stored = { revision: stored.revision + 1, document: sent.document };
  return { status: 200, body: row() };
}
async function opened() {
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
    const { stored: here, change } = await opened();
    expect(here.value?.document.name).toBe('Mara Quill');
    expect(await change((before) => ({ ...before, note: 'sings' }))).toBeUndefined();
    expect(stored).toMatchObject({ revision: 2, document: { note: 'sings' } });
    expect(await change((before) => ({ ...before, name: ' ' }))).toBe('A name is needed.');
    expect(stored.revision).toBe(2);
  });

  test('changed elsewhere meanwhile: the edit is made again on what is there now', async () => {
    const { change } = await opened();
    stored = { revision: 5, document: { ...stored.document, name: 'Mara Quill-Ash' } };
    expect(await change((before) => ({ ...before, note: 'sings' }))).toBeUndefined();
    expect(stored).toMatchObject({ revision: 6, document: { name: 'Mara Quill-Ash', note: 'sings' } });
  });

  test('a measuring that cannot be sent stays in this browser and is sent when the person is opened again', async () => {
    const first = await opened();
    browser.answer = (call) => (call.method === 'PUT' ? 'unreachable' : server(call));
    expect(await first.addMeasure(measure)).toBe('The server cannot be reached.');
    browser.answer = server;
    await opened();
    await settle();
    expect(stored.document.breaths).toEqual([measure]);
    await opened();
    expect(stored.document.breaths).toHaveLength(1);
  });

  test('one that is gone says so', async () => {
    browser.answer = () => ({ status: 404 });
    const { missing, trouble } = await opened();
    expect([missing.value, trouble.value]).toEqual([true, 'Refused.']);
  });
});

describe('taking back', () => {
  test('undoes the last change made here, and leaves what was changed elsewhere meanwhile', async () => {
    const person = await opened();
    expect(person.canUndo.value).toBe(false);
    await person.change((before) => ({ ...before, note: 'sits high' }));
    await person.change((before) => ({ ...before, contact: 'by the door' }));
    stored = { revision: stored.revision + 1, document: { ...stored.document, emergency: 'Corin' } };
    expect(await person.undo()).toBeUndefined();
    expect(stored.document).toMatchObject({ note: 'sits high', contact: '', emergency: 'Corin' });
    await person.undo();
    expect([stored.document.note, stored.document.emergency, person.canUndo.value]).toEqual(['', 'Corin', false]);
    expect(await person.undo()).toBeUndefined();
  });
});
