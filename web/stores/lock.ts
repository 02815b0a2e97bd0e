import { useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { LockState } from '#api';
import { LOCKED } from '../client/http';
import { closeLock, openLock, readLock, setLock, takeOffLock } from '../client/lock';
import { usePeople } from './people';

const CHECK_MS = 10_000;
const OPEN: LockState = { set: false, open: true, minutes: 10 };

/**
 * The lock before people's data: where a passphrase is set, the page locks itself after so many minutes in which nobody
 * touched it, and on the server nothing of people is given out until it is typed again.
 */
export const useLock = defineStore('lock', () => {
  const state = shallowRef<LockState>(OPEN);
  const known = ref(false);
  const trouble = ref('');
  /** Held open: a class is being led, and nobody is to be locked out of it. */
  const held = ref(false);
  let lastMs = Date.now();

  const locked = computed(() => state.value.set && !state.value.open && !held.value);

  async function load(): Promise<void> {
    try {
      [state.value, known.value, trouble.value] = [await readLock(), true, ''];
    } catch (error) {
      trouble.value = (error as Error).message;
    }
  }
  async function open(passphrase: string): Promise<void> {
    await openLock(passphrase);
    lastMs = Date.now();
    await load();
    void usePeople().load();
  }
  async function lock(): Promise<void> {
    state.value = { ...state.value, open: false };
    usePeople().lock();
    await closeLock().catch(() => undefined);
  }
  async function set(passphrase: string, minutes: number): Promise<void> {
    await setLock({ passphrase, minutes });
    await load();
  }
  async function takeOff(passphrase: string): Promise<void> {
    await takeOffLock(passphrase);
    await load();
  }

  /** Watches for the idle minutes; once, for as long as the page is there. */
  function watchIdle(): void {
    const seen = (): void => {
      lastMs = Date.now();
    };
    for (const event of ['pointerdown', 'keydown', 'wheel', 'touchstart'] as const) {
      useEventListener(window, event, seen, { passive: true });
    }
    useEventListener(window, LOCKED, () => {
      state.value = { ...state.value, set: true, open: false };
    });
    setInterval(() => {
      const { set: isSet, open: isOpen, minutes } = state.value;
      if (!isSet || !isOpen) return;
      const idleMs = Date.now() - lastMs;
      if (!held.value && idleMs >= minutes * 60_000) void lock();
      // The server counts too: it is told that somebody is here, or that a class is led.
      else if (held.value || idleMs < CHECK_MS) void load();
    }, CHECK_MS);
  }

  return { state, known, trouble, locked, held, load, open, lock, set, takeOff, watchIdle };
});
