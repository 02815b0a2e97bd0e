<script setup lang="ts">
import { useEventListener, useIntervalFn } from '@vueuse/core';
import { ref, shallowRef } from 'vue';
import { useRoute } from 'vue-router';
import { roomNow } from '../client/room';
import { unfinishedRun, type LocalRun } from './outbox';
import RoomStage from './RoomStage.vue';

/**
 * A plain window for the room: it follows the session of a plan and never changes it. Beside the teacher's, by the events
 * that are kept in the same browser; on a phone with the link, by asking the server.
 */
const { id } = defineProps<{ id: string }>();
const { code } = useRoute().query;

const ASK_MS = 1000;
const run = shallowRef<LocalRun | undefined>(typeof code === 'string' ? undefined : unfinishedRun(id));
/** How far the clock of the server is ahead of this one, in milliseconds. */
const aheadMs = ref(0);
const trouble = ref('');

async function askFor(by: string): Promise<void> {
  const askedAt = Date.now();
  try {
    const { runId, plan, events, nowMs } = await roomNow(id, by);
    trouble.value = '';
    // The answer was made about half-way between asking and hearing.
    aheadMs.value = nowMs - (askedAt + Date.now()) / 2;
    const isOver = events.length === 0 || events.some(({ kind }) => kind === 'ended');
    const is =
      runId && plan && !isOver ? { id: runId, planId: id, planRevision: 1, plan, events, acknowledged: 0 } : undefined;
    if (is?.id !== run.value?.id || is?.events.length !== run.value?.events.length) run.value = is;
  } catch (error) {
    const status = 'status' in (error as object) ? (error as { status: number }).status : 0;
    trouble.value = status === 404 ? 'Nobody may look on at the moment.' : 'The teacher’s machine cannot be reached.';
    if (status === 404) run.value = undefined;
  }
}
if (typeof code === 'string') useIntervalFn(() => void askFor(code), ASK_MS, { immediateCallback: true });
// Told by the browser whenever another window has kept something.
else
  useEventListener(window, 'storage', () => {
    run.value = unfinishedRun(id);
  });
</script>

<template>
  <main class="room">
    <RoomStage v-if="run" :key="run.id" :run="run" :ahead-ms="aheadMs" />
    <p v-else class="waiting">
      {{ trouble || 'Nothing is led at the moment. This window follows as soon as the session begins.' }}
    </p>
    <p v-if="run && trouble" class="lost" role="status">{{ trouble }} The time goes on by itself.</p>
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
.lost {
  position: absolute;
  bottom: 8px;
  left: 16px;
  color: var(--caution);
  font-size: 15px;
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
