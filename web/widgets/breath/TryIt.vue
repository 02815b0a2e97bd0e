<script setup lang="ts">
import { useEventListener, useRafFn } from '@vueuse/core';
import Button from 'primevue/button';
import Dialog from 'primevue/dialog';
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { breathProgram, practiceMs, ticksOf, tonesOf, type BreathPractice } from '#core/breath';
import type { Ms } from '#core/numbers';
import { clockOfMs } from '#core/time';
import { phaseIndexAt } from '#core/timeline';
import { useDeviceSettings } from '../../state/device-settings';
import { playTone } from '../sound/breath-tone';
import { makeSounds } from '../sound/sounds';
import { useHeard } from '../sound/use-heard';
import ToneSwitches from '../sound/ToneSwitches.vue';
import PacerView from './PacerView.vue';
import RoundHills from './RoundHills.vue';
import FoldedPart from '../../ui/FoldedPart.vue';

/**
 * Tries a practice as it will be led, from the set that is chosen on: the pacer with its tones, and nothing is
 * recorded.
 */
const { practice, name } = defineProps<{ practice: BreathPractice; name: string }>();
const visible = defineModel<boolean>('visible', { required: true });

const settings = useDeviceSettings();
const heard = useHeard();
const sounds = makeSounds();
const program = computed(() => breathProgram(practice));
const totalMs = computed(() => practiceMs(practice));
const clock = ref(Date.now());
/** When it began by the clock, as if without pauses; while paused, how far it is. */
const began = ref<number>();
const paused = ref<Ms>(0);
const atMs = computed(() =>
  Math.min(totalMs.value, began.value === undefined ? paused.value : clock.value - began.value),
);
const index = computed(() => Math.max(0, phaseIndexAt(program.value, atMs.value)));
const phase = computed(() => program.value[index.value]);
const set = computed(() => phase.value && practice.sets[phase.value.set]);
const of = computed(() => set.value?.rounds ?? 1);
const over = computed(() => atMs.value >= totalMs.value);

const AHEAD_MS = 1200;
/** The tones that are due within the next second, on the audio clock. */
function schedule(): void {
  if (began.value === undefined) return;
  for (const [i, one] of program.value.entries()) {
    if (i < index.value) continue;
    if (one.startMs > atMs.value + AHEAD_MS) break;
    const lengthMs = one.endMs - one.startMs;
    for (const tone of [...tonesOf(one, lengthMs), ...ticksOf(one, lengthMs)]) {
      const inMs = began.value + one.startMs + tone.atMs - Date.now();
      if (inMs < -200 || inMs > AHEAD_MS || !heard(tone.kind)) continue;
      const key = `${i} ${tone.kind} ${tone.atMs}`;
      sounds.schedule(key, inMs, (audio, out, at) => playTone(audio, out, tone.kind, at, tone.lengthMs / 1000));
    }
  }
}
useRafFn(() => {
  clock.value = Date.now();
  if (visible.value && !over.value) schedule();
});
async function play(): Promise<void> {
  sounds.setVolume(settings.volume);
  await sounds.wake();
  began.value = Date.now() - (over.value ? 0 : paused.value);
  clock.value = Date.now();
}
function pause(): void {
  paused.value = atMs.value;
  began.value = undefined;
  sounds.silence();
}
const toggle = (): void => {
  if (began.value === undefined || over.value) {
    if (over.value) paused.value = 0;
    void play();
  } else pause();
};
function again(): void {
  sounds.silence();
  paused.value = 0;
  void play();
}
watch(visible, (shown) => {
  if (shown) again();
  else pause();
});
useEventListener(window, 'keydown', (event: KeyboardEvent) => {
  if (!visible.value || event.key !== ' ' || (event.target as Element).closest('button, input')) return;
  event.preventDefault();
  toggle();
});
onBeforeUnmount(() => sounds.close());
</script>

<template>
  <Dialog
    v-model:visible="visible"
    modal
    :header="`Try it: ${name}`"
    class="try-it"
    :style="{ width: 'min(1000px, 94vw)' }"
  >
    <div class="head">
      <RoundHills v-if="phase && of > 1" :number="phase.round" :of="of" />
      <p class="quiet">{{ set?.says || set?.label }}</p>
    </div>
    <PacerView
      v-if="phase"
      class="pacer"
      :phases="program"
      :at="index"
      :into-ms="atMs - phase.startMs"
      :length-ms="phase.endMs - phase.startMs"
      :practice="practice"
      :paused="began === undefined"
    />
    <footer>
      <Button autofocus :label="over ? 'Again' : began === undefined ? 'Resume' : 'Pause'" @click="toggle" />
      <Button label="From the start" outlined @click="again" />
      <span class="quiet">{{ clockOfMs(totalMs - atMs) }} to go</span>
      <FoldedPart class="tones" title="Tones">
        <ToneSwitches />
      </FoldedPart>
    </footer>
  </Dialog>
</template>

<style scoped>
.head {
  display: flex;
  gap: 24px;
  align-items: center;
  min-height: 30px;
  margin-bottom: 8px;
}
.pacer {
  height: min(460px, 56vh);
  border: 1px solid var(--line);
}
footer {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
  margin-top: 12px;
}
.tones {
  margin-left: auto;
}
</style>
