import { useLocalStorage, usePreferredDark } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import type { BellKind } from '#core/timeline';

/** What this browser remembers of how someone likes to work: theme, bells. */
export const useSettings = defineStore('settings', () => {
  const dark = usePreferredDark();
  const chosen = useLocalStorage<'light' | 'night' | 'system'>('zovrin.theme', 'system');
  const night = computed(() => (chosen.value === 'system' ? dark.value : chosen.value === 'night'));
  const volume = useLocalStorage('zovrin.volume', 0.6);
  const bells = useLocalStorage<Record<BellKind, boolean>>('zovrin.bells', {
    start: true,
    half: true,
    switch: true,
    end: true,
  });
  const toggleTheme = (): void => {
    chosen.value = night.value ? 'light' : 'night';
  };
  return { night, toggleTheme, volume, bells };
});
