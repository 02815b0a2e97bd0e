import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { effectScope, type EffectScope } from 'vue';
import { usePropDrag, type HeldProp } from './use-prop-drag';

let scope: EffectScope;
let heard: string[];
let window: EventTarget;
const block: HeldProp = { kind: 'block' };

const pointer = (type: string, patch: object = {}): PointerEvent =>
  Object.assign(new Event(type, { cancelable: true }), { button: 0, clientX: 0, clientY: 0, ...patch }) as PointerEvent;
const at = (clientX: number, clientY: number): void =>
  void window.dispatchEvent(pointer('pointermove', { clientX, clientY }));
const send = (type: string, patch: object = {}): void => void window.dispatchEvent(pointer(type, patch));

beforeEach(() => {
  window = new EventTarget();
  Object.defineProperty(globalThis, 'window', { value: window, configurable: true });
  scope = effectScope();
  heard = [];
});
afterEach(() => scope.stop());
const drag = () =>
  scope.run(() =>
    usePropDrag({
      over: ({ kind, x, y }) => heard.push(`over ${kind} ${x} ${y}`),
      drop: ({ kind }) => heard.push(`drop ${kind}`),
      press: ({ kind }) => heard.push(`press ${kind}`),
      back: () => heard.push('back'),
    }),
  )!;

test('carried and let go: it is told where it is, and that it was dropped', () => {
  const { lift, lifted } = drag();
  const down = pointer('pointerdown', { clientX: 10, clientY: 10 });
  lift(block, down);
  expect([down.defaultPrevented, lifted.value]).toEqual([true, undefined]);
  at(30, 10);
  at(31, 12);
  expect(lifted.value).toEqual({ kind: 'block', x: 31, y: 12 });
  send('pointerup');
  expect([heard, lifted.value]).toEqual([['over block 30 10', 'over block 31 12', 'drop block'], undefined]);
  at(99, 99);
  send('pointerup');
  expect(heard).toHaveLength(3);
});

test('a hand that trembles has only pressed it; another button does nothing', () => {
  const { lift } = drag();
  lift(block, pointer('pointerdown'));
  at(2, 2);
  send('pointerup');
  lift(block, pointer('pointerdown', { button: 2 }));
  at(50, 50);
  send('pointerup');
  expect(heard).toEqual(['press block']);
});

test('Escape, or a pointer that is taken away, puts it back; other keys do not', () => {
  const { lift, lifted } = drag();
  lift(block, pointer('pointerdown'));
  at(50, 50);
  send('keydown', { key: 'a' });
  expect(lifted.value).toBeDefined();
  send('keydown', { key: 'Escape' });
  expect([heard.at(-1), lifted.value]).toEqual(['back', undefined]);
  lift(block, pointer('pointerdown'));
  send('pointercancel');
  expect(heard.filter((one) => one === 'back')).toHaveLength(2);
});

test('the page is left while something is carried: nothing is heard any more', () => {
  const { lift, lifted } = drag();
  lift(block, pointer('pointerdown'));
  at(50, 50);
  scope.stop();
  send('pointerup');
  expect([heard, lifted.value]).toEqual([['over block 50 50'], undefined]);
});
