import { beforeEach, describe, expect, test } from '@jest/globals';
import { z } from 'zod';
import { fakeBrowser, type FakeBrowser } from '../../tests/support/browser';
import { ApiProblem, ask, LOCKED, tell, UNREADABLE, Unreachable, worthRetrying } from './http';

const Answer = z.object({ count: z.int() });
let browser: FakeBrowser;
let heard: string[];
const caught = async (promise: Promise<unknown>): Promise<Error> => {
  try {
    await promise;
  } catch (error) {
    return error as Error;
  }
  throw new Error('nothing was thrown');
};

beforeEach(() => {
  browser = fakeBrowser();
  heard = [];
  const window = new EventTarget();
  window.addEventListener(LOCKED, ({ type }) => heard.push(type));
  Object.defineProperty(globalThis, 'window', { value: window, configurable: true });
});

describe('asking the server', () => {
  test('what is sent is JSON where there is something, and what comes back is checked', async () => {
    browser.answer = () => ({ status: 200, body: { count: 3 } });
    expect(await ask(Answer, 'POST', '/things', { name: 'x' })).toEqual({ count: 3 });
    expect(browser.calls).toEqual([{ method: 'POST', path: '/things', body: { name: 'x' } }]);
  });

  test('an answer this page does not understand is no answer: it may be of another version', async () => {
    browser.answer = () => ({ status: 200, body: { count: 'many' } });
    const error = await caught(ask(Answer, 'GET', '/things'));
    expect(error).toBeInstanceOf(Unreachable);
    expect(error.message).toContain('Reload it.');
  });

  test('nothing is given back where there is nothing', async () => {
    browser.answer = () => ({ status: 204 });
    await expect(tell('DELETE', '/things/1')).resolves.toBeUndefined();
  });

  test('a refusal carries its words, its fields and what came with it', async () => {
    const errors = [{ field: 'name', reason: 'A name is needed.' }];
    browser.answer = () => ({
      status: 422,
      body: { type: 'about:blank', title: 'No', status: 422, detail: 'It does not fit.', errors, more: 1 },
    });
    const error = await caught(ask(Answer, 'PUT', '/things/1', {}));
    expect(error).toBeInstanceOf(ApiProblem);
    expect(error).toMatchObject({ message: 'It does not fit.', status: 422, problem: { errors }, body: { more: 1 } });
  });

  test.each([
    ['unreachable', 'unreachable' as const, true],
    ['busy', { status: 503 }, true],
    ['a fault of its own', { status: 500 }, true],
    ['locked just now', { status: 423 }, true],
    ['asked too often', { status: 429 }, true],
    ['refused', { status: 422 }, false],
    ['gone', { status: 404 }, false],
  ])('%s: whether it is worth trying again', async (_what, answer, again) => {
    browser.answer = () => answer;
    expect(worthRetrying(await caught(tell('PUT', '/things/1', {})))).toBe(again);
  });

  test('a page that is no answer of the server is as good as none', async () => {
    browser.answer = () => ({ status: 502, body: '<html>' });
    const error = await caught(tell('GET', '/things'));
    expect([error instanceof Unreachable, error.message]).toEqual([true, 'The server cannot be reached.']);
  });

  test('a list without rows that cannot be read: the window is told; one that is whole says nothing', async () => {
    const List = z.object({ things: z.array(z.string()), unreadable: z.int() });
    const window = globalThis.window as unknown as EventTarget;
    window.addEventListener(UNREADABLE, ({ type }) => heard.push(type));
    browser.answer = () => ({ status: 200, body: { things: ['a'], unreadable: 0 } });
    await ask(List, 'GET', '/things');
    expect(heard).toEqual([]);
    browser.answer = () => ({ status: 200, body: { things: [], unreadable: 1 } });
    await ask(List, 'GET', '/things');
    expect(heard).toEqual([UNREADABLE]);
  });

  test('people behind the passphrase: the window is told', async () => {
    browser.answer = () => ({ status: 423 });
    const error = await caught(tell('GET', '/people'));
    expect([error instanceof ApiProblem, heard]).toEqual([true, [LOCKED]]);
  });
});
