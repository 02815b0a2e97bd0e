<script setup lang="ts">
import { computed } from 'vue';
import type { Position } from '#core/catalogue';
import { SIDES_WORDS } from './words';

/** Whether both sides are held together or one after the other: by place and shape first, by colour second. */
const { sides } = defineProps<{ sides: Position['sides'] }>();
const together = computed(() => sides === 'together');
</script>

<template>
  <svg width="22" height="14" viewBox="0 0 22 14" role="img" :aria-label="SIDES_WORDS[sides]">
    <path d="M0 7H22" stroke="var(--line-strong)" stroke-width="1.2" />
    <path v-if="together" d="M4 4H18L20 7L18 10H4L2 7Z" fill="var(--both)" />
    <template v-else>
      <path d="M2 7L4 1H10L11 7Z" fill="var(--left)" />
      <path d="M11 7H20L18 13H12Z" fill="var(--right)" />
    </template>
  </svg>
</template>
