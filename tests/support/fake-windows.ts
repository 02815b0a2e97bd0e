import type { History } from '#core/document';
import type { News, SyncWindow } from '../../web/sync/sync-window';

/**
 * Windows of one browser, without the browser: they share a storage and hear each other, and each can be closed, or
 * crash and leave what it had kept.
 */
export interface FakeWindows {
  open(): FakeWindow;
  /** Everything that is kept, by its name. */
  storage: Map<string, string>;
}
export interface FakeWindow extends SyncWindow {
  /** The window is gone, at once: what it kept is nobody's any more, and it says and hears nothing. */
  crash(): void;
  isOpen(): boolean;
  /** The answer to something that is asked in this window; in one that is gone, it never comes. */
  during<R>(answer: Promise<R>): Promise<R>;
}

export function fakeWindows(): FakeWindows {
  const storage = new Map<string, string>();
  const undo = new Map<string, string>();
  const listeners = new Map<string, Set<{ heard: (news: News) => void }>>();
  const alive = new Set<string>();
  let count = 0;

  function open(): FakeWindow {
    const name = `w${++count}`;
    let editors = 0;
    alive.add(name);
    return {
      async drafts() {
        await Promise.resolve();
        const me = `${name}#${++editors}`;
        alive.add(me);
        const keyOf = (key: string): string => `${key}|${me}`;
        return {
          write(key, text) {
            if (alive.has(me)) storage.set(keyOf(key), text);
            return true;
          },
          drop: (key) => void (alive.has(me) && storage.delete(keyOf(key))),
          async leftovers(key) {
            await Promise.resolve();
            const names = [...storage.keys()].filter(
              (one) => one.startsWith(`${key}|`) && !alive.has(one.slice(key.length + 1)),
            );
            return names.map((one) => ({ text: storage.get(one)!, remove: () => void storage.delete(one) }));
          },
          release: () => void alive.delete(me),
        };
      },
      undo: <T extends object>(key: string, read: (value: unknown) => T | undefined) => ({
        async read() {
          await Promise.resolve();
          const text = undo.get(key);
          const kept = text === undefined ? undefined : (JSON.parse(text) as History<T>);
          return kept && read(kept.now) !== undefined ? kept : undefined;
        },
        async write(history) {
          undo.set(key, JSON.stringify(history));
        },
        async forget() {
          undo.delete(key);
        },
      }),
      channel(channelName) {
        const mine: { heard: (news: News) => void } = { heard: () => undefined };
        const all = listeners.get(channelName) ?? new Set();
        listeners.set(channelName, all.add(mine));
        return {
          post(news) {
            if (!alive.has(name)) return;
            for (const one of all) if (one !== mine) void Promise.resolve().then(() => one.heard(news));
          },
          listen: (heard) => void (mine.heard = (news) => (alive.has(name) ? heard(news) : undefined)),
          close: () => void all.delete(mine),
        };
      },
      crash() {
        for (const one of [...alive]) if (one === name || one.startsWith(`${name}#`)) alive.delete(one);
      },
      isOpen: () => alive.has(name),
      async during(answer) {
        const settled = await answer.then(
          (value) => () => value,
          (error: Error) => () => {
            throw error;
          },
        );
        if (!alive.has(name)) await new Promise(() => undefined);
        return settled();
      },
    };
  }
  return { open, storage };
}
