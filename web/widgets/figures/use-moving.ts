import { useDebounceFn } from '@vueuse/core';
import { readonly, ref } from 'vue';

const STILL_MS = 250;

/**
 * Whether something on the page is being moved, so that it can be drawn coarsely: until the end is announced, or until
 * it has been still for a moment. A slider moved by the keyboard has no end of its own.
 */
export function useMoving() {
  const moving = ref(false);
  const becomeStill = useDebounceFn(() => (moving.value = false), STILL_MS);
  return {
    moving: readonly(moving),
    setMoving(now: boolean): void {
      moving.value = now;
      if (now) void becomeStill();
    },
  };
}
