import { useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, nextTick, ref, shallowRef, watch } from 'vue';
import type { LockState } from '#api';
import { LOCKED } from '../client/http';
import { closeLock, openLock, readLock, removeLock, setLock } from '../client/lock';
import { usePeople } from './people';
import { renameOlderDrafts } from '../sync/older-drafts';
import { vault } from '../sync/vault';

const CHECK_MS = 10_000;
const MINUTE_MS = 60_000;
const UNKNOWN: LockState = { set: false, open: true, minutes: 10, key: null };

/** What the windows of this browser tell each other: somebody is here, it was locked, it was opened. */
type LockMessage = 'here' | 'locked' | 'opened';

/**
 * The lock on people's data: where a passphrase is set, the page locks itself after so many minutes in which nobody
 * touched any of its windows, and on the server nothing of people is given out until it is typed again. While it is
 * locked no page is shown, no name is in the window, and what was not sent yet is kept encrypted.
 */
export const useLock = defineStore('lock', () => {
  const state = shallowRef<LockState>(UNKNOWN);
  const trouble = ref('');
  /** Held open: a class is being led, and nobody is to be locked out of it. */
  const held = ref(false);
  let lastMs = Date.now();
  let loading: Promise<void> | undefined;

  const locked = computed(() => state.value.set && !state.value.open && !held.value);

  const channel = new BroadcastChannel('zovrin.lock');
  const announce = (message: LockMessage): void => channel.postMessage(message);
  channel.onmessage = ({ data }: MessageEvent<LockMessage>) => {
    if (data === 'here') lastMs = Date.now();
    if (data === 'locked') state.value = { ...state.value, set: true, open: false };
    if (data === 'opened') void load();
  };

  function load(): Promise<void> {
    loading = readLock().then(
      (found) => {
        // While a class is led, what happens is kept on, also where the server has locked meanwhile.
        if (found.key !== null) vault.open(found.key);
        renameOlderDrafts();
        [state.value, trouble.value] = [found, ''];
      },
      (error: Error) => {
        [trouble.value, loading] = [error.message, undefined];
      },
    );
    return loading;
  }
  /** Resolves when it is known whether people may be seen, or cannot be known now; the next call tries again. */
  const ready = (): Promise<void> => loading ?? load();

  async function open(passphrase: string): Promise<void> {
    await openLock(passphrase);
    lastMs = Date.now();
    await load();
    announce('opened');
    void usePeople().load();
  }
  async function lock(): Promise<void> {
    state.value = { ...state.value, open: false };
    announce('locked');
    await closeLock().catch(() => undefined);
  }
  /** Sets a passphrase, or changes it where `current` is the one there is. Throws if it is refused. */
  async function set(passphrase: string, minutes: number, current?: string): Promise<void> {
    await setLock({ passphrase, minutes, ...(current === undefined ? {} : { current }) });
    await load();
    announce('opened');
  }
  async function remove(passphrase: string): Promise<void> {
    await removeLock(passphrase);
    await load();
    announce('opened');
  }

  // Before the pages are taken away: what is being typed is put where it belongs, and kept.
  watch(
    locked,
    async (is) => {
      if (!is) return;
      if ('document' in globalThis) (document.activeElement as HTMLElement | null)?.blur();
      await nextTick();
      usePeople().lock();
      vault.close();
    },
    { flush: 'sync' },
  );

  /** Watches for the idle minutes; once, for as long as the page is there. */
  function watchIdle(): void {
    const here = (): void => {
      lastMs = Date.now();
    };
    for (const event of ['pointerdown', 'keydown', 'wheel', 'touchstart'] as const) {
      useEventListener(window, event, here, { passive: true });
    }
    useEventListener(window, LOCKED, () => {
      state.value = { ...state.value, set: true, open: false };
    });
    setInterval(() => {
      const { set: isSet, open: isOpen, minutes } = state.value;
      if (!isSet || !isOpen) return;
      const idleMs = Date.now() - lastMs;
      const isHere = held.value || idleMs < CHECK_MS;
      if (isHere) announce('here');
      if (!held.value && idleMs >= minutes * MINUTE_MS) void lock();
      // The server counts too, so it hears that somebody is here, or that a class is led.
      else if (isHere) void load();
    }, CHECK_MS);
  }

  return { state, trouble, locked, held, load, ready, open, lock, set, remove, watchIdle };
});
