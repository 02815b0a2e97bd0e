import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';
import { promisify } from 'node:util';
import { Router, type Request, type RequestHandler, type Response } from 'express';
import { z } from 'zod';
import { LockState, OpenLockRequest, SetLockRequest } from '#api';
import { answer } from '../http/answer';
import { accept, HttpProblem, unprocessable } from '../http/problems';
import type { Store } from '../store/store';

const derive = promisify(scrypt) as (passphrase: string, salt: Buffer, length: number) => Promise<Buffer>;

const COOKIE = 'zovrin_open';
const KEY_BYTES = 32;
const ROW = 'house';
const MINUTE_MS = 60_000;
/** After so many wrong passphrases the next one waits. */
const MOST_TRIES = 5;
const WAIT_MS = 30_000;

const Kept = z.strictObject({ salt: z.string(), key: z.string(), minutes: z.int() });
type Kept = z.infer<typeof Kept>;

/**
 * The lock before everything that tells of people: where a passphrase is set, they are seen only by who has typed it, for as
 * long as they are looked at. The passphrase is kept as a scrypt key with a salt; who has opened is known in memory only,
 * so that a start of the server locks.
 */
export interface Lock {
  isOpen(request: Request): Promise<boolean>;
  /** Throws an HttpProblem where it is locked. */
  mustBeOpen(request: Request): Promise<void>;
  guard: RequestHandler;
  state(request: Request): Promise<LockState>;
  set(request: Request, response: Response, wanted: SetLockRequest): Promise<void>;
  open(response: Response, passphrase: string): Promise<void>;
  close(request: Request, response: Response): void;
  takeOff(request: Request, response: Response, passphrase: string): Promise<void>;
}

const tokenOf = (request: Request): string | undefined =>
  request.headers.cookie
    ?.split(/;\s*/)
    .find((pair) => pair.startsWith(`${COOKIE}=`))
    ?.slice(COOKIE.length + 1);

/** Makes the lock of a store. */
export function makeLock(store: Store): Lock {
  /** When each that has opened it was last here. */
  const opened = new Map<string, number>();
  let wrong = 0;
  let waitsUntilMs = 0;
  // Read once, and again after each change: it stands before every request about people.
  let known: Promise<Kept | null> | undefined;

  const kept = (): Promise<Kept | null> => {
    known ??= store.locks.findByPk(ROW).then(
      (row) => (row ? Kept.parse(JSON.parse(row.document)) : null),
      (error: unknown) => {
        known = undefined;
        throw error;
      },
    );
    return known;
  };
  const keyOf = (passphrase: string, salt: string): Promise<Buffer> =>
    derive(passphrase.normalize('NFKC'), Buffer.from(salt, 'base64'), KEY_BYTES);

  function letIn(response: Response): void {
    const token = randomBytes(KEY_BYTES).toString('base64url');
    opened.set(token, store.now());
    response.cookie(COOKIE, token, { httpOnly: true, sameSite: 'strict', path: '/api' });
  }
  function isOpenAt(request: Request, { minutes }: Kept): boolean {
    const token = tokenOf(request);
    const lastMs = token === undefined ? undefined : opened.get(token);
    if (token === undefined || lastMs === undefined) return false;
    // The window locks itself after the idle minutes; one more is for a clock that is not quite the same.
    if (store.now() - lastMs > (minutes + 1) * MINUTE_MS) {
      opened.delete(token);
      return false;
    }
    opened.set(token, store.now());
    return true;
  }
  async function isOpen(request: Request): Promise<boolean> {
    const lock = await kept();
    return lock === null || isOpenAt(request, lock);
  }
  async function mustBeOpen(request: Request): Promise<void> {
    if (!(await isOpen(request))) {
      throw new HttpProblem(423, 'Locked', 'People are behind the passphrase. Type it to see them.');
    }
  }
  async function mustKnow({ salt, key }: Kept, passphrase: string): Promise<void> {
    const refuse = (reason: string): HttpProblem => unprocessable([{ field: 'passphrase', reason }]);
    if (store.now() < waitsUntilMs) {
      throw refuse(`Too many wrong ones. Wait ${Math.ceil((waitsUntilMs - store.now()) / 1000)} s.`);
    }
    if (timingSafeEqual(await keyOf(passphrase, salt), Buffer.from(key, 'base64'))) {
      wrong = 0;
      return;
    }
    wrong += 1;
    if (wrong >= MOST_TRIES) [wrong, waitsUntilMs] = [0, store.now() + WAIT_MS];
    throw refuse('That is not the passphrase.');
  }

  return {
    isOpen,
    mustBeOpen,
    guard: (request, _response, next) => {
      mustBeOpen(request).then(() => next(), next);
    },
    async state(request) {
      const lock = await kept();
      return { set: lock !== null, open: await isOpen(request), minutes: lock?.minutes ?? 10 };
    },
    async set(request, response, { passphrase, minutes }) {
      await mustBeOpen(request);
      const salt = randomBytes(16).toString('base64');
      const key = (await keyOf(passphrase, salt)).toString('base64');
      const document = JSON.stringify({ salt, key, minutes } satisfies Kept);
      const moment = store.now();
      await store.write(({ locks }) =>
        locks.upsert({
          id: ROW,
          revision: 1,
          title: '',
          document,
          createdMs: moment,
          updatedMs: moment,
          deletedMs: null,
        }),
      );
      known = undefined;
      opened.clear();
      letIn(response);
    },
    async open(response, passphrase) {
      const lock = await kept();
      if (lock === null) return;
      await mustKnow(lock, passphrase);
      letIn(response);
    },
    close(request, response) {
      const token = tokenOf(request);
      if (token !== undefined) opened.delete(token);
      response.clearCookie(COOKIE, { path: '/api' });
    },
    async takeOff(request, response, passphrase) {
      await mustBeOpen(request);
      const lock = await kept();
      if (lock === null) return;
      await mustKnow(lock, passphrase);
      await store.write(({ locks }) => locks.destroy({ where: { id: ROW } }));
      known = undefined;
      opened.clear();
      response.clearCookie(COOKIE, { path: '/api' });
    },
  };
}

/** The lock: how it is, setting a passphrase, opening, closing, and taking it off. */
export function lockRoutes(lock: Lock): Router {
  const routes = Router();

  routes.get('/', async (request, response) => answer(response, LockState, await lock.state(request)));
  routes.put('/', async (request, response) => {
    await lock.set(request, response, accept(SetLockRequest, request.body));
    response.status(204).end();
  });
  routes.delete('/', async (request, response) => {
    await lock.takeOff(request, response, accept(OpenLockRequest, request.body).passphrase);
    response.status(204).end();
  });
  routes.post('/open', async (request, response) => {
    await lock.open(response, accept(OpenLockRequest, request.body).passphrase);
    response.status(204).end();
  });
  routes.post('/close', (request, response) => {
    lock.close(request, response);
    response.status(204).end();
  });

  return routes;
}
