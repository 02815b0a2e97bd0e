<script setup lang="ts">
import { computed } from 'vue';
import { setHold, type HoldStep } from '#core/plan';
import type { Seconds } from '#core/numbers';
import { usualChanges } from '#core/timeline';
import { useLibrary } from '../../../state/library';
import CheckField from '../../../ui/fields/CheckField.vue';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { useEditor } from '../../../state/editor';
import { useEdit } from '../use-edit';

/** The times around a hold: laying out its props, getting in, coming out, changing sides. */
const { step, setupSeconds } = defineProps<{
  step: HoldStep;
  /** How long the set-up takes by what has to be moved. */
  setupSeconds: Seconds;
}>();

const edit = useEdit();
const editor = useEditor();
const library = useLibrary();
const twoSided = computed(() => step.sides.kind === 'each' || step.sides.kind === 'crossing');
const usual = computed(() => usualChanges(step, library.all, editor.rules));
/** Done where one is: nothing is set up, and the sides change without a pause. */
const atOnce = computed(() => step.setupSeconds === 0 && (!twoSided.value || step.switchSeconds === 0));
const setAtOnce = (now: boolean) =>
  edit(
    setHold(step.id, { setupSeconds: now ? 0 : null, ...(twoSided.value ? { switchSeconds: now ? 0 : null } : {}) }),
  );
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
        :usual="usual.enterSeconds"
        :accept="(enterSeconds) => edit(setHold(step.id, { enterSeconds }))"
      />
      <TimeField
        label="Coming out"
        :model-value="step.leaveSeconds"
        :usual="usual.leaveSeconds"
        :accept="(leaveSeconds) => edit(setHold(step.id, { leaveSeconds }))"
      />
      <TimeField
        v-if="twoSided"
        label="Changing sides"
        :model-value="step.switchSeconds"
        :usual="usual.switchSeconds"
        :accept="(switchSeconds) => edit(setHold(step.id, { switchSeconds }))"
      />
      <CheckField
        :label="twoSided ? 'no set-up, no pause between sides' : 'no set-up'"
        :model-value="atOnce"
        @update:model-value="setAtOnce"
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
