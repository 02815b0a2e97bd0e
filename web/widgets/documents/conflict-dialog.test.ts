/** @jest-environment ./tests/support/jsdom.js */
import { afterEach, beforeAll, expect, jest, test } from '@jest/globals';
import { enableAutoUnmount, flushPromises, mount } from '@vue/test-utils';
import PrimeVue from 'primevue/config';
import type { Resolution } from '../../sync/meet';
import ConflictDialog from './ConflictDialog.vue';

enableAutoUnmount(afterEach);
beforeAll(() => {
  window.matchMedia = ((media: string) => ({
    media,
    matches: false,
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  })) as unknown as typeof window.matchMedia;
});

function dialog(resolve: (choice: Resolution) => Promise<void>, keepsCopy = false) {
  return mount(ConflictDialog, {
    attachTo: document.body,
    props: { conflict: { updatedAt: '2026-11-25T18:30:00.000Z' }, noun: 'plan', keepsCopy, resolve },
    slots: { mine: 'Evening', theirs: 'Late evening', differences: 'The titles differ.' },
    global: { plugins: [PrimeVue], stubs: { transition: true, teleport: true } },
  });
}
const button = (name: string): HTMLButtonElement => {
  const found = [...document.querySelectorAll('button')].find(({ textContent }) => textContent.trim() === name);
  if (!found) throw new Error(`no button ${name}`);
  return found;
};

test('both versions, and what differs, can be seen; the chosen one is given', async () => {
  const resolve = jest.fn<(choice: Resolution) => Promise<void>>(() => Promise.resolve());
  dialog(resolve);
  await flushPromises();
  const text = document.body.textContent;
  for (const part of ['changed in two windows', 'Evening', 'Late evening', 'The titles differ.', '18:30'])
    expect(text).toContain(part);
  button('Keep this version').click();
  await flushPromises();
  button('Use the other version').click();
  await flushPromises();
  expect(resolve.mock.calls).toEqual([['mine'], ['theirs']]);
});

test('while one is being taken neither can be pressed; one that could not be kept leaves both, and can be tried again', async () => {
  let fail = (): void => undefined;
  const resolve = jest.fn<(choice: Resolution) => Promise<void>>(
    () => new Promise((_, reject) => (fail = () => reject(new Error('The server cannot be reached.')))),
  );
  dialog(resolve, true);
  await flushPromises();
  button('Keep this version').click();
  await flushPromises();
  expect([button('Keep this version').disabled, button('Use the other version').disabled]).toEqual([true, true]);
  fail();
  await flushPromises();
  expect(document.querySelector('[role="alert"]')?.textContent).toContain('Both versions are still here');
  button('Keep this version').click();
  expect(resolve).toHaveBeenCalledTimes(2);
});

test('without a conflict there is nothing to see', async () => {
  const shown = dialog(() => Promise.resolve());
  await shown.setProps({ conflict: undefined });
  await flushPromises();
  expect(document.querySelector('[role="dialog"]')).toBeNull();
});
