<script setup lang="ts">
import { useRafFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import type { HoldBreath } from '#core/plan';
import { stateAt } from '#core/run';
import { toMs } from '#core/numbers';
import { breathInHold, phaseIndexAt } from '#core/timeline';
import BreathWay from '../../widgets/breath/BreathWay.vue';
import { breathHill, breathWay, type QuarterPhase } from '../../widgets/breath/hill';
import { breathWord, paceNumber, throughWord } from '../../widgets/breath/pace';
import type { SessionView } from './use-session';
import { countdown } from './words';

/** The breath inside a hold, small under its time: when it begins, then its count and its word on a low hill. */
const { session, breath } = defineProps<{ session: SessionView; breath: HoldBreath }>();

const clock = ref(session.clock.now());
useRafFn(() => {
  clock.value = session.clock.now();
});
const state = computed(() => stateAt(session.run.value, Math.max(clock.value, session.now.value)));
const phases = computed(() => breathInHold(breath, state.value.groupMs));
const atMs = computed(() => state.value.groupMs - state.value.groupMoreMs - toMs(breath.settleSeconds));
const index = computed(() => (atMs.value < 0 ? -1 : phaseIndexAt(phases.value, atMs.value)));
const phase = computed(() => {
  const here = phases.value[index.value];
  return here && atMs.value < here.endMs ? here : undefined;
});
const FRAME = { width: 250, height: 46 };
const cycle = computed((): QuarterPhase[] => {
  const here = phase.value;
  if (!here || !('counts' in here)) return [];
  return phases.value.filter(
    (other): other is Extract<typeof other, { counts: number }> => 'counts' in other && other.cycle === here.cycle,
  );
});
const lengthMs = computed(() => (phase.value ? phase.value.endMs - phase.value.startMs : 0));
const hill = computed(() =>
  cycle.value.length > 0
    ? breathHill(cycle.value, FRAME)
    : phase.value && breathWay(phase.value, lengthMs.value, FRAME),
);
const intoMs = computed(() => atMs.value - (phase.value?.startMs ?? 0));
const wayMs = computed(() => atMs.value - (cycle.value[0]?.startMs ?? phase.value?.startMs ?? 0));
const number = computed(() => (phase.value ? paceNumber(phase.value, intoMs.value, lengthMs.value) : ''));
const words = computed(() =>
  phase.value ? [breathWord(phase.value), throughWord(phase.value)].filter(Boolean).join(', ') : '',
);
</script>

<template>
  <div v-if="phase && hill" class="inside">
    <p class="count">
      <span class="numeral">{{ number }}</span> {{ words }}
    </p>
    <BreathWay :hill="hill" :at-ms="wayMs" :width="FRAME.width" :height="FRAME.height" :labels="false" />
  </div>
  <p v-else-if="atMs < 0 && phases.length > 0" class="quiet">{{ breath.name }} in {{ countdown(-atMs) }}</p>
</template>

<style scoped>
.inside {
  display: flex;
  align-self: flex-start;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: center;
}
.count {
  min-width: 140px;
  font: 600 26px/40px var(--head);
}
.numeral {
  display: inline-block;
  min-width: 44px;
  font-size: 44px;
}
</style>
