<script setup lang="ts">
import Popover from 'primevue/popover';
import { computed, useTemplateRef } from 'vue';
import AppIcon from '../../../ui/AppIcon.vue';
import type { Session } from '../use-session';

/** Occasional controls: finer lengths, an open-ended hold, a rest here, swapping the next two. */
const { session } = defineProps<{ session: Session }>();

const popover = useTemplateRef('popover');
const stepName = (index: number | undefined): string => session.plan.steps[index ?? -1]?.name ?? '';
const REST_MS = 60_000;
const stretch = (seconds: number) => session.happen({ kind: 'stretched', byMs: seconds * 1000 });
const choices = computed(() => {
  const { open } = session.state.value;
  const two = session.nextTwo.value;
  return [
    { label: '15 seconds less', act: () => stretch(-15) },
    { label: '15 seconds more', act: () => stretch(15) },
    { label: 'A minute more', act: () => stretch(60) },
    { label: open ? 'Back to its planned time' : 'Hold until I end it', key: 'H', act: session.holdOn },
    { label: 'A minute of rest after this', key: 'R', act: () => session.happen({ kind: 'restAdded', ms: REST_MS }) },
    ...(two ? [{ label: `${stepName(two[1])} before ${stepName(two[0])}`, key: 'S', act: session.swapNext }] : []),
  ];
});
const toggle = (event: Event): void => popover.value?.toggle(event);
function take(act: () => void): void {
  popover.value?.hide();
  act();
}
defineExpose({ toggle });
</script>

<template>
  <Popover ref="popover">
    <div class="more">
      <button v-for="{ label, key, act } in choices" :key="label" type="button" @click="take(act)">
        <AppIcon name="next" :size="14" /><span>{{ label }}</span
        ><kbd v-if="key">{{ key }}</kbd>
      </button>
    </div>
  </Popover>
</template>

<style scoped>
.more {
  display: grid;
  min-width: 260px;
}
button {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 48px;
  padding: 0 8px;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  font-size: 17px;
  text-align: left;
  cursor: pointer;
}
span {
  flex: 1;
}
</style>
