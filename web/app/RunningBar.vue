<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { clockTime, dayOf } from '../ui/dates';
import { useLeftRunning, type OpenSession } from '../state/left-running';

/**
 * Under the navigation of every page: the way back to a session that is under way, and the end of one that was left
 * running.
 */
const leftRunning = useLeftRunning();
leftRunning.keepLooking();
const route = useRoute();
watch(
  () => route.path,
  () => void leftRunning.look(),
);
const trouble = ref('');
const ending = ref(false);
const latest = computed(() => leftRunning.sessions[0]);
const more = computed(() => leftRunning.sessions.length - 1);

async function end(session: OpenSession): Promise<void> {
  [trouble.value, ending.value] = ['', true];
  await leftRunning.end(session).catch((error: Error) => (trouble.value = error.message));
  ending.value = false;
}
</script>

<template>
  <div v-if="latest" class="bar screen-only" role="status">
    <p v-if="latest.isUnderWay">
      <strong>{{ latest.title }}</strong> is under way, since {{ clockTime(latest.startedAtMs) }}.
    </p>
    <p v-else>
      <strong>{{ latest.title }}</strong> of {{ dayOf(latest.startedAtMs) }}, {{ clockTime(latest.startedAtMs) }}, was
      not ended.
    </p>
    <RouterLink v-if="latest.isUnderWay" :to="`/teach/${latest.planId}`" class="link-button"
      >Back to the session</RouterLink
    >
    <template v-else>
      <button type="button" class="link-button" :disabled="ending" @click="end(latest)">End it</button>
      <RouterLink :to="`/history/${latest.id}`" class="link-button">See what was taught</RouterLink>
    </template>
    <p v-if="more > 0" class="quiet small">{{ more }} more not ended</p>
    <p v-if="trouble" class="caution small" role="alert">{{ trouble }} It was not ended.</p>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
  padding: 6px 32px;
  border-bottom: 1px solid var(--line);
}
strong {
  overflow-wrap: anywhere;
}
@media (max-width: 700px) {
  .bar {
    padding: 6px 16px;
  }
}
</style>
