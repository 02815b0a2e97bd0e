import { Semaphore } from 'async-mutex';
import { HttpProblem } from './problems';

/** One passphrase is tried at a time, and so many wait; whoever comes then is sent away at once. */
const MAX_WAITING = 2;

/** Lets one derivation run at a time: each takes a good part of a second of one core, and much memory. */
export function oneAtATime() {
  const turn = new Semaphore(1);
  let waiting = 0;
  return async function inTurn<T>(work: () => Promise<T>): Promise<T> {
    if (turn.isLocked() && waiting >= MAX_WAITING) {
      const detail = 'Another passphrase is being checked. Try again in a moment.';
      throw new HttpProblem(429, 'Too many tries', detail, undefined, {}, 1);
    }
    waiting++;
    const [, release] = await turn.acquire().finally(() => waiting--);
    try {
      return await work();
    } finally {
      release();
    }
  };
}
