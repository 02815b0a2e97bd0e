import { beforeEach, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { fakeBrowser, settle, type FakeBrowser } from '../../tests/support/browser';
import { UNREADABLE } from '../client/http';
import { useUnreadable } from './unreadable';

const row = { kind: 'plan', id: 'p', title: 'Evening', reason: 'Its stored text is damaged.', deletable: true };
let browser: FakeBrowser;
beforeEach(() => {
  setActivePinia(createPinia());
  browser = fakeBrowser();
  browser.answer = () => ({ status: 200, body: { rows: [row] } });
  Object.defineProperty(globalThis, 'window', { value: new EventTarget(), configurable: true });
});
const tell = (): void => void (window as unknown as EventTarget).dispatchEvent(new Event(UNREADABLE));

test('it is asked for when a list tells of it, once, however many do', async () => {
  const unreadable = useUnreadable();
  unreadable.watchLists();
  expect(browser.calls).toEqual([]);
  for (let i = 0; i < 3; i++) tell();
  await settle();
  tell();
  await settle();
  expect([unreadable.rows.length, unreadable.loaded, browser.calls.length]).toEqual([1, true, 1]);
});

test('where it cannot be asked that is said, and the next list asks again', async () => {
  browser.answer = () => 'unreachable';
  const unreadable = useUnreadable();
  unreadable.watchLists();
  tell();
  await settle();
  expect([unreadable.loaded, unreadable.trouble]).toEqual([false, 'The server cannot be reached.']);
  browser.answer = () => ({ status: 200, body: { rows: [] } });
  tell();
  await settle();
  expect([unreadable.loaded, unreadable.trouble]).toEqual([true, '']);
});
