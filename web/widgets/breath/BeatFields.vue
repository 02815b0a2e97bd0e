<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core';
import { computed, onBeforeUnmount, ref } from 'vue';
import { BREATH_LIMITS, countOfTaps, MIN_TAPS } from '#core/breath';
import type { Seconds } from '#core/numbers';
import { useDeviceSettings } from '../../state/device-settings';
import NumberField from '../../ui/fields/NumberField.vue';
import { playTone } from '../sound/breath-tone';
import { makeSounds } from '../sound/sounds';

/** How long one count is: typed, tapped as a beat, and heard as a metronome. */
const { countSeconds, accept } = defineProps<{
  countSeconds: Seconds;
  accept: (countSeconds: Seconds) => string | undefined;
}>();

const settings = useDeviceSettings();
const taps = ref<number[]>([]);
const reason = ref('');
const summary = computed(() => {
  if (reason.value !== '') return reason.value;
  const more = MIN_TAPS - taps.value.length;
  return taps.value.length > 0 && more > 0 ? `${more} more` : '';
});
function tap(event: Event): void {
  taps.value = [...taps.value, event.timeStamp].slice(-20);
  const seconds = countOfTaps(taps.value);
  if (seconds !== undefined && seconds !== countSeconds) reason.value = accept(seconds) ?? '';
  else if (seconds === undefined && taps.value.length >= MIN_TAPS + 2) {
    reason.value = `A count lasts ${BREATH_LIMITS.minCountSeconds} to ${BREATH_LIMITS.maxCountSeconds} s. Tap one for each count.`;
  } else reason.value = '';
}

const sounds = makeSounds();
const beating = ref(false);
const TICK_MS = 100;
const AHEAD_MS = 400;
let nextAtMs = 0;
const beat = useIntervalFn(
  () => {
    const now = performance.now();
    while (nextAtMs < now + AHEAD_MS) {
      sounds.schedule(`beat ${nextAtMs}`, nextAtMs - now, (audio, out, at) => playTone(audio, out, 'stroke', at, 0.06));
      nextAtMs += countSeconds * 1000;
    }
  },
  TICK_MS,
  { immediate: false },
);
async function metronome(): Promise<void> {
  beating.value = !beating.value;
  if (!beating.value) {
    beat.pause();
    sounds.silence();
    return;
  }
  sounds.setVolume(settings.volume);
  await sounds.wake();
  nextAtMs = performance.now();
  beat.resume();
}
onBeforeUnmount(() => sounds.close());
</script>

<template>
  <span class="small quiet">one count is</span>
  <NumberField hide-label label="Seconds a count" unit="s" :step="0.1" :model-value="countSeconds" :accept="accept" />
  <button type="button" class="link-button small" @pointerdown="tap" @keydown.space.prevent="tap" @keydown.enter="tap">
    Tap the beat
  </button>
  <button type="button" class="link-button small" :aria-pressed="beating" @click="metronome">
    {{ beating ? 'Stop the beat' : 'Hear it' }}
  </button>
  <span class="small said" :class="{ caution: reason !== '' }" role="status">{{ summary }}</span>
</template>

<style scoped>
.said {
  color: var(--ink-2);
}
.said.caution {
  color: var(--caution);
}
</style>
