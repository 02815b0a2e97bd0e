<script setup lang="ts">
import type { Ms } from '#core/numbers';
import { clockOfMs } from '#core/time';

/** Lines to say, each with its moment. */
const { lines } = defineProps<{ lines: readonly { atMs: Ms; text: string }[] }>();
</script>

<template>
  <ol class="script">
    <li v-for="({ atMs, text }, i) in lines" :key="i">
      <span class="quiet at">{{ clockOfMs(atMs) }}</span> <span>{{ text }}</span>
    </li>
  </ol>
</template>

<style scoped>
.script {
  padding: 0;
  list-style: none;
}
.script li {
  display: flex;
  gap: 10px;
  padding: 2px 0;
}
.at {
  flex: none;
  width: 44px;
  font-variant-numeric: tabular-nums;
}
</style>
