import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { effectScope, type EffectScope } from 'vue';
import { type Variants } from '#core/jobs';
import { emptyPlan } from '#core/plan';
import { fakeBrowser, settle, type FakeBrowser } from '../../../../tests/support/browser';
import { fakeServer, type FakeServer } from '../../../../tests/support/fake-server';
import { useVariants } from './use-variants';

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
const variants = () => scopeOfTest().run(() => useVariants('p'))!;
const names = (): string[] =>
  (server.stored('/plans/p/variants')?.document as Variants).variants.map(({ name }) => name);
const plan = emptyPlan('Evening');

beforeEach(() => {
  browser = fakeBrowser();
  server = fakeServer();
  browser.answer = server.answer;
});

test('are kept under a name that tells them apart; beyond what is kept the oldest makes room, and that is said', async () => {
  const { keep, list } = variants();
  expect(await keep('fitted to 40:00', plan)).toBe('Saved as a variant.');
  expect(await keep('fitted to 40:00', plan)).toBe('Saved as a variant.');
  await settle();
  expect(names()).toEqual(['fitted to 40:00', 'fitted to 40:00 (2)']);
  while (list.value.length < 3) await keep('another', plan);
  expect(await keep('the last', plan)).toBe('Saved as a variant; the oldest one was removed to make room.');
  await settle();
  expect(names()).toEqual(['fitted to 40:00 (2)', 'another', 'the last']);
});

test('are renamed, taken out, and both undone', async () => {
  const { keep, list, rename, remove, undo } = variants();
  await keep('one', plan);
  await keep('two', plan);
  const [first] = list.value;
  expect(rename(first!.id, ' ')).toBeDefined();
  rename(first!.id, 'short');
  remove(first!.id);
  await settle();
  expect(names()).toEqual(['two']);
  undo();
  undo();
  await settle();
  expect(names()).toEqual(['one', 'two']);
});

test('kept in two windows at once: all of them are there', async () => {
  const [here, there] = [variants(), variants()];
  await Promise.all([here.ready(), there.ready()]);
  await here.keep('from here', plan);
  await settle();
  await there.keep('from there', plan);
  await settle();
  expect(names().sort()).toEqual(['from here', 'from there']);
});

test('an answer that was lost on its way is no change by somebody else', async () => {
  const { keep, conflict, trouble, save } = variants();
  await keep('one', plan);
  await settle();
  server.fate = () => 'lostAnswer';
  await keep('two', plan);
  await settle();
  expect(trouble.value).toBe('The server cannot be reached.');
  server.fate = () => 'arrives';
  await save();
  expect([names(), conflict.value, trouble.value]).toEqual([['one', 'two'], undefined, '']);
});

test('what cannot be had now is told, and nothing is kept on top of what is not known', async () => {
  browser.answer = () => 'unreachable';
  const { keep } = variants();
  expect(await keep('one', plan)).toBe('The server cannot be reached.');
  browser.answer = server.answer;
  expect(await keep('one', plan)).toBe('Saved as a variant.');
});
