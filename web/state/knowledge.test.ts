import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { createPinia, setActivePinia } from 'pinia';
import { MessageChannel } from 'node:worker_threads';
import { expose, type Endpoint } from 'comlink';
import { demandsOf, measureSetUp, type ToMeasure } from '#core/caution';
import { builtInLibrary } from '#library';
import { holdFrom } from '#core/plan';
import { rowFor } from '#core/props';
import { useKnowledge } from './knowledge';

/** A worker that measures as the real one does, and gets and gives only what can be cloned; or whose script fails. */
let batches: string[][] = [];
let isBroken = false;
class FakeWorker extends EventTarget {
  readonly #page;
  constructor() {
    super();
    const { port1, port2 } = new MessageChannel();
    this.#page = port1;
    if (isBroken) queueMicrotask(() => this.dispatchEvent(new Event('error')));
    else {
      const measure = (wanted: readonly ToMeasure[]) => {
        batches.push(wanted.map(({ key }) => key));
        return wanted.map(measureSetUp);
      };
      expose({ measure }, port2 as unknown as Endpoint);
    }
    port1.on('message', (data: unknown) => this.dispatchEvent(Object.assign(new Event('message'), { data })));
    port1.unref();
    port2.unref();
  }
  postMessage(message: unknown): void {
    this.#page.postMessage(message);
  }
  terminate(): void {
    this.#page.close();
  }
}
/** Lets the messages between page and thread through until something is so; fails after a hundred rounds. */
async function until(is: () => boolean): Promise<void> {
  for (let round = 0; round < 100 && !is(); round++) await new Promise((done) => setImmediate(done));
  expect(is()).toBe(true);
}
const before = Object.getOwnPropertyDescriptor(globalThis, 'Worker');
beforeEach(() => {
  batches = [];
  isBroken = false;
  setActivePinia(createPinia());
  Object.defineProperty(globalThis, 'Worker', { configurable: true, writable: true, value: FakeWorker });
});
afterEach(() => {
  if (before) Object.defineProperty(globalThis, 'Worker', before);
});

const position = builtInLibrary.position('chair-half-fold')!;
/** Higher than any set-up the entry names. */
const own = {
  ...holdFrom(position, 'restorative', 'a'),
  setUp: [
    ...position.setUps[0]!.items,
    rowFor('flatBolster', 'hands', 'centre', 'b'),
    rowFor('flatBolster', 'hands', 'centre', 'c'),
  ],
};
const headLow = (store: ReturnType<typeof useKnowledge>) => demandsOf(own, store.knowledge).get('headBelowHeart');

test('an own set-up is screened with more care until it is measured in the thread, and then by its measure', async () => {
  const store = useKnowledge();
  expect(headLow(store)).toBe(19);
  await until(() => headLow(store) !== 19);
  expect(headLow(store)).toBe(
    demandsOf(own, {
      ...store.knowledge,
      strains: (at, setUp, body) => [measureSetUp({ position: at, setUp, body })],
    }).get('headBelowHeart'),
  );
  headLow(store);
  expect(batches).toHaveLength(1);
});

test('where the thread fails the more careful reading stays', async () => {
  isBroken = true;
  const store = useKnowledge();
  expect(headLow(store)).toBe(19);
  await new Promise((done) => setImmediate(done));
  expect(headLow(store)).toBe(19);
});
