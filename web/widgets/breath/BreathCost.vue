<script setup lang="ts">
import { computed } from 'vue';
import { breathCost, type BreathPractice } from '#core/breath';
import { clockOfMs } from '#core/time';
import { rateInWords } from './rate';

/** What a practice costs: its length, its breaths, how fast, and how much of it is held. */
const { practice } = defineProps<{ practice: BreathPractice }>();

const cost = computed(() => breathCost(practice));
const figures = computed(() => [
  { value: clockOfMs(cost.value.lengthMs), what: 'total' },
  ...(cost.value.meanRate === null
    ? []
    : [
        { value: String(cost.value.cycles), what: cost.value.cycles === 1 ? 'breath' : 'breaths' },
        { value: rateInWords(cost.value.meanRate), what: 'a minute' },
      ]),
  ...(cost.value.strokes > 0
    ? [{ value: String(cost.value.strokes), what: `pumps, ${clockOfMs(cost.value.strokesMs)}` }]
    : []),
  {
    value: cost.value.longestRetentionMs > 0 ? clockOfMs(cost.value.longestRetentionMs) : 'none',
    what: 'longest hold',
  },
  { value: `${Math.round(1000 * cost.value.retentionShare) / 10} %`, what: 'spent in retention' },
]);
</script>

<template>
  <dl aria-label="Length and load">
    <div v-for="{ value, what } in figures" :key="what">
      <dd class="numeral">{{ value }}</dd>
      <dt class="small quiet">{{ what }}</dt>
    </div>
  </dl>
</template>

<style scoped>
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  margin: 0;
}
dd {
  margin: 0;
  font-size: 24px;
  line-height: 28px;
}
</style>
