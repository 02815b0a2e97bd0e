<script setup lang="ts">
import { computed, onBeforeUnmount } from 'vue';
import { DEFAULT_RULES } from '#core/timeline';
import { timelineOf } from '../shared/ribbon/layout';
import { useLibrary } from '../stores/library';
import BreathStage from './BreathStage.vue';
import HoldStage from './HoldStage.vue';
import type { LocalRun } from './outbox';
import { realClock } from './session-clock';
import { startTicker } from './ticker';
import { useSessionView } from './use-session';

/** What the room sees of a session that is led in another window: side, time, figure and breath; nothing to press. */
const { run } = defineProps<{ run: LocalRun }>();

const session = useSessionView(
  run.plan,
  timelineOf(run.plan, useLibrary().all),
  () => run.events,
  realClock,
  () => DEFAULT_RULES.bells,
);
const stop = startTicker(() => {
  session.now.value = realClock.now();
});
onBeforeUnmount(stop);
const inBreath = computed(() => {
  const { phase } = session.state.value;
  return phase !== null && 'round' in phase;
});
</script>

<template>
  <BreathStage v-if="inBreath" :session="session" />
  <HoldStage v-else plain :session="session" />
</template>
