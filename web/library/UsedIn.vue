<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import type { Step } from '#core/plan';
import type { ListedPlan } from '#api';
import { listPlans } from '../client/plans';

/** The plans that use an entry of the library. */
const { uses } = defineProps<{ uses: (step: Step) => boolean }>();

const MOST = 100;
const plans = shallowRef<readonly ListedPlan[]>();
const trouble = shallowRef('');
listPlans('', MOST).then(
  (found) => (plans.value = found.plans),
  (error: Error) => (trouble.value = error.message),
);
const using = computed(() => (plans.value ?? []).filter(({ document }) => document.steps.some(uses)));
</script>

<template>
  <section>
    <h2>In your plans</h2>
    <p v-if="trouble" class="caution">{{ trouble }}</p>
    <p v-else-if="plans && using.length === 0" class="quiet">In none yet.</p>
    <ul>
      <li v-for="plan in using" :key="plan.id">
        <RouterLink :to="`/plans/${plan.id}`">{{ plan.document.title }}</RouterLink>
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  margin-top: 18px;
  font-size: 19px;
  line-height: 24px;
}
</style>
