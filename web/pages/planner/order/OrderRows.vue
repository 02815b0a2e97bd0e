<script setup lang="ts">
import { computed } from 'vue';
import { setStepCommon, type Plan } from '#core/plan';
import IconButton from '../../../ui/IconButton.vue';
import SideGlyph from '../../../widgets/marks/SideGlyph.vue';
import { useEditor } from '../../../state/editor';

/** The steps in their new order, each with the place it comes from, and a pin that keeps it where it is. */
const { plan, stepIds } = defineProps<{ plan: Plan; stepIds: readonly string[] }>();
const chosen = defineModel<string | undefined>('chosen');
const editor = useEditor();

const rows = computed(() =>
  stepIds.flatMap((id, at) => {
    const from = plan.steps.findIndex((step) => step.id === id);
    const step = plan.steps[from];
    return step ? [{ step, at, from }] : [];
  }),
);
/** What is without props of its own goes with the step it follows; what leads can be pinned. */
const leads = (step: Plan['steps'][number]): boolean =>
  step.kind === 'hold' || step.kind === 'breath' || (step.kind === 'rest' && step.setUp !== null);
const pin = (id: string, pinned: boolean): void => void editor.edit(setStepCommon(id, { pinned }));
</script>

<template>
  <ol aria-label="The order">
    <li
      v-for="{ step, at, from } in rows"
      :key="step.id"
      :class="{ chosen: step.id === chosen, thin: !leads(step) }"
      @click="chosen = step.id"
    >
      <span class="place">{{ at + 1 }}</span>
      <SideGlyph :step="step" />
      <span class="name">{{ step.name }}</span>
      <span class="small quiet">{{
        from === at ? '' : from > at ? `up from ${from + 1}` : `down from ${from + 1}`
      }}</span>
      <IconButton
        v-if="leads(step)"
        icon="pin"
        :size="16"
        :label="step.pinned ? `Let ${step.name} move` : `Pin ${step.name} to its place`"
        :aria-pressed="step.pinned"
        :class="{ open: !step.pinned }"
        @click.stop="pin(step.id, !step.pinned)"
      />
    </li>
  </ol>
</template>

<style scoped>
ol {
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 24px 26px minmax(0, 1fr) auto 30px;
  gap: 8px;
  align-items: center;
  min-height: 33px;
  border-bottom: 1px solid var(--line);
}
.thin {
  min-height: 25px;
}
.thin .name {
  font-weight: 400;
}
.chosen {
  background: var(--lit);
}
.place {
  color: var(--ink-2);
  text-align: right;
  font-variant-numeric: tabular-nums;
}
.name {
  overflow: hidden;
  font-weight: 600;
  font-size: 14.5px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.open {
  color: var(--ink-3);
}
</style>
