import { Semaphore } from 'async-mutex';
import { Router, type RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { LockState, OpenLockRequest, SetLockRequest } from '#api';
import { answer } from '../http/answer';
import { accept, HttpProblem } from '../http/problems';
import { secondsToWait } from '../http/too-many';
import type { Lock } from '../lock/lock';

/** After so many wrong passphrases within the window the next one waits, also where it is the right one. */
const MAX_WRONG = 5;
const WINDOW_MS = 30_000;
const WRONG = 403;
/** One passphrase is tried at a time, and so many wait; whoever comes then is sent away at once. */
const MAX_WAITING = 2;

const tooMany = (detail: string, seconds: number): HttpProblem =>
  new HttpProblem(429, 'Too many tries', detail, undefined, {}, seconds);

/** Counts tries when they come, before anything is derived from them, for all clients together. */
const limitTries = (): RequestHandler =>
  rateLimit({
    windowMs: WINDOW_MS,
    limit: MAX_WRONG,
    keyGenerator: () => 'house',
    requestWasSuccessful: (_request, { statusCode }) => statusCode !== WRONG,
    skipSuccessfulRequests: true,
    standardHeaders: false,
    legacyHeaders: false,
    handler: (request) => {
      const seconds = secondsToWait(request);
      throw tooMany(`Too many wrong passphrases. Wait ${seconds} s.`, seconds);
    },
  });

/** Lets one derivation run at a time: each takes a good part of a second of one core, and much memory. */
function oneAtATime() {
  const turn = new Semaphore(1);
  let waiting = 0;
  return async function inTurn<T>(work: () => Promise<T>): Promise<T> {
    if (turn.isLocked() && waiting >= MAX_WAITING) {
      throw tooMany('Another passphrase is being checked. Try again in a moment.', 1);
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

/** The lock: how it is, setting a passphrase, opening, closing, and removing it. */
export function lockRoutes(lock: Lock): Router {
  const routes = Router();
  const limited = limitTries();
  const inTurn = oneAtATime();

  routes.get('/', async (request, response) => answer(response, LockState, await lock.state(request)));
  routes.put('/', limited, async (request, response) => {
    const wanted = accept(SetLockRequest, request.body);
    await inTurn(() => lock.set(request, response, wanted));
    response.status(204).end();
  });
  routes.delete('/', limited, async (request, response) => {
    const { passphrase } = accept(OpenLockRequest, request.body);
    await inTurn(() => lock.remove(request, response, passphrase));
    response.status(204).end();
  });
  routes.post('/open', limited, async (request, response) => {
    const { passphrase } = accept(OpenLockRequest, request.body);
    await inTurn(() => lock.open(response, passphrase));
    response.status(204).end();
  });
  routes.post('/close', (request, response) => {
    lock.close(request, response);
    response.status(204).end();
  });

  return routes;
}
