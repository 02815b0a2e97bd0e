<script setup lang="ts">
import { computed } from 'vue';
import type { Plan } from '#core/plan';
import type { Timeline } from '#core/timeline';

/**
 * How much each person carries: the least that is put down, taken away, turned and moved, in total and step by step.
 */
const { plan, timeline } = defineProps<{ plan: Plan; timeline: Timeline }>();
const emit = defineEmits<{ choose: [index: number] }>();

const steps = computed(() =>
  timeline.steps
    .filter(({ propMoves }) => propMoves > 0)
    .map(({ stepIndex, propMoves }) => ({ stepIndex, propMoves, name: plan.steps[stepIndex]?.name ?? '' })),
);
const most = computed(() => Math.max(1, ...steps.value.map(({ propMoves }) => propMoves)));
</script>

<template>
  <div v-if="steps.length > 0" class="carrying">
    <h2>
      Prop changes <span class="small quiet">{{ timeline.totals.propMoves }} prop changes per person</span>
    </h2>
    <ul>
      <li v-for="{ stepIndex, propMoves, name } in steps" :key="stepIndex">
        <button type="button" class="plain-button small" @click="emit('choose', stepIndex)">
          {{ stepIndex + 1 }} {{ name }}
        </button>
        <span class="bar"><span :style="{ width: `${(100 * propMoves) / most}%` }" /></span>
        <span class="small count">{{ propMoves }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.carrying {
  margin-top: 18px;
}
h2 {
  font-size: 19px;
  line-height: 26px;
}
li {
  display: grid;
  grid-template-columns: 210px minmax(0, 1fr) 24px;
  gap: 10px;
  align-items: center;
  min-height: 24px;
}
button {
  overflow: hidden;
  min-height: 24px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.bar span {
  display: block;
  height: 7px;
  border-radius: 2px;
  background: var(--shelf);
}
.count {
  text-align: right;
}
</style>
