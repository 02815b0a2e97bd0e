<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { shallowRef } from 'vue';
import { unfinishedRun } from './outbox';
import RoomStage from './RoomStage.vue';

/**
 * A plain window for the room, beside the teacher's: it follows the session of a plan that is led in this browser, by the
 * events that are kept here, and never changes it.
 */
const { id } = defineProps<{ id: string }>();

const run = shallowRef(unfinishedRun(id));
// Told by the browser whenever another window has kept something.
useEventListener(window, 'storage', () => {
  run.value = unfinishedRun(id);
});
</script>

<template>
  <main class="room">
    <RoomStage v-if="run" :key="run.id" :run="run" />
    <p v-else class="waiting">Nothing is led at the moment. This window follows as soon as the session begins.</p>
  </main>
</template>

<style scoped>
.room {
  display: grid;
  grid-template-rows: minmax(0, 1fr);
  height: 100vh;
  height: 100dvh;
  overflow: hidden;
  font-size: 19px;
  line-height: 24px;
}
.waiting {
  place-self: center;
  padding: 24px;
  color: var(--ink-2);
  font-size: 24px;
  line-height: 32px;
  text-align: center;
}
</style>
