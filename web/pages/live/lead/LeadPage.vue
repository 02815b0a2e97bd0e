<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, shallowRef } from 'vue';
import { useRoute } from 'vue-router';
import type { StoredPlan } from '#api';
import { ApiProblem } from '../../../client/http';
import { planClient } from '../../../client/documents';
import LeadSession from './LeadSession.vue';
import { clockTime, longDayOf } from '../../../ui/dates';
import { findSession } from './find-session';
import { useLeftRunning } from '../../../state/left-running';
import type { LocalRun } from '../../../sync/event-outbox';
import { SPEEDS } from '../../../widgets/session/session-clock';
import type { InitialLeadership } from '../use-led-run';

const { id } = defineProps<{ id: string }>();
const route = useRoute();
/** `?rehearse=10`: the same screen ten times as fast, not in the record. */
const rehearse = computed(() => SPEEDS.find((speed) => String(speed) === route.query.rehearse) ?? 0);
const leftRunning = useLeftRunning();
const stored = shallowRef<StoredPlan>();
const trouble = ref('');
const first = shallowRef<InitialLeadership>();

async function load(): Promise<void> {
  trouble.value = '';
  first.value = await findSession(id);
  try {
    stored.value = await planClient.at(id).read();
    document.title = `${stored.value.document.title} · Teach · Zovrin`;
  } catch (error) {
    // A session under way goes on without the server: its plan is kept with it.
    const { run } = first.value;
    const at = new Date().toISOString();
    if (run) stored.value = { id, revision: run.planRevision, createdAt: at, updatedAt: at, document: run.plan };
    else
      trouble.value =
        error instanceof ApiProblem && error.status === 404
          ? 'This plan could not be found. It may be in the bin.'
          : (error as Error).message;
  }
}
/** Ends a session that was left running, at the moment when it was over by its plan. */
async function endIt(run: LocalRun): Promise<void> {
  await leftRunning.end(run);
  first.value = await findSession(id);
}
function resume(run: LocalRun): void {
  if (first.value) first.value = { me: first.value.me, run, elsewhere: false };
}
void load();
</script>

<template>
  <LeadSession
    v-if="stored && first && (rehearse > 0 || !first.leftRunning) && stored.document.steps.length > 0"
    :key="rehearse"
    :stored="stored"
    :first="first"
    :rehearse="rehearse"
  />
  <main v-else-if="stored && first?.leftRunning" class="trouble">
    <p role="status">
      The session of {{ longDayOf(first.leftRunning.events[0]?.atMs ?? 0) }},
      {{ clockTime(first.leftRunning.events[0]?.atMs ?? 0) }}, was not ended.
    </p>
    <Button label="End it and start a new one" autofocus @click="endIt(first.leftRunning)" />
    <Button label="Resume it" outlined @click="resume(first.leftRunning)" />
    <RouterLink :to="`/plans/${id}`">Open the plan</RouterLink>
  </main>
  <main v-else-if="stored || trouble" class="trouble">
    <p role="alert">{{ trouble || 'This plan has no steps to lead yet.' }}</p>
    <Button v-if="trouble" label="Try again" outlined @click="load" />
    <RouterLink :to="stored ? `/plans/${id}` : '/'">{{ stored ? 'Open the plan' : 'All plans' }}</RouterLink>
  </main>
</template>

<style scoped>
.trouble {
  display: flex;
  gap: 16px;
  align-items: center;
  padding: 32px;
}
</style>
