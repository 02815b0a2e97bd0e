<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, shallowRef } from 'vue';
import { compareRun, tellingSentence } from '#core/record';
import { foldRun } from '#core/run';
import { clockOfMs, signedClockOfMs } from '#core/time';
import type { StoredRun } from '#api';
import { ApiProblem } from '../client/http';
import { readRun } from '../client/runs';
import { people } from '../shared/plan-words';
import { clockTime, longDayOf } from '../shared/dates';
import { timelineOf } from '../shared/ribbon/layout';
import DoneRibbon from './DoneRibbon.vue';
import RunTable from './RunTable.vue';
import { useLibrary } from '../stores/library';

const { id } = defineProps<{ id: string }>();
const library = useLibrary();
const run = shallowRef<StoredRun>();
const trouble = ref('');

const timeline = computed(() => run.value && timelineOf(run.value.plan, library.all));
const record = computed(() => run.value && timeline.value && compareRun(timeline.value, run.value.events));
const folded = computed(() => run.value && timeline.value && foldRun(timeline.value, run.value.events));
const says = computed(() => record.value && tellingSentence(record.value, (i) => run.value?.plan.steps[i]?.name ?? ''));
const about = computed(() => {
  const { plan } = run.value ?? {};
  const startMs = record.value?.startedAtMs;
  if (!plan || !startMs) return '';
  return [
    plan.title,
    `${longDayOf(startMs)}, ${clockTime(startMs)}`,
    [people(plan.groupSize), plan.place].filter(Boolean).join(', '),
  ].join(' · ');
});

async function load(): Promise<void> {
  trouble.value = '';
  try {
    run.value = await readRun(id);
    document.title = `${run.value.plan.title} · Look back · Zovrin`;
  } catch (error) {
    trouble.value =
      error instanceof ApiProblem && error.status === 404
        ? 'There is no such run here. It may lie in the bin, or still be on its way from this browser.'
        : (error as Error).message;
  }
}
void load();
</script>

<template>
  <main v-if="run && timeline && record && folded">
    <header>
      <div>
        <p class="quiet">{{ about }}</p>
        <h1>{{ says }}</h1>
      </div>
      <p class="number">
        <span class="numeral">{{ clockOfMs(record.total.doneMs) }}</span><span class="small quiet"
          >planned {{ clockOfMs(record.total.plannedMs) }}</span
        >
      </p>
      <p class="number">
        <span class="numeral">{{ signedClockOfMs(record.changes.differenceMs) }}</span><span class="small quiet"
          >in set-ups and changes</span
        >
      </p>
      <p v-if="record.pausedMs > 0" class="number">
        <span class="numeral">{{ clockOfMs(record.pausedMs) }}</span><span class="small quiet">paused</span>
      </p>
    </header>
    <DoneRibbon :plan="run.plan" :timeline="timeline" :run="folded" :record="record" />
    <RunTable :plan="run.plan" :record="record" />
    <section v-if="record.notes.length > 0" class="notes">
      <h2>Notes</h2>
      <ul>
        <li v-for="(note, i) in record.notes" :key="i">
          <span class="quiet">{{ clockTime(note.atMs) }}</span> {{ note.text }}
          <span v-if="note.stepIndex !== null" class="small quiet">({{ run.plan.steps[note.stepIndex]?.name }})</span>
        </li>
      </ul>
    </section>
    <footer>
      <RouterLink :to="`/plans/${run.planId}`" class="link-button">Open the plan</RouterLink
      ><RouterLink to="/runs" class="link-button">All runs</RouterLink>
    </footer>
  </main>
  <main v-else-if="trouble" class="trouble">
    <p class="caution strong" role="alert">{{ trouble }}</p>
    <Button label="Try again" outlined @click="load" />
    <RouterLink to="/runs">All runs</RouterLink>
  </main>
</template>

<style scoped>
main {
  padding: 18px 32px 32px;
}
header {
  display: flex;
  gap: 20px;
  align-items: flex-start;
  margin-bottom: 12px;
}
header > div {
  flex: 1;
  min-width: 0;
}
h1 {
  max-width: 860px;
  font-size: 29px;
  line-height: 36px;
}
.number {
  display: flex;
  flex-direction: column;
  padding-left: 20px;
  border-left: 1px solid var(--line);
  white-space: nowrap;
}
.number .numeral {
  font-size: 30px;
  line-height: 34px;
}
.notes {
  max-width: 860px;
  padding-top: 18px;
}
.notes li {
  padding: 7px 0;
  border-top: 1px solid var(--line);
}
.notes h2 {
  margin-bottom: 6px;
}
footer {
  display: flex;
  gap: 24px;
  padding-top: 16px;
}
.trouble {
  display: flex;
  gap: 16px;
  align-items: center;
}
@media (width < 900px) {
  main {
    padding: 12px;
  }
  header {
    flex-wrap: wrap;
  }
  header > div {
    flex-basis: 100%;
  }
}
</style>
