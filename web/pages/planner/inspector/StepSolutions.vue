<script setup lang="ts">
import { computed } from 'vue';
import type { Step } from '#core/plan';
import { useShortages } from '../../../widgets/props/use-shortages';
import PropSolutions from '../props/PropSolutions.vue';
import { useSolutions } from '../props/use-solutions';

/** What else could be done where the place has too little for a step; nothing where it has enough. */
const { step, index } = defineProps<{ step: Step; index: number }>();

const shortages = useShortages();
const short = computed(() => shortages.value.has(index));
const { solutions, trouble } = useSolutions(() => (short.value ? [step.id] : []));
</script>

<template>
  <section v-if="short">
    <h3>Solutions</h3>
    <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
    <PropSolutions v-else :step="step" :solutions="solutions?.[step.id]" />
  </section>
</template>

<style scoped>
section {
  padding: 6px 0 8px;
}
h3 {
  font: 600 14.5px/20px var(--text);
}
</style>
