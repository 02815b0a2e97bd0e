import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { emptyPlan, holdNamed, setDetails, setHoldSeconds, setStepCommon, talkStep, type Plan } from '#core/plan';
import { fakeBrowser, settle, type Call, type FakeBrowser } from '../../tests/support/browser';
import { useEditor } from './editor';

const at = new Date(1_790_000_000_000).toISOString();
let browser: FakeBrowser;
let onServer: { revision: number; document: Plan };
const titled = (title: string): Plan => ({ ...emptyPlan(title), steps: [holdNamed('Long lean', 'a'), talkStep('b')] });
const stored = () => ({ id: 'p', createdAt: at, updatedAt: at, ...onServer });

/** A server with one plan that takes saves as the real one does. */
function serve({ method, path, body }: Call) {
  if (method === 'GET') return { status: 200, body: stored() };
  if (method === 'POST' && path === '/plans') {
    return {
      status: 201,
      body: { ...stored(), id: 'copy', revision: 1, document: (body as { document: Plan }).document },
    };
  }
  const { revision, document } = body as { revision: number; document: Plan };
  const same = JSON.stringify(document) === JSON.stringify(onServer.document);
  if (revision !== onServer.revision && !(same && revision + 1 === onServer.revision)) {
    const problem = { type: 'about:blank', title: 'Changed elsewhere', status: 409, detail: 'Changed elsewhere.' };
    return { status: 409, body: { ...problem, current: stored(), yours: document } };
  }
  if (!same) onServer = { revision: revision + 1, document };
  return { status: 200, body: stored() };
}
async function pass(ms: number): Promise<void> {
  await settle();
  jest.advanceTimersByTime(ms);
  await settle();
}
async function opened() {
  setActivePinia(createPinia());
  const editor = useEditor();
  await editor.open('p');
  return editor;
}
const drafts = () => Object.keys(browser.local).filter((key) => key.startsWith('zovrin.draft.p'));

beforeEach(() => {
  jest.useFakeTimers();
  browser = fakeBrowser();
  onServer = { revision: 1, document: titled('Evening') };
  browser.answer = serve;
});
afterEach(() => void jest.useRealTimers());

describe('saving as one types', () => {
  test('an edit is kept here at once, saved after a moment, and then no longer kept here', async () => {
    const editor = await opened();
    expect(editor.edit(setDetails({ title: 'Late evening' }))).toEqual([]);
    await settle();
    expect(editor.state).toBe('unsaved');
    expect(drafts()).toHaveLength(1);
    await pass(700);
    expect(editor.state).toBe('saved');
    expect(onServer).toMatchObject({ revision: 2, document: { title: 'Late evening' } });
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
    expect(onServer.document.title).toBe('Late');
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
    expect(onServer).toMatchObject({ revision: 3, document: { title: 'Evening' } });
    editor.redo();
    await pass(700);
    expect(onServer).toMatchObject({ revision: 4, document: { title: 'One' } });
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
    await pass(2000);
    await pass(5000);
    expect(browser.calls.filter(({ method }) => method === 'PUT')).toHaveLength(3);
    browser.answer = serve;
    await pass(10_000);
    expect([editor.state, editor.trouble, onServer.document.title]).toEqual(['saved', '', 'Kept']);
  });

  test('a reload takes up what was not saved', async () => {
    const before = await opened();
    browser.answer = (call) => (call.method === 'PUT' ? 'unreachable' : serve(call));
    before.edit(setDetails({ title: 'Before the reload' }));
    await pass(700);
    browser.answer = serve;
    const after = await opened();
    expect(after.plan?.title).toBe('Before the reload');
    expect(after.canUndo).toBe(true);
    await pass(700);
    expect(onServer.document.title).toBe('Before the reload');
  });

  test('a save that was stored but not answered is no conflict, not even after a reload', async () => {
    const before = await opened();
    browser.answer = (call) => {
      const answer = serve(call);
      return call.method === 'PUT' ? 'unreachable' : answer;
    };
    before.edit(setDetails({ title: 'First' }));
    await pass(700);
    before.edit(setDetails({ title: 'Second' }));
    await settle();
    expect(onServer.document.title).toBe('First');
    browser.answer = serve;
    const after = await opened();
    expect([after.state, after.plan?.title]).toEqual(['unsaved', 'Second']);
    await pass(700);
    expect(onServer).toMatchObject({ revision: 3, document: { title: 'Second' } });
  });

  test('a refusal is told with its field and not repeated', async () => {
    const editor = await opened();
    const errors = [{ field: 'document.title', reason: 'A title has at most 200 letters.' }];
    browser.answer = () => ({
      status: 422,
      body: { type: 'about:blank', title: 'Not accepted', status: 422, detail: 'No.', errors },
    });
    editor.edit(setDetails({ title: 'Odd' }));
    await pass(60_000);
    expect(editor.state).toBe('refused');
    expect(editor.trouble).toBe('A title has at most 200 letters. (document.title)');
    expect(browser.calls.filter(({ method }) => method === 'PUT')).toHaveLength(1);
  });

  test('a full storage is told', async () => {
    const editor = await opened();
    browser.local.fill();
    editor.edit(setDetails({ title: 'No room' }));
    await settle();
    expect(editor.storageFull).toBe(true);
    await pass(700);
    expect([editor.state, onServer.document.title]).toEqual(['saved', 'No room']);
  });
});

describe('changed in two places', () => {
  async function inConflict() {
    const editor = await opened();
    onServer = { revision: 2, document: titled('Theirs') };
    editor.edit(setDetails({ title: 'Mine' }));
    await pass(700);
    expect(editor.state).toBe('conflict');
    expect(editor.conflict).toMatchObject({ current: { revision: 2 }, yours: { title: 'Mine' } });
    return editor;
  }

  test('going on with mine keeps theirs as a plan of its own', async () => {
    const editor = await inConflict();
    const copy = await editor.resolve('mine');
    expect(copy?.document.title).toBe('Theirs (other version)');
    expect(onServer).toMatchObject({ revision: 3, document: { title: 'Mine' } });
    expect([editor.state, editor.conflict]).toEqual(['saved', undefined]);
  });

  test('going on with theirs keeps mine as a plan of its own, and undo brings it back', async () => {
    const editor = await inConflict();
    const copy = await editor.resolve('theirs');
    expect(copy?.document.title).toBe('Mine (other version)');
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
    browser.answer = (call) => (call.method === 'PUT' ? 'unreachable' : serve(call));
    before.edit(setDetails({ title: 'From yesterday' }));
    await pass(700);
    onServer = { revision: 2, document: titled('From today') };
    browser.answer = serve;
    const after = await opened();
    expect(after.state).toBe('conflict');
    expect([after.conflict?.yours.title, after.conflict?.current.document.title]).toEqual([
      'From yesterday',
      'From today',
    ]);
  });

  test('a reload in the middle of a conflict asks again', async () => {
    await inConflict();
    for (let i = 0; i < 2; i++) {
      const after = await opened();
      expect(after.state).toBe('conflict');
      expect([after.plan?.title, after.conflict?.current.document.title]).toEqual(['Mine', 'Theirs']);
    }
    expect(onServer.document.title).toBe('Theirs');
  });

  test('a draft of a tab that is still open is left to it', async () => {
    const draft = { revision: 1, document: titled('Being typed over there'), unanswered: [], editedAt: 1 };
    browser.local.setItem('zovrin.draft.p.other', JSON.stringify(draft));
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
    expect(onServer).toMatchObject({ revision: 2, document: { title: 'Typed and left' } });
    expect([editor.state, editor.revision]).toEqual(['saved', 2]);
    editor.edit(setDetails({ title: 'And on' }));
    await pass(700);
    expect(onServer.document.title).toBe('And on');
  });

  test('what cannot be sent stays kept, and nothing is tried for it while another plan is open', async () => {
    const editor = await opened();
    browser.answer = (call) => (call.method === 'PUT' ? 'unreachable' : serve(call));
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
  editor.edit({ name: 'delete', apply: (plan) => ({ ...plan, steps: plan.steps.slice(1) }) });
  expect(editor.selected).toBe('b');
  editor.edit(setStepCommon('b', { name: 'Close' }));
  expect(editor.selectedStep?.name).toBe('Close');
});

describe('opening one plan after another', () => {
  test('three opened fast: the last is on the desk, whichever answer comes last', async () => {
    setActivePinia(createPinia());
    const editor = useEditor();
    const asked: [path: string, answer: () => void][] = [];
    browser.answer = ({ path }) =>
      new Promise((resolve) => {
        const id = path.split('/').at(-1)!;
        asked.push([id, () => resolve({ status: 200, body: { ...stored(), id, document: titled(id) } })]);
      });
    const opened = ['a', 'b', 'c'].map((id) => editor.open(id));
    await settle();
    // The answers come in the wrong order.
    for (const [, answer] of asked.toReversed()) answer();
    await settle();
    for (const [, answer] of asked.toReversed()) answer();
    await Promise.all(opened);
    expect([editor.id, editor.plan?.title]).toEqual(['c', 'c']);
  });
});
