/** @jest-environment ./tests/support/jsdom.js */
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { effectScope, type EffectScope } from 'vue';
import { keepFocus } from './keep-focus';

let scope: EffectScope;
beforeEach(() => {
  scope = effectScope();
  scope.run(keepFocus);
});
afterEach(() => {
  scope.stop();
  document.body.innerHTML = '';
});

/** Lets what watches the page have its turn. */
const settle = async (): Promise<void> => {
  for (let i = 0; i < 4; i++) await Promise.resolve();
};
const show = (html: string): void => void (document.body.innerHTML = html);
const at = (selector: string): HTMLElement => document.querySelector<HTMLElement>(selector)!;

test('the next of a list has the focus when one is gone, the last before it at the end, the list where none is left', async () => {
  show('<ul><li><button>a</button></li><li><button>b</button></li><li><button>c</button></li></ul>');
  at('li:nth-child(2) button').focus();
  at('li:nth-child(2)').remove();
  await settle();
  expect(document.activeElement?.textContent).toBe('c');
  document.activeElement?.closest('li')?.remove();
  await settle();
  expect(document.activeElement?.textContent).toBe('a');
  document.activeElement?.closest('li')?.remove();
  await settle();
  expect(document.activeElement?.tagName).toBe('UL');
});

test('the content has it when a page is left; what takes it itself keeps it', async () => {
  show('<div id="content" tabindex="-1"><main><button>Teach</button></main></div>');
  at('button').focus();
  at('main').remove();
  await settle();
  expect(document.activeElement?.id).toBe('content');
  show('<main><p><button>one</button></p><input></main>');
  at('button').focus();
  at('p').remove();
  at('input').focus();
  await settle();
  expect(document.activeElement?.tagName).toBe('INPUT');
});

test('a dialog gives it back by itself', async () => {
  show('<main><button>open</button></main><div role="dialog"><button>close</button></div>');
  at('[role=dialog] button').focus();
  at('[role=dialog]').remove();
  await settle();
  expect(document.activeElement).toBe(document.body);
});
