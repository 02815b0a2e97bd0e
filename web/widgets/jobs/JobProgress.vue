<script setup lang="ts">
import ProgressBar from 'primevue/progressbar';

/** Work under way: how far it is, and a way to stop it. Nothing is shown of what is done at once. */
const { share, trouble, what } = defineProps<{ share: number | null; trouble: string; what: string }>();
const emit = defineEmits<{ stop: []; again: [] }>();
</script>

<template>
  <p v-if="share !== null" class="work" role="status">
    <span>{{ what }}</span>
    <ProgressBar class="bar" :value="Math.round(share * 100)" :show-value="false" :aria-label="what" />
    <button type="button" class="link-button" @click="emit('stop')">Stop</button>
  </p>
  <p v-else-if="trouble" class="caution strong" role="alert">
    {{ trouble }} <button type="button" class="link-button" @click="emit('again')">Try again</button>
  </p>
</template>

<style scoped>
.work {
  display: flex;
  gap: 12px;
  align-items: center;
}
.bar {
  width: 220px;
  height: 6px;
}
</style>
