<script setup lang="ts">
import { watch } from 'vue';

/** Fills a field in when what is suggested for it changes, unless something else was typed there. Shows nothing. */
const { value, suggested, set } = defineProps<{
  value: string;
  suggested: string;
  set: (value: unknown) => void;
}>();
watch(
  () => suggested,
  (now, before) => {
    if (value === '' || value === before) set(now);
  },
);
</script>

<template><span hidden /></template>
