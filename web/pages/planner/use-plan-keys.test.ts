/** @jest-environment ./tests/support/jsdom.js */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { flushPromises } from '@vue/test-utils';
import { createPinia, setActivePinia } from 'pinia';
import ToastService from 'primevue/toastservice';
import { emptyPlan, holdNamed, setStepCommon, talkStep, type Plan } from '#core/plan';
import { fakeBrowser } from '../../../tests/support/browser';
import { fakeServer } from '../../../tests/support/fake-server';
import { mounted, type Mounted } from '../../../tests/support/mounted';
import { useEditor } from '../../state/editor';
import type { UndoableMessage } from '../../ui/use-undo-toast';
import { usePlanKeys } from './use-plan-keys';

const plan: Plan = {
  ...emptyPlan('Evening'),
  steps: [holdNamed('Long lean', 'a'), holdNamed('Quay fold', 'b'), talkStep('c')],
};
const calls = { add: jest.fn(), toFields: jest.fn(), toList: jest.fn() };
let editor: ReturnType<typeof useEditor>;
let server: ReturnType<typeof fakeServer>;
let page: Mounted<void>;
/** The messages at the foot of the page. */
let messages: UndoableMessage[] = [];

beforeEach(async () => {
  messages = [];
  setActivePinia(createPinia());
  const browser = fakeBrowser();
  server = fakeServer();
  server.put('/plans/p', plan);
  browser.answer = server.answer;
  document.body.innerHTML =
    '<ol id="list"><li id="row" tabindex="0">Long lean</li></ol><div id="fields"><input id="name"></div><button id="other">Print</button>';
  const within = (id: string) => (target: Node) => document.getElementById(id)?.contains(target) === true;
  for (const one of Object.values(calls)) one.mockReset();
  editor = useEditor();
  page = mounted(
    () => usePlanKeys({ ...calls, inFields: within('fields'), onSteps: within('list') }),
    (app) => {
      app.use(ToastService);
      app.config.globalProperties.$toast.add = (message) => void messages.push(message);
    },
  );
  await editor.open('p');
  editor.selected = 'b';
});
afterEach(async () => {
  page.unmount();
  await editor.close();
  document.body.replaceChildren();
  await flushPromises();
});

/** Presses a key on an element; says whether the page took it from the browser. */
function press(id: string, key: string, keys: KeyboardEventInit = {}): boolean {
  const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...keys });
  document.getElementById(id)?.dispatchEvent(event);
  return event.defaultPrevented;
}
const ids = (): string[] => editor.plan?.steps.map(({ id }) => id) ?? [];

describe('on the list of steps', () => {
  test('d copies the selected step and selects the copy', () => {
    expect(press('row', 'd')).toBe(true);
    expect(ids()).toHaveLength(4);
    expect(editor.selectedStep?.name).toBe('Quay fold');
    expect(editor.selectedIndex).toBe(2);
  });

  test('l locks and unlocks it; Delete and Backspace delete it, and a neighbour is selected', () => {
    press('row', 'L');
    expect(editor.selectedStep?.locked).toBe(true);
    press('row', 'l');
    expect(editor.selectedStep?.locked).toBe(false);
    press('row', 'Delete');
    expect(ids()).toEqual(['a', 'c']);
    press('row', 'Backspace');
    expect([ids(), editor.selected]).toEqual([['a'], 'a']);
  });

  test('a deleted step is said, and comes back to its place, whatever was changed since', () => {
    press('row', 'Delete');
    editor.edit(setStepCommon('a', { name: 'Longer lean' }));
    expect([ids(), messages.map(({ summary }) => summary)]).toEqual([['a', 'c'], ['“Quay fold” was deleted']]);
    messages[0]?.undo?.();
    expect([ids(), editor.plan?.steps[0]?.name, editor.selected]).toEqual([['a', 'b', 'c'], 'Longer lean', 'b']);
  });

  test('it does not come into another plan that was opened meanwhile', async () => {
    press('row', 'Delete');
    server.put('/plans/q', { ...plan, title: 'Another', steps: [talkStep('z')] });
    await editor.open('q');
    messages[0]?.undo?.();
    expect(ids()).toEqual(['z']);
  });

  test('Alt with an arrow moves it, not past the ends; without Alt the arrow is the list’s', () => {
    expect(press('row', 'ArrowUp')).toBe(false);
    press('row', 'ArrowUp', { altKey: true });
    press('row', 'ArrowUp', { altKey: true });
    expect(ids()).toEqual(['b', 'a', 'c']);
    for (let i = 0; i < 3; i++) press('row', 'ArrowDown', { altKey: true });
    expect([ids(), editor.selected]).toEqual([['a', 'c', 'b'], 'b']);
  });

  test('Enter goes to the fields, a to the field for a new step; both change nothing', () => {
    press('row', 'Enter');
    press('row', 'a');
    expect([calls.toFields.mock.calls.length, calls.add.mock.calls.length, ids()]).toEqual([1, 1, ['a', 'b', 'c']]);
  });

  test('with Ctrl they are the browser’s, but for undo and redo', () => {
    expect(press('row', 'd', { ctrlKey: true })).toBe(false);
    editor.edit(setStepCommon('a', { name: 'Short lean' }));
    expect(press('row', 'z', { ctrlKey: true })).toBe(true);
    expect(editor.plan?.steps[0]?.name).toBe('Long lean');
    press('row', 'z', { ctrlKey: true, shiftKey: true });
    expect(editor.plan?.steps[0]?.name).toBe('Short lean');
  });
});

describe('several steps', () => {
  /** A clipboard event on an element; says what it leaves on the clipboard, and whether the page took it. */
  function clipboardEvent(kind: 'copy' | 'cut' | 'paste', id: string, data = new Map<string, string>()) {
    const event = new Event(kind, { bubbles: true, cancelable: true });
    Object.assign(event, {
      clipboardData: {
        setData: (type: string, text: string) => void data.set(type, text),
        getData: (type: string) => data.get(type) ?? '',
      },
    });
    document.getElementById(id)?.dispatchEvent(event);
    return { data, taken: event.defaultPrevented };
  }

  test('are deleted, locked and moved as one, each one step of undo', () => {
    press('row', 'a', { ctrlKey: true });
    expect(editor.selection).toEqual(['a', 'b', 'c']);
    press('row', 'l');
    expect(editor.plan?.steps.map(({ locked }) => locked)).toEqual([true, true, true]);
    editor.undo();
    editor.select(['b', 'c']);
    press('row', 'ArrowUp', { altKey: true });
    expect([ids(), editor.selection]).toEqual([
      ['b', 'c', 'a'],
      ['b', 'c'],
    ]);
    editor.undo();
    press('row', 'Delete');
    expect([ids(), messages.at(-1)?.summary]).toEqual([['a'], '2 steps were deleted']);
    messages.at(-1)?.undo?.();
    expect([ids(), editor.selection]).toEqual([
      ['a', 'b', 'c'],
      ['b', 'c'],
    ]);
  });

  test('are copied, and pasted after the selected one of another plan under ids of their own', async () => {
    editor.select(['a', 'b']);
    const { data, taken } = clipboardEvent('copy', 'row');
    const outline = '1. “Long lean” 3:00 (custom hold)\n2. “Quay fold” 3:00 (custom hold)\n';
    expect([taken, data.get('text/plain')]).toEqual([true, outline]);
    server.put('/plans/q', { ...plan, title: 'Another', steps: [talkStep('y'), talkStep('z')] });
    await editor.open('q');
    editor.selected = 'y';
    expect(clipboardEvent('paste', 'row', data).taken).toBe(true);
    expect(editor.plan?.steps.map(({ name }) => name)).toEqual(['Talk', 'Long lean', 'Quay fold', 'Talk']);
    expect(new Set(ids()).size).toBe(4);
    expect(editor.selection).toEqual(ids().slice(1, 3));
    editor.undo();
    expect(ids()).toEqual(['y', 'z']);
  });

  test('are cut: copied and gone', () => {
    editor.select(['a', 'c']);
    const { data } = clipboardEvent('cut', 'row');
    expect(ids()).toEqual(['b']);
    clipboardEvent('paste', 'row', data);
    expect(editor.plan?.steps.map(({ name }) => name)).toEqual(['Quay fold', 'Long lean', 'Talk']);
  });

  test('in a field the clipboard is the field’s own, and what is no copy of steps is left to the browser', () => {
    expect(clipboardEvent('copy', 'name').taken).toBe(false);
    expect(clipboardEvent('cut', 'name').taken).toBe(false);
    expect(clipboardEvent('paste', 'row', new Map([['text/plain', 'Reclined twist 3:30']])).taken).toBe(false);
    expect(ids()).toEqual(['a', 'b', 'c']);
  });
});

test.each(['name', 'other'])('on %s they belong to the control', (id) => {
  for (const key of ['d', 'l', 'a', 'Delete', 'Backspace']) expect(press(id, key)).toBe(false);
  expect([ids(), calls.add.mock.calls.length]).toEqual([['a', 'b', 'c'], 0]);
});

test('Escape leads from the fields back to the list, and nowhere from elsewhere', () => {
  press('other', 'Escape');
  expect(calls.toList).not.toHaveBeenCalled();
  press('name', 'Escape');
  expect(calls.toList).toHaveBeenCalledTimes(1);
});

test('under a dialog nothing happens', () => {
  document.body.insertAdjacentHTML('beforeend', '<div role="dialog"></div>');
  press('row', 'Delete');
  press('row', 'a');
  expect([ids(), calls.add.mock.calls.length]).toEqual([['a', 'b', 'c'], 0]);
});
