<script setup lang="ts">
import { useToast } from 'primevue/usetoast';
import { computed, ref, shallowRef } from 'vue';
import { compareRun, tellingSentence } from '#core/record';
import { clockOfMs, signedClockOfMs } from '#core/time';
import type { StoredRun } from '#api';
import { deleteRun, listRuns } from '../client/runs';
import IconButton from '../shared/IconButton.vue';
import { clockTime, dayOf } from '../shared/dates';
import { timelineOf } from '../shared/ribbon/layout';
import RibbonThumb from '../shared/ribbon/RibbonThumb.vue';
import { useLibrary } from '../stores/library';

const library = useLibrary();

const toast = useToast();
const runs = shallowRef<StoredRun[]>();
const total = ref(0);
const trouble = ref('');

const rows = computed(() =>
  (runs.value ?? []).map((run) => {
    const timeline = timelineOf(run.plan, library.all);
    const record = compareRun(timeline, run.events);
    return {
      run,
      timeline,
      record,
      startMs: record.startedAtMs ?? new Date(run.createdAt).getTime(),
      says: tellingSentence(record, (i) => run.plan.steps[i]?.name ?? ''),
    };
  }),
);
const pxPerMs = computed(
  () =>
    330 /
    Math.max(1_800_000, ...rows.value.map(({ timeline: { totals } }) => Math.max(totals.totalMs, totals.targetMs))),
);

async function load(limit = 40): Promise<void> {
  try {
    const found = await listRuns(limit);
    [runs.value, total.value, trouble.value] = [found.runs, found.total, ''];
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
async function remove(run: StoredRun): Promise<void> {
  try {
    await deleteRun(run.id);
    toast.add({ severity: 'secondary', summary: 'The run is in the bin for 30 days', life: 8000 });
    await load();
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
void load();
</script>

<template>
  <main>
    <h1>Look back</h1>
    <p v-if="trouble" class="caution strong" role="alert">
      {{ trouble }} <button type="button" class="link-button" @click="load()">Try again</button>
    </p>
    <p v-else-if="runs?.length === 0" class="empty">
      Nothing has been taught yet. Open a plan and press Teach; what happens is kept here as it went.
    </p>
    <ul>
      <li v-for="{ run, timeline, record, startMs, says } in rows" :key="run.id">
        <RouterLink :to="`/runs/${run.id}`" class="row">
          <span class="title"
            ><strong>{{ run.plan.title }}</strong
            ><span class="small quiet">{{ dayOf(startMs) }}, {{ clockTime(startMs) }}</span></span
          >
          <RibbonThumb :timeline="timeline" :px-per-ms="pxPerMs" :width="336" />
          <span class="length"
            ><strong>{{ clockOfMs(record.total.doneMs) }}</strong
            ><span class="small quiet">{{ signedClockOfMs(record.total.differenceMs) }} against plan</span></span
          >
          <span>{{ says }}</span>
        </RouterLink>
        <IconButton icon="remove" :label="`Delete the run of ${dayOf(startMs)}`" @click="remove(run)" />
      </li>
    </ul>
    <button v-if="runs && runs.length < total" type="button" class="link-button" @click="load(100)">
      Show more of {{ total }}
    </button>
  </main>
</template>

<style scoped>
main {
  padding: 18px 32px 32px;
}
h1 {
  padding-bottom: 10px;
  border-bottom: 1px solid var(--line-strong);
  font-size: 27px;
  line-height: 34px;
}
li {
  display: flex;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
.row {
  display: grid;
  flex: 1;
  grid-template-columns: minmax(140px, 220px) minmax(0, 336px) 150px minmax(0, 1fr);
  gap: 16px;
  align-items: center;
  min-width: 0;
  padding: 6px 0;
  text-decoration: none;
}
.row:hover .title strong {
  text-decoration: underline;
  text-underline-offset: 3px;
}
.title,
.length {
  display: flex;
  flex-direction: column;
}
strong {
  font-weight: 600;
}
.empty {
  padding: 24px 0;
}
@media (width < 900px) {
  main {
    padding: 12px;
  }
  .row {
    grid-template-columns: minmax(0, 1fr) 130px;
  }
  .row > :nth-child(2),
  .row > :nth-child(4) {
    grid-column: 1 / -1;
    max-width: 100%;
  }
}
</style>
