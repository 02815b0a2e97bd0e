import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import {
  addStep,
  emptyPlan,
  holdNamed,
  removeStep,
  setDetails,
  setHoldSeconds,
  setStepCommon,
  several,
  talkStep,
  type Plan,
} from '#core/plan';
import { fakeBrowser, settle, type FakeBrowser } from '../../tests/support/browser';
import { fakeServer, type Fate, type FakeServer } from '../../tests/support/fake-server';
import { useEditor } from './editor';

let browser: FakeBrowser;
let server: FakeServer;
const onServer = () => server.stored('/plans/p') as { revision: number; document: Plan };
const at = '2026-11-20T18:30:00.000Z';
const titled = (title: string): Plan => ({ ...emptyPlan(title), steps: [holdNamed('Long lean', 'a'), talkStep('b')] });
async function pass(ms: number): Promise<void> {
  await settle();
  jest.advanceTimersByTime(ms);
  await settle();
}
/** Opens the plan; what was open before is left, without its unsent changes where the server is away. */
async function opened() {
  await last?.close();
  setActivePinia(createPinia());
  const editor = useEditor();
  last = editor;
  await editor.open('p');
  return editor;
}
let last: ReturnType<typeof useEditor> | undefined;
const drafts = () => Object.keys(browser.local).filter((key) => key.startsWith('zovrin.draft.plan.p.'));
const lose = (fate: Fate) => (server.fate = ({ method }) => (method === 'PUT' ? fate : 'arrives'));
const arrive = () => (server.fate = () => 'arrives');

beforeEach(() => {
  jest.useFakeTimers();
  browser = fakeBrowser();
  last = undefined;
  server = fakeServer();
  server.put('/plans/p', titled('Evening'));
  browser.answer = server.answer;
});
afterEach(async () => {
  await last?.close();
  jest.useRealTimers();
});

describe('saving as one types', () => {
  test('an edit is kept here at once, saved after a moment, and then no longer kept here', async () => {
    const editor = await opened();
    expect(editor.edit(setDetails({ title: 'Late evening' }))).toEqual([]);
    await settle();
    expect(editor.state).toBe('unsaved');
    expect(drafts()).toHaveLength(1);
    await pass(700);
    expect(editor.state).toBe('saved');
    expect(onServer()).toMatchObject({ revision: 2, document: { title: 'Late evening' } });
    expect(drafts()).toHaveLength(0);
  });

  test('edits in a row are one save', async () => {
    const editor = await opened();
    for (const title of ['L', 'La', 'Late']) {
      editor.edit(setDetails({ title }));
      await pass(200);
    }
    await pass(700);
    expect(browser.calls.filter(({ method }) => method === 'PUT')).toHaveLength(1);
    expect(onServer().document.title).toBe('Late');
  });

  test('an edit that changes nothing saves nothing; one that is refused changes nothing', async () => {
    const editor = await opened();
    editor.edit(setDetails({ title: 'Evening' }));
    expect(editor.edit(setHoldSeconds('a', 'even', 0))).toEqual([
      { field: 'steps.0.sides.seconds', reason: 'A hold is at least 0:01.' },
    ]);
    await pass(5000);
    expect(browser.calls.filter(({ method }) => method === 'PUT')).toHaveLength(0);
    expect(editor.canUndo).toBe(false);
  });

  test('undo and redo are saved like any edit', async () => {
    const editor = await opened();
    editor.edit(setDetails({ title: 'One' }));
    await pass(700);
    editor.undo();
    await pass(700);
    expect(onServer()).toMatchObject({ revision: 3, document: { title: 'Evening' } });
    editor.redo();
    await pass(700);
    expect(onServer()).toMatchObject({ revision: 4, document: { title: 'One' } });
  });
});

describe('when the server is away', () => {
  test('it says so, tries again with longer waits, and saves once it can', async () => {
    const editor = await opened();
    browser.answer = () => 'unreachable';
    editor.edit(setDetails({ title: 'Kept' }));
    await pass(700);
    expect(editor.state).toBe('waiting');
    expect(editor.trouble).toBe('The server cannot be reached.');
    const tries = () => browser.calls.length;
    const before = tries();
    await pass(2000);
    await pass(5000);
    // It asks first what became of what it sent.
    expect(tries()).toBe(before + 2);
    browser.answer = server.answer;
    arrive();
    await pass(10_000);
    expect([editor.state, editor.trouble, onServer().document.title]).toEqual(['saved', '', 'Kept']);
  });

  test('a reload takes up what was not saved', async () => {
    const before = await opened();
    lose('lostRequest');
    before.edit(setDetails({ title: 'Before the reload' }));
    await pass(700);
    await before.close();
    arrive();
    const after = await opened();
    expect(after.plan?.title).toBe('Before the reload');
    expect(after.canUndo).toBe(true);
    await pass(700);
    expect(onServer().document.title).toBe('Before the reload');
  });

  test('a save that was stored but not answered is no conflict, not even after a reload', async () => {
    const before = await opened();
    lose('lostAnswer');
    before.edit(setDetails({ title: 'First' }));
    await pass(700);
    before.edit(setDetails({ title: 'Second' }));
    await settle();
    expect(onServer().document.title).toBe('First');
    lose('lostRequest');
    await before.close();
    arrive();
    const after = await opened();
    expect([after.state, after.plan?.title]).toEqual(['saving', 'Second']);
    await pass(700);
    expect(onServer()).toMatchObject({ revision: 3, document: { title: 'Second' } });
  });

  test('a refusal is told with its field and not repeated', async () => {
    const editor = await opened();
    const errors = [{ field: 'document.title', reason: 'A title has at most 200 characters.' }];
    browser.answer = () => ({
      status: 422,
      body: { type: 'about:blank', title: 'Not accepted', status: 422, detail: 'No.', errors },
    });
    editor.edit(setDetails({ title: 'Odd' }));
    await pass(60_000);
    expect(editor.state).toBe('refused');
    expect(editor.trouble).toBe('A title has at most 200 characters. (document.title)');
    expect(browser.calls.filter(({ method }) => method === 'PUT')).toHaveLength(1);
  });

  test('a full storage is told', async () => {
    const editor = await opened();
    browser.local.fill();
    editor.edit(setDetails({ title: 'No room' }));
    await settle();
    expect(editor.storageFull).toBe(true);
    await pass(700);
    expect([editor.state, onServer().document.title]).toEqual(['saved', 'No room']);
  });
});

/** The plans that were made beside the one that is open. */
const copies = () =>
  browser.calls.flatMap(({ method, body }) => (method === 'POST' ? [(body as { document: Plan }).document.title] : []));

describe('changed in two places', () => {
  async function inConflict() {
    const editor = await opened();
    server.put('/plans/p', titled('Theirs'), 2);
    editor.edit(setDetails({ title: 'Mine' }));
    await pass(700);
    expect(editor.state).toBe('conflict');
    expect([editor.conflict?.document.title, editor.plan?.title]).toEqual(['Theirs', 'Mine']);
    return editor;
  }

  test('going on with mine keeps theirs as a plan of its own', async () => {
    const editor = await inConflict();
    await editor.resolve('mine');
    expect(copies()).toEqual(['Theirs (other version)']);
    expect(onServer()).toMatchObject({ revision: 3, document: { title: 'Mine' } });
    expect([editor.state, editor.conflict]).toEqual(['saved', undefined]);
  });

  test('going on with theirs keeps mine as a plan of its own, and undo brings it back', async () => {
    const editor = await inConflict();
    await editor.resolve('theirs');
    expect(copies()).toEqual(['Mine (other version)']);
    expect(editor.plan?.title).toBe('Theirs');
    editor.undo();
    expect(editor.plan?.title).toBe('Mine');
  });

  test('when the copy cannot be made nothing is decided', async () => {
    const editor = await inConflict();
    browser.answer = () => 'unreachable';
    await expect(editor.resolve('mine')).rejects.toThrow('cannot be reached');
    expect(editor.state).toBe('conflict');
    expect(drafts()).toHaveLength(1);
  });

  test('an edit kept from an earlier visit meets what was saved elsewhere since', async () => {
    const before = await opened();
    lose('lostRequest');
    before.edit(setDetails({ title: 'From yesterday' }));
    await pass(700);
    server.put('/plans/p', titled('From today'), 2);
    await before.close();
    arrive();
    const after = await opened();
    expect(after.state).toBe('conflict');
    expect([after.plan?.title, after.conflict?.document.title]).toEqual(['From yesterday', 'From today']);
  });

  test('a reload in the middle of a conflict asks again', async () => {
    await inConflict();
    for (let i = 0; i < 2; i++) {
      const after = await opened();
      expect(after.state).toBe('conflict');
      expect([after.plan?.title, after.conflict?.document.title]).toEqual(['Mine', 'Theirs']);
    }
    expect(onServer().document.title).toBe('Theirs');
  });

  test('a draft of a tab that is still open is left to it', async () => {
    const draft = { revision: 1, document: titled('Being typed over there'), unanswered: [], editedAt: 1 };
    browser.local.setItem('zovrin.draft.plan.p.other.someone', JSON.stringify(draft));
    browser.otherTabs = ['zovrin.tab.other'];
    expect((await opened()).plan?.title).toBe('Evening');
    browser.otherTabs = [];
    expect((await opened()).plan?.title).toBe('Being typed over there');
  });
});

describe('from one plan to the next', () => {
  test('what was typed last is saved on the way, each plan under its own address', async () => {
    const editor = await opened();
    editor.edit(setDetails({ title: 'Typed and left' }));
    const next = editor.open('p');
    await settle();
    await next;
    expect(onServer()).toMatchObject({ revision: 2, document: { title: 'Typed and left' } });
    expect([editor.state, editor.revision]).toEqual(['saved', 2]);
    editor.edit(setDetails({ title: 'And on' }));
    await pass(700);
    expect(onServer().document.title).toBe('And on');
  });

  test('what cannot be sent stays kept, and nothing is tried for it while another plan is open', async () => {
    const editor = await opened();
    lose('lostRequest');
    editor.edit(setDetails({ title: 'Left behind' }));
    await pass(700);
    await editor.close();
    const tried = browser.calls.length;
    await pass(60_000);
    expect(browser.calls).toHaveLength(tried);
    expect(drafts()).toHaveLength(1);
  });
});

test('the chosen step follows: a hold first, and the neighbour when it is gone', async () => {
  const editor = await opened();
  expect(editor.selected).toBe('a');
  editor.edit(removeStep('a'));
  expect(editor.selected).toBe('b');
  editor.edit(setStepCommon('b', { name: 'Close' }));
  expect(editor.selectedStep?.name).toBe('Close');
});

test('several steps are chosen: to one, besides the others, no longer; choosing one chooses it alone', async () => {
  const editor = await opened();
  editor.edit(several([addStep(talkStep('c'), 9), addStep(talkStep('d'), 9), addStep(talkStep('e'), 9)]));
  editor.selected = 'b';
  editor.selectTo('d');
  expect([editor.selection, editor.selected]).toEqual([['b', 'c', 'd'], 'd']);
  // A range always begins where the choice did.
  editor.selectTo('a');
  expect([editor.selection, editor.selected]).toEqual([['a', 'b'], 'a']);
  editor.toggleSelected('e');
  expect([editor.selection, editor.selected]).toEqual([['a', 'b', 'e'], 'e']);
  editor.toggleSelected('e');
  editor.toggleSelected('a');
  editor.toggleSelected('b');
  expect([editor.selection, editor.selected]).toEqual([['b'], 'b']);
  editor.select(['c', 'e']);
  editor.edit(removeStep('c'));
  expect(editor.selection).toEqual(['e']);
  editor.selected = 'a';
  expect(editor.selection).toEqual(['a']);
});

describe('opening one plan after another', () => {
  test('three opened fast: the last is on the desk, whichever answer comes last', async () => {
    setActivePinia(createPinia());
    const editor = useEditor();
    const requests: [path: string, answer: () => void][] = [];
    browser.answer = ({ path }) =>
      new Promise((resolve) => {
        const id = path.split('/').at(-1)!;
        requests.push([
          id,
          () => resolve({ status: 200, body: { id, revision: 1, createdAt: at, updatedAt: at, document: titled(id) } }),
        ]);
      });
    const opened = ['a', 'b', 'c'].map((id) => editor.open(id));
    await settle();
    // The answers come in the wrong order.
    for (const [, answer] of requests.toReversed()) answer();
    await settle();
    for (const [, answer] of requests.toReversed()) answer();
    await Promise.all(opened);
    expect([editor.id, editor.plan?.title]).toEqual(['c', 'c']);
  });
});
