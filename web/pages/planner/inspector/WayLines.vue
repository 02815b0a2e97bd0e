<script setup lang="ts">
import { wordsOnSide } from '#core/catalogue';
import type { Side } from '#core/plan';

/** How to get into a position or out of it, sentence by sentence, for the side that is held first. */
const { title, lines, side } = defineProps<{ title: string; lines: readonly string[]; side: Side | 'both' }>();
</script>

<template>
  <section v-if="lines.length > 0">
    <h3>{{ title }}</h3>
    <ol>
      <li v-for="line in lines" :key="line">{{ wordsOnSide(line, side) }}</li>
    </ol>
  </section>
</template>

<style scoped>
section {
  padding: 6px 0 8px;
  border-top: 1px solid var(--line);
}
h3 {
  font: 600 14.5px/20px var(--text);
}
ol {
  padding-left: 18px;
  list-style: decimal;
  font-size: 14px;
  line-height: 19px;
}
</style>
