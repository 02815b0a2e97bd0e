<script setup lang="ts">
import AppIcon from './AppIcon.vue';
import type { IconName } from './icons';

/** A button that is an icon: its label is read out, and shown while it is pointed at. */
const { icon, label, hint, size = 18 } = defineProps<{ icon: IconName; label: string; hint?: string; size?: number }>();
</script>

<template>
  <button type="button" class="icon-button" :aria-label="label" :title="hint ?? label">
    <AppIcon :name="icon" :size="size" />
  </button>
</template>
