<script setup lang="ts">
import type { Level } from '#core/caution';

/**
 * How careful, by shape: a barred lozenge, a half-filled roof, an open ring; seen is a tick, something else two lines
 * crossing over.
 */
const { level, state = 'open' } = defineProps<{ level: Level | null; state?: 'open' | 'seen' | 'instead' }>();
</script>

<template>
  <svg class="mark" :class="[level, state]" viewBox="0 0 16 16" width="14" height="14" aria-hidden="true">
    <path v-if="state === 'seen'" class="line" d="M2.5 8.5 6.2 12 13.5 4" />
    <template v-else-if="state === 'instead'">
      <path class="line" d="M2 5h5l4 6h3" />
      <path class="line thin" d="M2 11h4M11 5h3" />
    </template>
    <template v-else-if="level === 'avoid'">
      <path class="full" d="M8 1 15 8 8 15 1 8Z" />
      <path class="bar" d="M4.6 8h6.8" />
    </template>
    <template v-else-if="level === 'change'">
      <path class="line" d="M8 2.5 14.5 13.5H1.5Z" />
      <path class="full" d="M8 2.5V13.5H1.5Z" />
    </template>
    <circle v-else-if="level === 'watch'" class="line" cx="8" cy="8" r="4.6" />
  </svg>
</template>

<style scoped>
.mark {
  flex: none;
  color: var(--caution);
}
.watch,
.seen {
  color: var(--ink-2);
}
.instead {
  color: var(--ink);
}
.line {
  fill: none;
  stroke: currentcolor;
  stroke-width: 1.7;
  stroke-linejoin: round;
}
.thin {
  stroke-width: 1;
}
.full {
  fill: currentcolor;
}
.bar {
  stroke: var(--paper);
  stroke-width: 2;
}
</style>
