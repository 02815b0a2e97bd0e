import { useLocalStorage, usePreferredDark } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { ORDINARY, TABLE_STATURE_CM } from '#core/body';
import type { ToneKind } from '#core/breath';
import type { ForWhom } from '#core/heights';
import type { BellKind } from '#core/timeline';

export type ToneGroup = 'in' | 'out' | 'hold' | 'strokes';
const TONE_GROUPS: Record<ToneKind, ToneGroup> = {
  in: 'in',
  out: 'out',
  holdFull: 'hold',
  holdEmpty: 'hold',
  stroke: 'strokes',
  pulse: 'strokes',
  ease: 'hold',
};

/** What this browser remembers of how someone likes to work: theme, bells, tones. */
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
  const tones = useLocalStorage<Record<ToneGroup, boolean>>('zovrin.tones', {
    in: true,
    out: true,
    hold: true,
    strokes: true,
  });
  /** The body set-ups are measured for. */
  const body = useLocalStorage<ForWhom>('zovrin.body', { statureCm: TABLE_STATURE_CM, flexibility: ORDINARY });
  /** Whether a tone of the breath is to be heard. */
  const hears = (kind: ToneKind): boolean => tones.value[TONE_GROUPS[kind]];
  const toggleTheme = (): void => {
    chosen.value = night.value ? 'light' : 'night';
  };
  return { night, toggleTheme, volume, bells, tones, hears, body };
});
