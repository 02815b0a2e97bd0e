/** Stand-ins for what stores ask of a browser: storage, locks between tabs, and a server that answers as told. */

import { vault } from '../../web/sync/vault';

class MemoryStorage {
  // Private names, so that Object.keys lists only what is stored, as it does for a real storage.
  readonly #values = new Map<string, string>();
  #full = false;
  /** Makes every write fail, as a full storage does. */
  fill(): void {
    this.#full = true;
  }
  getItem(key: string): string | null {
    return this.#values.get(key) ?? null;
  }
  setItem(key: string, value: string): void {
    if (this.#full) throw new Error('QuotaExceededError');
    this.#values.set(key, value);
    Object.defineProperty(this, key, { value, enumerable: true, configurable: true });
  }
  removeItem(key: string): void {
    this.#values.delete(key);
    Reflect.deleteProperty(this, key);
  }
}

export interface Call {
  method: string;
  path: string;
  body: unknown;
}
export type Answer = { status: number; body?: unknown } | 'unreachable';
/** An answer, at once or later. */
type Answered = Answer | Promise<Answer>;

export interface FakeBrowser {
  local: MemoryStorage;
  calls: Call[];
  /** Names of the locks that other, open tabs hold. */
  otherTabs: string[];
  answer: (call: Call) => Answered;
  /** Says something on a channel, as another window does. */
  hear: (channel: string, data: unknown) => void;
}

const HOUSE_KEY = btoa('k'.repeat(32));

/** Puts the stand-ins in place of the globals, with the vault open. The server answers 404 until `answer` is set. */
export function fakeBrowser(): FakeBrowser {
  const local = new MemoryStorage();
  const channels: { name: string; onmessage: ((event: { data: unknown }) => void) | null }[] = [];
  const hear = (channel: string, data: unknown): void => {
    for (const { name, onmessage } of channels) if (name === channel) onmessage?.({ data });
  };
  const browser: FakeBrowser = { local, calls: [], otherTabs: [], answer: () => ({ status: 404 }), hear };
  const held: string[] = [];
  const locks = {
    request: (name: string, _options: unknown, callback: (lock: object | null) => unknown) =>
      Promise.resolve(
        callback(held.includes(name) || browser.otherTabs.includes(name) ? null : { name: held.push(name) }),
      ),
    query: () => Promise.resolve({ held: [...held, ...browser.otherTabs].map((name) => ({ name })) }),
  };
  Object.defineProperty(globalThis, 'localStorage', { value: local, configurable: true });
  Object.defineProperty(globalThis, 'sessionStorage', { value: new MemoryStorage(), configurable: true });
  Object.defineProperty(globalThis, 'navigator', { value: { locks }, configurable: true });
  globalThis.BroadcastChannel = class {
    onmessage: ((event: { data: unknown }) => void) | null = null;
    constructor(readonly name: string) {
      channels.push(this);
    }
    postMessage(): void {}
    close(): void {}
  } as unknown as typeof BroadcastChannel;
  globalThis.fetch = (async (path: string, options: { method: string; body?: string }) => {
    const call = {
      method: options.method,
      path: path.replace(/^\/api\/v1/, ''),
      body: options.body ? JSON.parse(options.body) : undefined,
    };
    browser.calls.push(call);
    const answered = browser.answer(call);
    const answer = answered instanceof Promise ? await answered : answered;
    if (answer === 'unreachable') throw new TypeError('Failed to fetch');
    const text = JSON.stringify(
      answer.body ?? { type: 'about:blank', title: 'No', status: answer.status, detail: 'Refused.' },
    );
    return new Response(answer.status === 204 ? null : text, { status: answer.status });
  }) as typeof fetch;
  vault.open(HOUSE_KEY);
  return browser;
}

/** Lets every promise that can go on, go on. */
export async function settle(): Promise<void> {
  for (let i = 0; i < 40; i++) await Promise.resolve();
}
