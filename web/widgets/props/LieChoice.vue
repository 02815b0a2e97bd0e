<script setup lang="ts">
import ChoiceField from '../../ui/fields/ChoiceField.vue';

/** Whether a prop lies along the mat or across it, chosen by two small drawings of a mat from above. */
const lie = defineModel<'lengthwise' | 'crosswise'>({ required: true });

const LIES = (['lengthwise', 'crosswise'] as const).map((value) => ({ value, label: value }));
</script>

<template>
  <ChoiceField v-model="lie" label="Direction" :options="LIES">
    <template #default="{ value }">
      <svg width="26" height="16" viewBox="0 0 26 16" aria-hidden="true">
        <rect class="mat" x=".5" y="2.5" width="25" height="11" rx="1.5" />
        <rect v-if="value === 'lengthwise'" class="prop" x="6" y="5.5" width="14" height="5" rx="1" />
        <rect v-else class="prop" x="10.5" y="1" width="5" height="14" rx="1" />
      </svg>
    </template>
  </ChoiceField>
</template>

<style scoped>
.mat {
  fill: none;
  stroke: var(--line-strong);
}
.prop {
  fill: var(--p-bolster);
  stroke: var(--p-bolster-e);
}
</style>
