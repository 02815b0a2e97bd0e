import { beforeEach, expect, test } from '@jest/globals';
import { drawFigure } from './figures';
import type { FigureRequest } from '../../workers/drawing-request';

let made: FakeWorker[];
/** A worker whose script cannot be loaded: it never answers, and says so once, as a browser does. */
class FakeWorker extends EventTarget {
  ended = false;
  constructor() {
    super();
    made.push(this);
  }
  postMessage(): void {}
  terminate(): void {
    this.ended = true;
  }
}

beforeEach(() => {
  made = [];
  Object.defineProperty(globalThis, 'Worker', { value: FakeWorker, configurable: true, writable: true });
});

test('a worker that fails to load is reported, and the next figure tries another', async () => {
  const request = { position: 'legs-up' } as unknown as FigureRequest;
  const drawn = drawFigure(request);
  made[0]!.dispatchEvent(new Event('error'));
  await expect(drawn).rejects.toThrow('could not be loaded');
  expect(made[0]!.ended).toBe(true);
  const again = drawFigure(request);
  expect(made).toHaveLength(2);
  made[1]!.dispatchEvent(new Event('error'));
  await expect(again).rejects.toThrow('could not be loaded');
});
