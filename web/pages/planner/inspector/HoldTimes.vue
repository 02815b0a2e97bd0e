<script setup lang="ts">
import { computed } from 'vue';
import type { Position } from '#core/catalogue';
import { setHold, type HoldStep } from '#core/plan';
import type { Seconds } from '#core/numbers';
import { DEFAULT_RULES } from '#core/timeline';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { useEdit } from '../use-edit';

/** The times around a hold: laying out its props, getting in, coming out, changing sides. */
const { step, position, setupSeconds } = defineProps<{
  step: HoldStep;
  position: Position | undefined;
  /** How long the set-up takes by what has to be moved. */
  setupSeconds: Seconds;
}>();

const edit = useEdit();
const twoSided = computed(() => step.sides.kind === 'each' || step.sides.kind === 'crossing');
const usualOf = (key: 'enterSeconds' | 'leaveSeconds' | 'switchSeconds'): Seconds =>
  position?.[key] ?? DEFAULT_RULES[key];
</script>

<template>
  <FieldGroup title="Getting in and out">
    <div class="times">
      <TimeField
        label="Setting up"
        :model-value="step.setupSeconds"
        :usual="step.setupSeconds === null ? setupSeconds : 0"
        :accept="(setupSeconds) => edit(setHold(step.id, { setupSeconds }))"
      />
      <TimeField
        label="Getting in"
        :model-value="step.enterSeconds"
        :usual="usualOf('enterSeconds')"
        :accept="(enterSeconds) => edit(setHold(step.id, { enterSeconds }))"
      />
      <TimeField
        label="Coming out"
        :model-value="step.leaveSeconds"
        :usual="usualOf('leaveSeconds')"
        :accept="(leaveSeconds) => edit(setHold(step.id, { leaveSeconds }))"
      />
      <TimeField
        v-if="twoSided"
        label="Changing sides"
        :model-value="step.switchSeconds"
        :usual="usualOf('switchSeconds')"
        :accept="(switchSeconds) => edit(setHold(step.id, { switchSeconds }))"
      />
    </div>
  </FieldGroup>
</template>

<style scoped>
.times {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  font-size: 13.5px;
}
.times :deep(input) {
  width: 52px;
}
</style>
