<script setup lang="ts">
import { computed } from 'vue';
import type { Block } from '#core/timeline';
import { ribbonShapes, type RibbonScale } from './shapes';

/** The shapes of a ribbon about y = 0, for use inside an svg. */
const { blocks, scale } = defineProps<{ blocks: readonly Block[]; scale: RibbonScale }>();

const shapes = computed(() => ribbonShapes(blocks, scale));
</script>

<template>
  <path v-for="{ look, d } in shapes" :key="look" :class="`r-${look}`" :d="d" />
</template>
