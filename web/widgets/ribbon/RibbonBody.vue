<script setup lang="ts">
import { computed } from 'vue';
import type { Block } from '#core/timeline';
import { blockShapes, waveFactor, type RibbonScale } from './shapes';

/** The shapes of a ribbon about y = 0, for use inside an svg. */
const { blocks, scale } = defineProps<{ blocks: readonly Block[]; scale: RibbonScale }>();

const shapes = computed(() => {
  const factor = waveFactor(blocks, scale.pxPerMs);
  return blocks.flatMap((block) => blockShapes(block, scale, factor));
});
</script>

<template>
  <path v-for="({ look, d }, i) in shapes" :key="i" :class="`r-${look}`" :d="d" />
</template>
