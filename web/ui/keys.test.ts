/** @jest-environment ./tests/support/jsdom.js */
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { nextTick } from 'vue';
import { mounted, type Mounted } from '../../tests/support/mounted';
import { belongsToControl, mayBeShortcut, setSingleKeys } from './keys';
import { useUndoKeys } from './use-undo-keys';

afterEach(() => document.body.replaceChildren());
const put = (html: string): HTMLElement => {
  document.body.innerHTML = html;
  return document.body.firstElementChild as HTMLElement;
};

test.each([
  ['<input>', true],
  ['<textarea></textarea>', true],
  ['<button>Go</button>', true],
  ['<a href="/plans">Plans</a>', true],
  ['<a>no link</a>', false],
  ['<div role="option">A step</div>', false],
  ['<div>Words</div>', false],
])('keys pressed on %s belong to it: %s', (html, isControl) => {
  expect(belongsToControl(put(html))).toBe(isControl);
});

test('whatever lies in a panel belongs to the panel', () => {
  put('<div role="dialog"><p><span id="inside">Words</span></p></div>');
  expect(belongsToControl(document.querySelector('#inside'))).toBe(true);
  expect(belongsToControl(null)).toBe(false);
  expect(belongsToControl(window)).toBe(false);
});

test('single letters can be switched off as shortcuts; arrows, space and keys with Ctrl or Alt stay', () => {
  const pressed = (key: string, keys: KeyboardEventInit = {}) =>
    mayBeShortcut(new KeyboardEvent('keydown', { key, ...keys }));
  const all = () => [
    pressed('a'),
    pressed('?'),
    pressed('ArrowUp'),
    pressed(' '),
    pressed('Enter'),
    pressed('z', { ctrlKey: true }),
    pressed('z', { metaKey: true }),
    pressed('z', { altKey: true }),
  ];
  expect(all()).toEqual(Array(8).fill(true));
  setSingleKeys(false);
  expect(all()).toEqual([false, false, true, true, true, true, true, true]);
  setSingleKeys(true);
});

describe('the keys of undo', () => {
  const [undo, redo, after] = [jest.fn(), jest.fn(), jest.fn()];
  let page: Mounted<void>;
  beforeEach(() => {
    for (const one of [undo, redo, after]) one.mockReset();
    page = mounted(() => useUndoKeys(undo, redo, after));
  });
  afterEach(() => page.unmount());
  /** Presses a key; gives whether the page took it from the browser. */
  const press = (on: EventTarget, key: string, keys: KeyboardEventInit = { ctrlKey: true }): boolean => {
    const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...keys });
    on.dispatchEvent(event);
    return event.defaultPrevented;
  };
  const counts = () => [undo, redo, after].map(({ mock }) => mock.calls.length);

  test('Ctrl Z and Cmd Z undo; with Shift, and Ctrl Y, they redo', () => {
    expect([press(document.body, 'z'), press(document.body, 'z', { metaKey: true })]).toEqual([true, true]);
    expect(counts()).toEqual([2, 0, 2]);
    press(document.body, 'Z', { ctrlKey: true, shiftKey: true });
    press(document.body, 'y');
    expect(counts()).toEqual([2, 2, 4]);
  });

  test('other keys, and these without Ctrl or with Alt, stay the browser’s', () => {
    expect(press(document.body, 'z', {})).toBe(false);
    expect(press(document.body, 'z', { ctrlKey: true, altKey: true })).toBe(false);
    expect(press(document.body, 'x')).toBe(false);
    expect(counts()).toEqual([0, 0, 0]);
  });

  test('under a dialog nothing is undone; nor when the page was left', () => {
    put('<div role="dialog"></div>');
    expect(press(document.body, 'z')).toBe(false);
    document.body.replaceChildren();
    page.unmount();
    expect(press(document.body, 'z')).toBe(false);
    expect(counts()).toEqual([0, 0, 0]);
    page = mounted(() => undefined);
  });

  test('in a field with text that is not taken yet, they are the field’s; once it is taken, they are the page’s', async () => {
    const box = put('<input value="1:30">') as HTMLInputElement;
    box.dispatchEvent(new FocusEvent('focusin', { bubbles: true }));
    await nextTick();
    expect(press(box, 'z')).toBe(true);
    await nextTick();
    box.value = '1:309';
    expect(press(box, 'z')).toBe(false);
    box.dispatchEvent(new Event('change', { bubbles: true }));
    await nextTick();
    expect(press(box, 'z')).toBe(true);
    expect(undo).toHaveBeenCalledTimes(2);
  });

  test('what was refused stays the field’s own', async () => {
    const box = put('<input value="1:30">') as HTMLInputElement;
    box.dispatchEvent(new FocusEvent('focusin', { bubbles: true }));
    await nextTick();
    box.value = 'soon';
    box.setAttribute('aria-invalid', 'true');
    box.dispatchEvent(new Event('change', { bubbles: true }));
    await nextTick();
    expect(press(box, 'z')).toBe(false);
    expect(undo).not.toHaveBeenCalled();
  });
});
