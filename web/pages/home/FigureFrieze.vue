<script setup lang="ts">
import { computed } from 'vue';
import type { HoldStep, Plan } from '#core/plan';
import StepFigure from '../../widgets/figures/StepFigure.vue';
import { useLibrary } from '../../state/library';

/** The figures of a plan in a row on one ground line, in order. */
const { plan } = defineProps<{ plan: Plan }>();
const library = useLibrary();

const MOST = 14;
const holds = computed(() =>
  plan.steps
    .filter((step): step is HoldStep => step.kind === 'hold' && library.all.position(step.position) !== undefined)
    .slice(0, MOST),
);
</script>

<template>
  <ul v-if="holds.length > 0" class="frieze" aria-label="The positions in order" tabindex="0">
    <li v-for="step in holds" :key="step.id" :title="step.name">
      <StepFigure :step="step" :label="step.name" :least="1700" />
    </li>
  </ul>
</template>

<style scoped>
.frieze {
  display: flex;
  gap: 6px;
  align-items: end;
  height: 74px;
  margin-bottom: 6px;
  border-bottom: 1px solid var(--line);
}
li {
  flex: 1 1 0;
  max-width: 150px;
  height: 100%;
  min-width: 0;
}
@media (width < 640px) {
  .frieze {
    overflow-x: auto;
  }
  li {
    flex: 0 0 96px;
  }
}
</style>
