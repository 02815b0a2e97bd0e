import { useEventListener } from '@vueuse/core';
import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import type { UnreadableRow } from '#api';
import { UNREADABLE } from '../client/http';
import { listUnreadable } from '../client/unreadable';

/**
 * What is stored and cannot be read by this Zovrin. It is looked for when a list comes with fewer rows than there are,
 * and not before.
 */
export const useUnreadable = defineStore('unreadable', () => {
  const rows = shallowRef<readonly UnreadableRow[]>([]);
  const loaded = ref(false);
  const trouble = ref('');
  let loading: Promise<void> | undefined;

  function load(): Promise<void> {
    loading ??= listUnreadable()
      .then(
        (found) => {
          [rows.value, loaded.value, trouble.value] = [found, true, ''];
        },
        (error: Error) => {
          trouble.value = error.message;
        },
      )
      .finally(() => (loading = undefined));
    return loading;
  }

  /** Looks again whenever a list mentions it, as long as the page is open. */
  function watchLists(): void {
    useEventListener(window, UNREADABLE, () => {
      if (!loaded.value) void load();
    });
  }

  return { rows, loaded, trouble, load, watchLists };
});
