<script setup lang="ts">
import { computed } from 'vue';

/**
 * Rounds as small hills: led ones filled, the present one lit, those to come in outline; beyond a row, the number
 * alone.
 */
const { number, of } = defineProps<{ number: number; of: number }>();

const MOST = 24;
const more = computed(() => of - number);
const summary = computed(() =>
  more.value === 0 ? 'the last round' : `${more.value} more ${more.value === 1 ? 'round' : 'rounds'} after this one`,
);
const look = (round: number): string => (round < number ? 'led' : round === number ? 'here' : 'to-come');
</script>

<template>
  <div>
    <p>
      <strong v-if="more > 0">{{ more }} more {{ more === 1 ? 'round' : 'rounds' }}</strong>
      <span class="quiet">{{ more > 0 ? 'after this one' : 'the last round' }}</span>
    </p>
    <svg v-if="of <= MOST" :width="of * 24" height="20" :viewBox="`0 0 ${of * 24} 20`" role="img" :aria-label="summary">
      <path v-for="round in of" :key="round" :class="look(round)" :d="`M${(round - 1) * 24 + 1} 18l6 -16h8l6 16Z`" />
    </svg>
  </div>
</template>

<style scoped>
p strong {
  margin-right: 8px;
  font: 600 26px/30px var(--head);
}
svg {
  max-width: 100%;
}
.led {
  fill: var(--breath);
}
.here {
  fill: var(--now);
}
.to-come {
  fill: none;
  stroke: var(--ink-3);
  stroke-width: 1.25;
}
</style>
