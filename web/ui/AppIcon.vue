<script setup lang="ts">
import { ICONS, type IconName } from './icons';

const { name, size = 18 } = defineProps<{ name: IconName; size?: number }>();
</script>

<template>
  <component :is="ICONS[name]" class="icon" :size="size" :stroke-width="1.75" aria-hidden="true" />
</template>

<style scoped>
.icon {
  flex: none;
}
</style>
