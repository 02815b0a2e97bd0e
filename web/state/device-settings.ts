import { useLocalStorage, usePreferredDark } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed } from 'vue';
import { ORDINARY, REFERENCE_HEIGHT_CM } from '#core/body';
import type { ToneKind } from '#core/breath';
import type { ForWhom } from '#core/heights';
import { DEFAULT_RULES, type BellKind } from '#core/timeline';
import { USUAL_BELL, type BellSound } from './bell-sound';

export type ToneGroup = 'in' | 'out' | 'hold' | 'strokes' | 'counts';
const TONE_GROUPS: Record<ToneKind, ToneGroup> = {
  in: 'in',
  out: 'out',
  holdFull: 'hold',
  holdEmpty: 'hold',
  stroke: 'strokes',
  pulse: 'strokes',
  ease: 'hold',
  count: 'counts',
};

/** What this browser remembers of how someone likes to work: theme, bells, tones. */
export const useDeviceSettings = defineStore('device', () => {
  const dark = usePreferredDark();
  const chosen = useLocalStorage<'light' | 'night' | 'system'>('zovrin.theme', 'system');
  const night = computed(() => (chosen.value === 'system' ? dark.value : chosen.value === 'night'));
  const dates = useLocalStorage<'device' | 'dayFirst' | 'monthFirst' | 'yearFirst'>('zovrin.dates', 'device');
  const clock = useLocalStorage<'device' | '12' | '24'>('zovrin.clock', 'device');
  const weekStart = useLocalStorage<'device' | 'monday' | 'sunday' | 'saturday'>('zovrin.weekStart', 'device');
  const lengths = useLocalStorage<'device' | 'cm' | 'in'>('zovrin.lengths', 'device');
  /** Whether single letters are shortcuts; arrow keys, and those with Ctrl or Alt, always are. */
  const singleKeys = useLocalStorage('zovrin.singleKeys', true);
  const volume = useLocalStorage('zovrin.volume', 0.6);
  // What an older visit kept has not all the kinds of today.
  const bells = useLocalStorage<Record<BellKind, boolean>>('zovrin.bells', DEFAULT_RULES.bells, {
    mergeDefaults: true,
  });
  const bellSound = useLocalStorage<BellSound>('zovrin.bell', USUAL_BELL, { mergeDefaults: true });
  /** Whether a phone shakes a little with every bell. */
  const shakes = useLocalStorage('zovrin.shakes', false);
  /** Whether prompts are spoken, where the machine has a voice. */
  const speaks = useLocalStorage('zovrin.speaks', false);
  const tones = useLocalStorage<Record<ToneGroup, boolean>>(
    'zovrin.tones',
    { in: true, out: true, hold: true, strokes: true, counts: true },
    { mergeDefaults: true },
  );
  /** The body set-ups are measured for. */
  const body = useLocalStorage<ForWhom>('zovrin.body', { statureCm: REFERENCE_HEIGHT_CM, flexibility: ORDINARY });
  /** Whether a tone of the breath is switched on. */
  const hears = (kind: ToneKind): boolean => tones.value[TONE_GROUPS[kind]];
  const toggleTheme = (): void => {
    chosen.value = night.value ? 'light' : 'night';
  };
  return {
    night,
    theme: chosen,
    dates,
    clock,
    weekStart,
    lengths,
    singleKeys,
    toggleTheme,
    volume,
    bells,
    bellSound,
    shakes,
    speaks,
    tones,
    hears,
    body,
  };
});
