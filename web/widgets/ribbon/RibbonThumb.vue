<script setup lang="ts">
import { computed } from 'vue';
import { clockOfMs } from '#core/time';
import type { Block, Totals } from '#core/timeline';
import RibbonBody from './RibbonBody.vue';
import { xOf } from './shapes';

/** A session as a small ribbon. Thumbnails in one list share `pxPerMs`, so a short session looks short. */
const {
  ribbon,
  totals,
  pxPerMs,
  width,
  height = 48,
} = defineProps<{
  ribbon: readonly Block[];
  totals: Pick<Totals, 'totalMs' | 'targetMs'>;
  pxPerMs: number;
  width: number;
  height?: number;
}>();

const scale = computed(() => ({ x0: 1, pxPerMs, height: height * 0.4, thread: 1.6 }));
/** Too small for stages: their cuts would eat the hold. */
const blocks = computed(() => ribbon.map((block) => (block.kind === 'hold' ? { ...block, cutsMs: [] } : block)));
const endX = computed(() => xOf(scale.value, totals.totalMs));
const targetX = computed(() => Math.min(width - 1, xOf(scale.value, totals.targetMs)));
const summary = computed(() => `${clockOfMs(totals.totalMs)} of ${clockOfMs(totals.targetMs)}`);
</script>

<template>
  <svg
    :width="width"
    :height="height"
    :viewBox="`0 ${-height / 2} ${width} ${height}`"
    role="img"
    :aria-label="`Ribbon, ${summary}`"
  >
    <path class="r-axis" :d="`M1 0H${endX}`" />
    <path v-if="targetX > endX" class="r-tick" stroke-dasharray="1.5 2.5" :d="`M${endX} 0H${targetX}`" />
    <RibbonBody :blocks="blocks" :scale="scale" />
    <path class="r-target" :d="`M${targetX} ${-height * 0.42}V${height * 0.42}`" />
  </svg>
</template>
