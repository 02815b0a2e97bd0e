import { randomBytes } from 'node:crypto';
import type { Request, RequestHandler, Response } from 'express';
import { parseCookie } from 'cookie';
import { z } from 'zod';
import type { LockState, SetLockRequest } from '#api';
import { HttpProblem } from '../http/problems';
import type { Store } from '../store/store';
import { FirstLock, LockedVault, lockVault, newVaultKey, OpenVault, opensFirstLock, unlockVault } from './passphrase';

const COOKIE = 'zovrin_open';
const TOKEN_BYTES = 32;
const ROW = 'house';
const MINUTE_MS = 60_000;
const DEFAULT_MINUTES = 10;
/** The longest idle time that can be set, and the minute that is added to each. */
const MAX_IDLE_MS = 241 * MINUTE_MS;

const Kept = z.union([OpenVault, LockedVault, FirstLock]);
type Kept = z.infer<typeof Kept>;
const isLocked = (house: Kept): house is LockedVault | FirstLock => 'minutes' in house;

/**
 * The lock on everything about people: where a passphrase is set, they are seen only by who has typed it, for as long
 * as they are looked at. Who has typed it is known in memory only, so that a start of the server locks. A passphrase
 * that another Zovrin sets on the same file counts here at once.
 */
export interface Lock {
  isOpen(request: Request): Promise<boolean>;
  /** Throws an HttpProblem where it is locked. */
  mustBeOpen(request: Request): Promise<void>;
  guard: RequestHandler;
  state(request: Request): Promise<LockState>;
  /** Throws an HttpProblem (403) where one is set and `current` is not it. */
  set(request: Request, response: Response, wanted: SetLockRequest): Promise<void>;
  /** Throws an HttpProblem (403) where that is not the passphrase. */
  open(response: Response, passphrase: string): Promise<void>;
  close(request: Request, response: Response): void;
  /** Throws an HttpProblem (403) where that is not the passphrase. */
  remove(request: Request, response: Response, passphrase: string): Promise<void>;
}

const tokenOf = (request: Request): string | undefined => parseCookie(request.headers.cookie ?? '')[COOKIE];
const wrongPassphrase = (): HttpProblem => new HttpProblem(403, 'Not the passphrase', 'That is not the passphrase.');

/** Somebody who has typed the passphrase: when they were last here, for which lock, and the vault key. */
interface Session {
  lastMs: number;
  lock: string;
  key: string;
}

/** Makes the lock of a store. */
export function createLock(store: Store): Lock {
  const sessions = new Map<string, Session>();
  /** The stored lock as text, as it was at a version of the database. */
  let known: { version: number; text: string } | undefined;

  async function storedText(): Promise<string> {
    const version = await store.version();
    if (known?.version === version) return known.text;
    const row = await store.locks.findByPk(ROW);
    const text = row?.document ?? (await firstOfAll());
    known = { version, text };
    return text;
  }
  /** There is no passphrase at first, but there is a vault key. */
  async function firstOfAll(): Promise<string> {
    return store.write(async ({ locks }) => {
      const row = await locks.findByPk(ROW);
      return row?.document ?? (await put(locks, { kind: 'open', key: newVaultKey() }));
    });
  }
  async function put(locks: Store['locks'], house: Kept): Promise<string> {
    const [now, document] = [store.now(), JSON.stringify(house)];
    const row = { id: ROW, revision: 1, title: '', document, createdMs: now, updatedMs: now, deletedMs: null };
    await locks.upsert(row);
    return document;
  }
  const replace = (house: Kept): Promise<string> => store.write(({ locks }) => put(locks, house));
  const read = (text: string): Kept => Kept.parse(JSON.parse(text));

  function letIn(response: Response, lock: string, key: string): void {
    for (const [old, { lastMs }] of sessions) if (store.now() - lastMs > MAX_IDLE_MS) sessions.delete(old);
    const token = randomBytes(TOKEN_BYTES).toString('base64url');
    sessions.set(token, { lastMs: store.now(), lock, key });
    response.cookie(COOKIE, token, { httpOnly: true, sameSite: 'strict', path: '/api' });
  }
  /** The vault key, for someone who may see people; undefined for anyone else. */
  async function keyFor(request: Request): Promise<string | undefined> {
    const text = await storedText();
    const house = read(text);
    if (!isLocked(house)) return house.key;
    const token = tokenOf(request);
    const session = token === undefined ? undefined : sessions.get(token);
    if (token === undefined || session === undefined) return undefined;
    // The window locks itself after the idle minutes; one more is for a clock that is not quite the same.
    const isIdle = store.now() - session.lastMs > (house.minutes + 1) * MINUTE_MS;
    if (isIdle || session.lock !== text) {
      sessions.delete(token);
      return undefined;
    }
    session.lastMs = store.now();
    return session.key;
  }
  async function mustHaveKey(request: Request): Promise<string> {
    const key = await keyFor(request);
    if (key === undefined) {
      throw new HttpProblem(423, 'Locked', 'People are locked. Type the passphrase to see them.');
    }
    return key;
  }
  /** The vault key and its lock as text; a lock of the first version is replaced by a current one. */
  async function unlock(passphrase: string): Promise<{ key: string; lock: string } | undefined> {
    const lock = await storedText();
    const house = read(lock);
    if (!isLocked(house)) return undefined;
    if ('kind' in house) {
      const key = await unlockVault(house, passphrase);
      if (key === undefined) throw wrongPassphrase();
      return { key, lock };
    }
    if (!(await opensFirstLock(house, passphrase))) throw wrongPassphrase();
    const key = newVaultKey();
    return { key, lock: await replace(await lockVault(passphrase, key, house.minutes)) };
  }

  const mustBeOpen = async (request: Request): Promise<void> => void (await mustHaveKey(request));
  return {
    isOpen: async (request) => (await keyFor(request)) !== undefined,
    mustBeOpen,
    guard: (request, _response, next) => {
      mustBeOpen(request).then(() => next(), next);
    },
    async state(request) {
      const key = await keyFor(request);
      const house = read(await storedText());
      const minutes = isLocked(house) ? house.minutes : DEFAULT_MINUTES;
      return { set: isLocked(house), open: key !== undefined, minutes, key: key ?? null };
    },
    async set(request, response, { passphrase, minutes, current }) {
      const key = await mustHaveKey(request);
      // Whoever finds an open page may look, but not set a new passphrase.
      if (isLocked(read(await storedText()))) await unlock(current ?? '');
      const lock = await replace(await lockVault(passphrase, key, minutes));
      sessions.clear();
      letIn(response, lock, key);
    },
    async open(response, passphrase) {
      const unlocked = await unlock(passphrase);
      if (unlocked) letIn(response, unlocked.lock, unlocked.key);
    },
    close(request, response) {
      const token = tokenOf(request);
      if (token !== undefined) sessions.delete(token);
      response.clearCookie(COOKIE, { path: '/api' });
    },
    async remove(request, response, passphrase) {
      await mustBeOpen(request);
      const unlocked = await unlock(passphrase);
      if (unlocked) await replace({ kind: 'open', key: unlocked.key });
      sessions.clear();
      response.clearCookie(COOKIE, { path: '/api' });
    },
  };
}
