<script setup lang="ts">
import { useEventListener, useIntervalFn } from '@vueuse/core';
import { ref, shallowRef } from 'vue';
import { useRoute } from 'vue-router';
import { planForAudience } from '#api';
import { audienceNow } from '../../../client/audience';
import { unfinishedRun, type LocalRun } from '../../../sync/event-outbox';
import AudienceStage from './AudienceStage.vue';

/**
 * A plain window for students: it follows the session of a plan and never changes it. Beside the teacher's, by the
 * events that are kept in the same browser; on a phone with the link, by asking the server.
 */
const { id } = defineProps<{ id: string }>();
/** The code of the link, on a phone. It stands behind the #, which is sent to no server. */
const code = useRoute().hash.slice(1);

const ASK_MS = 1000;
const run = shallowRef<LocalRun | undefined>(code ? undefined : unfinishedRun(id));
/** How far the clock of the server is ahead of this one, in milliseconds. */
const aheadMs = ref(0);
const trouble = ref('');
/** Which state of the session this phone has. */
let tag = '';

const TROUBLE: Record<number, string> = {
  404: 'This link shows nothing at the moment.',
  410: 'This session is over. Thank you for coming.',
  429: 'Too many phones are connecting at once.',
};

async function askNow(): Promise<void> {
  const askedAt = Date.now();
  try {
    const now = await audienceNow(id, code, tag);
    trouble.value = '';
    // The answer was made about half-way between asking and hearing.
    aheadMs.value = now.nowMs - (askedAt + Date.now()) / 2;
    if (now.session === undefined) return;
    tag = now.tag;
    run.value = now.session
      ? {
          id: now.session.runId,
          planId: id,
          planRevision: 1,
          plan: planForAudience(now.session.plan),
          events: now.session.events,
          acknowledged: 0,
        }
      : undefined;
  } catch (error) {
    const status = 'status' in (error as object) ? (error as { status: number }).status : 0;
    trouble.value = TROUBLE[status] ?? 'The teacher’s computer cannot be reached.';
    if (status !== 404 && status !== 410) return;
    [run.value, tag] = [undefined, ''];
    if (status === 410) asking.pause();
  }
}
const asking = useIntervalFn(() => void askNow(), ASK_MS, { immediate: code !== '', immediateCallback: true });
// Reported by the browser whenever another window has kept something.
if (!code)
  useEventListener(window, 'storage', () => {
    run.value = unfinishedRun(id);
  });
</script>

<template>
  <main class="room">
    <AudienceStage v-if="run" :key="run.id" :run="run" :ahead-ms="aheadMs" />
    <p v-else class="waiting">
      {{ trouble || 'The session has not begun yet. This window follows as soon as it does.' }}
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
