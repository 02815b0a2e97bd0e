<script setup lang="ts">
import { computed, onBeforeUnmount } from 'vue';
import { compileTimeline, DEFAULT_RULES } from '#core/timeline';
import { useLibrary } from '../../../state/library';
import BreathStage from '../BreathStage.vue';
import HoldStage from '../HoldStage.vue';
import { excludedMs } from '../../../widgets/session/clock-offset';
import { ledBy, type LocalRun } from '../../../sync/event-outbox';
import { steadyClock } from '../../../widgets/session/session-clock';
import { startTicker } from '../../../widgets/session/ticker';
import { useSessionView } from '../use-session';

/** What students see of a session that is led in another window: side, time, figure and breath; nothing to press. */
const { run, aheadMs = 0 } = defineProps<{
  run: LocalRun;
  /** How far the clock the session is led by is ahead of this one. */
  aheadMs?: number;
}>();

/** The leader says in the events what is left out of the device’s clock; a phone is given the clock of the session. */
const clock = {
  ...steadyClock(),
  now: () => Math.round(Date.now() + aheadMs) - excludedMs(run.events, ledBy(run.events)),
};
const session = useSessionView(
  run.plan,
  compileTimeline(run.plan, useLibrary().all),
  () => run.events,
  clock,
  () => DEFAULT_RULES.bells,
);
const stop = startTicker(() => {
  session.now.value = clock.now();
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
