<script setup lang="ts">
import { NOT_ADVICE, NOTHING_KNOWN, STOP_SIGNS } from '#core/caution';

/** Shown wherever there are cautions. */
</script>

<template>
  <p class="small quiet not-advice">{{ NOT_ADVICE }} {{ STOP_SIGNS }} {{ NOTHING_KNOWN }}</p>
</template>

<style scoped>
.not-advice {
  max-width: 82ch;
}
</style>
