import { setImmediate as breathe } from 'node:timers/promises';

/** Work at one piece for longer than this keeps other requests waiting. */
const SLICE_MS = 8;

/** Does some work for each of many things, and lets other requests in between. Results in the order of the things. */
export async function sliced<A, B>(things: readonly A[], work: (thing: A) => B): Promise<B[]> {
  const results: B[] = [];
  let since = performance.now();
  for (const thing of things) {
    results.push(work(thing));
    if (performance.now() - since < SLICE_MS) continue;
    await breathe();
    since = performance.now();
  }
  return results;
}
