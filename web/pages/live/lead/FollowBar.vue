<script setup lang="ts">
import Button from 'primevue/button';
import type { Session } from '../use-session';

/** Shown instead of the controls when another window leads: what that means, and how to take control here. */
const { session } = defineProps<{ session: Session }>();
</script>

<template>
  <footer class="follow">
    <p role="status">This session is led in another window or on another device. This one follows, without bells.</p>
    <Button label="Take control here" @click="session.lead()" />
  </footer>
</template>

<style scoped>
.follow {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
  justify-content: center;
  min-height: 96px;
  padding: 8px 24px;
}
.follow :deep(.p-button) {
  height: 56px;
  padding: 0 32px;
  font-size: 19px;
}
</style>
