<script setup lang="ts">
import { computed } from 'vue';
import type { Plan } from '#core/plan';
import type { Timeline } from '#core/timeline';
import AppIcon from '../../ui/AppIcon.vue';
import { lockPlaces } from './layout';

/**
 * A lock below each step of a ribbon that can be fitted. For the mouse only: rows beside the ribbon have the same for
 * the keyboard.
 */
const { plan, timeline, xAt } = defineProps<{ plan: Plan; timeline: Timeline; xAt: (ms: number) => number }>();
const emit = defineEmits<{ lock: [index: number] }>();

const places = computed(() =>
  lockPlaces(plan, timeline, xAt).map((place) => ({ ...place, locked: plan.steps[place.index]?.locked })),
);
</script>

<template>
  <g
    v-for="{ index, x, locked } in places"
    :key="index"
    class="lock"
    :class="{ locked }"
    :transform="`translate(${x - 12} 0)`"
    aria-hidden="true"
    @click.stop="emit('lock', index)"
  >
    <title>{{ locked ? 'Free' : 'Lock' }} {{ plan.steps[index]?.name }}</title>
    <rect width="24" height="22" />
    <AppIcon :name="locked ? 'lock' : 'unlock'" :size="16" x="4" y="3" />
  </g>
</template>

<style scoped>
.lock {
  cursor: pointer;
}
rect {
  fill: transparent;
}
svg {
  color: var(--ink-3);
}
.lock:hover rect {
  fill: var(--lit);
}
.locked svg {
  color: var(--ink);
}
</style>
