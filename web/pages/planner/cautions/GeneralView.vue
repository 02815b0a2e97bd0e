<script setup lang="ts">
import { computed } from 'vue';
import type { Plan } from '#core/plan';
import GeneralCautions from '../../../widgets/cautions/GeneralCautions.vue';

/** What is usually said of each step, whoever comes. */
const { plan } = defineProps<{ plan: Plan }>();

const steps = computed(() =>
  plan.steps.flatMap((step, i) => (step.kind === 'hold' || step.kind === 'breath' ? [{ step, number: i + 1 }] : [])),
);
</script>

<template>
  <p v-if="steps.length === 0" class="quiet">This plan has no holds and no breath yet.</p>
  <p v-else class="quiet">
    For how many conditions each step has a usual caution, whoever comes. Open one to see which, and why.
  </p>
  <ol class="steps">
    <li v-for="{ step, number } in steps" :key="step.id">
      <p class="strong">
        <span class="quiet">{{ number }}</span> {{ step.name }}
      </p>
      <GeneralCautions :step="step" />
    </li>
  </ol>
</template>

<style scoped>
.steps li {
  display: grid;
  grid-template-columns: 280px minmax(0, 1fr);
  gap: 16px;
  padding: 7px 0;
  border-top: 1px solid var(--line);
}
@media (width < 760px) {
  .steps li {
    grid-template-columns: minmax(0, 1fr);
    gap: 2px;
  }
}
</style>
