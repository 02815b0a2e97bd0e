<script setup lang="ts">
import { computed } from 'vue';
import { clockOfMs } from '#core/time';

/** Time on the left and on the right as one bar about a centre line; the shorter side shows what it misses. */
const {
  leftMs,
  rightMs,
  intended = false,
} = defineProps<{
  leftMs: number;
  rightMs: number;
  /** Where they differ, they do so on purpose. */
  intended?: boolean;
}>();

const HALF = 50;
const most = computed(() => Math.max(leftMs, rightMs, 1));
const left = computed(() => (HALF * leftMs) / most.value);
const right = computed(() => (HALF * rightMs) / most.value);
const uneven = computed(() => leftMs !== rightMs && !intended);
</script>

<template>
  <figure v-if="leftMs + rightMs > 0" :aria-label="`Left ${clockOfMs(leftMs)}, right ${clockOfMs(rightMs)}`" role="img">
    <span class="strong">{{ clockOfMs(leftMs) }}</span>
    <svg width="102" height="18" viewBox="-51 -9 102 18">
      <rect class="r-left" :x="-left" y="-6" :width="left" height="12" />
      <rect class="r-right" x="0" y="-6" :width="right" height="12" />
      <template v-if="uneven">
        <path v-if="left < HALF" class="r-missing" :d="`M${-left} -5.5H-50V5.5H${-left}`" />
        <path v-if="right < HALF" class="r-missing" :d="`M${right} -5.5H50V5.5H${right}`" />
      </template>
      <path class="r-axis" d="M0 -9V9" />
    </svg>
    <span class="strong">{{ clockOfMs(rightMs) }}</span>
    <span class="small quiet words"><span>left</span><span>right</span></span>
  </figure>
</template>

<style scoped>
figure {
  display: grid;
  grid-template-columns: auto 102px auto;
  gap: 0 6px;
  align-items: center;
  margin: 0;
  padding-left: 18px;
  border-left: 1px solid var(--line);
}
.words {
  display: flex;
  grid-column: 2;
  justify-content: space-between;
}
</style>
