import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { newPerson } from '#core/people';
import type { LockState } from '#api';
import { fakeBrowser, settle, type Call, type FakeBrowser } from '../../tests/support/browser';
import { LOCKED } from '../client/http';
import { useLock } from './lock';
import { usePeople } from './people';
import { vault } from '../sync/vault';

const MINUTE = 60_000;
const moment = '2026-11-20T18:30:00.000Z';
let browser: FakeBrowser;
const KEY = Buffer.alloc(32, 7).toString('base64');
let state: LockState;
let passphrase: string;

const refusal = (status: number, detail: string) => ({
  status,
  body: { type: 'about:blank', title: 'No', status, detail },
});
function server({ method, path, body }: Call) {
  const typedPassphrase = (body as { passphrase?: string } | undefined)?.passphrase;
  if (path.startsWith('/lock')) {
    if (method === 'GET') return { status: 200, body: { ...state, key: state.open ? state.key : null } };
    if (path.endsWith('/close')) state = { ...state, open: false };
    else if (path.endsWith('/open')) {
      if (typedPassphrase !== passphrase) return refusal(403, 'That is not the passphrase.');
      state = { ...state, open: true };
    }
    return { status: 204 };
  }
  if (state.set && !state.open) return { status: 423 };
  if (path.startsWith('/people?')) {
    const row = { id: 'p', revision: 1, createdAt: moment, updatedAt: moment, document: newPerson('Mara Quill') };
    return { status: 200, body: { items: [row], total: 1, unreadable: 0 } };
  }
  return path.startsWith('/groups?') ? { status: 200, body: { items: [], total: 0, unreadable: 0 } } : { status: 404 };
}
const touch = (kind = 'pointerdown'): void => void (window as unknown as EventTarget).dispatchEvent(new Event(kind));
const pass = (ms: number): Promise<void> => jest.advanceTimersByTimeAsync(ms);

beforeEach(() => {
  jest.useFakeTimers({ now: Date.UTC(2026, 10, 26, 18) });
  setActivePinia(createPinia());
  browser = fakeBrowser();
  browser.answer = server;
  state = { set: true, open: true, minutes: 10, key: KEY };
  passphrase = 'grey heron';
  Object.defineProperty(globalThis, 'window', { value: new EventTarget(), configurable: true });
});
afterEach(() => void jest.useRealTimers());

async function watched() {
  const lock = useLock();
  await lock.load();
  await usePeople().ready();
  lock.watchIdle();
  return lock;
}

test('nobody touches it for the minutes that were set: it is locked here and on the server, and nobody is left in the window', async () => {
  const lock = await watched();
  await pass(10 * MINUTE - 20_000);
  expect([lock.locked, usePeople().people?.length]).toEqual([false, 1]);
  await pass(30_000);
  expect([lock.locked, state.open, usePeople().people, usePeople().groups]).toEqual([
    true,
    false,
    undefined,
    undefined,
  ]);
});

test.each(['pointerdown', 'keydown', 'wheel', 'touchstart'])('a %s begins the minutes anew', async (kind) => {
  const lock = await watched();
  for (let i = 0; i < 4; i++) {
    await pass(6 * MINUTE);
    touch(kind);
  }
  expect(lock.locked).toBe(false);
  await pass(11 * MINUTE);
  expect(lock.locked).toBe(true);
});

test('while a class is led nobody is locked out; the minutes go on afterwards', async () => {
  const lock = await watched();
  lock.held = true;
  await pass(90 * MINUTE);
  expect([lock.locked, state.open]).toEqual([false, true]);
  lock.held = false;
  await pass(20_000);
  expect(lock.locked).toBe(true);
});

test('the server is told now and then that somebody is here, and not when nobody is', async () => {
  await watched();
  const requestCount = (): number =>
    browser.calls.filter(({ method, path }) => method === 'GET' && path.endsWith('lock')).length;
  const before = requestCount();
  await pass(5 * MINUTE);
  const idle = requestCount();
  await pass(5000);
  touch();
  await pass(5000);
  expect([idle - before <= 1, requestCount() > idle]).toEqual([true, true]);
});

test('a wrong passphrase opens nothing; the right one opens it, and people are asked for again', async () => {
  const lock = await watched();
  await lock.lock();
  await expect(lock.open('grey egret')).rejects.toThrow('That is not the passphrase.');
  expect(lock.locked).toBe(true);
  await lock.open('grey heron');
  await settle();
  expect([lock.locked, usePeople().people?.length]).toEqual([false, 1]);
});

test('locked in another window, or by the server: this one is locked with the first answer that says so', async () => {
  const lock = await watched();
  state = { ...state, open: false };
  await usePeople().load();
  expect(lock.locked).toBe(true);
  expect(usePeople().trouble).not.toBe('');
  touch(LOCKED);
  expect(lock.locked).toBe(true);
});

test('locked, nothing that is kept about people can be read in this window; opened, all of it again', async () => {
  const lock = await watched();
  vault.write('zovrin.draft.person.p.tab.someone', 'sings');
  await lock.lock();
  await settle();
  expect([vault.read('zovrin.draft.person.p.tab.someone'), vault.write('zovrin.person.unsent.q', 'x')]).toEqual([
    null,
    false,
  ]);
  await lock.open('grey heron');
  await settle();
  expect(vault.read('zovrin.draft.person.p.tab.someone')).toBe('sings');
});

test('locked by hand in another window: this one is locked at once', async () => {
  const lock = await watched();
  browser.hear('zovrin.lock', 'locked');
  await settle();
  expect([lock.locked, usePeople().people]).toEqual([true, undefined]);
  // And the server has been reported by that one.
  expect(browser.calls.filter(({ path }) => path.endsWith('/close'))).toEqual([]);
});

test('somebody is in another window: this one stays open as long as they are', async () => {
  const lock = await watched();
  for (let i = 0; i < 5; i++) {
    await pass(6 * MINUTE);
    browser.hear('zovrin.lock', 'here');
  }
  expect([lock.locked, state.open]).toEqual([false, true]);
  await pass(11 * MINUTE);
  expect(lock.locked).toBe(true);
});

test('the server locks while a class is led: what happens is still kept, until the class is over', async () => {
  const lock = await watched();
  lock.held = true;
  state = { ...state, open: false };
  touch(LOCKED);
  await pass(30_000);
  expect([lock.locked, vault.write('zovrin.run.p.r', 'event')]).toEqual([false, true]);
  lock.held = false;
  await settle();
  expect([lock.locked, vault.read('zovrin.run.p.r')]).toEqual([true, null]);
});

test('without a passphrase nothing is ever locked', async () => {
  state = { set: false, open: true, minutes: 10, key: KEY };
  const lock = await watched();
  await pass(24 * 60 * MINUTE);
  expect([lock.locked, lock.state.set]).toEqual([false, false]);
});

test('a server that cannot be reached is told, and nothing is locked for it', async () => {
  browser.answer = () => 'unreachable';
  const lock = useLock();
  await lock.load();
  expect([lock.locked, lock.trouble]).toEqual([false, 'The server cannot be reached.']);
});
