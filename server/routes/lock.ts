import { Router, type RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { LockState, OpenLockRequest, SetLockRequest } from '#api';
import { answer } from '../http/answer';
import { accept, HttpProblem } from '../http/problems';
import { oneAtATime } from '../http/one-at-a-time';
import { secondsToWait } from '../http/too-many';
import type { Lock } from '../lock/lock';

/** After so many wrong passphrases within the window the next one waits, also where it is the right one. */
const MAX_WRONG = 5;
const WINDOW_MS = 30_000;
const WRONG = 403;

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
      throw new HttpProblem(
        429,
        'Too many tries',
        `Too many wrong passphrases. Wait ${seconds} s.`,
        undefined,
        {},
        seconds,
      );
    },
  });

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
