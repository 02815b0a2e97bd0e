<script setup lang="ts">
import Button from 'primevue/button';
import { useToast } from 'primevue/usetoast';
import { computed, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { newJournalEntry } from '#core/journal';
import { clockOfMs, clockOfSeconds, signedClockOfMs } from '#core/time';
import type { Block } from '#core/timeline';
import type { ListedRun, StoredJournalEntry } from '#api';
import { journalClient } from '../../../client/documents';
import { deleteRun, listRuns } from '../../../client/runs';
import IconButton from '../../../ui/IconButton.vue';
import { clockTime, dayOf } from '../../../ui/dates';
import { localMoment } from '../../../state/days';
import { newId } from '../../../client/new-id';
import HistoryNavigation from '../HistoryNavigation.vue';
import RibbonThumb from '../../../widgets/ribbon/RibbonThumb.vue';
import { latestOnly } from '../../../sync/latest';

const toast = useToast();
const router = useRouter();
const runs = shallowRef<ListedRun[]>();
const journal = shallowRef<StoredJournalEntry[]>();
const total = ref(0);
/** How many rows of the list were asked for; those that cannot be read are not shown. */
const seen = ref(0);
const trouble = ref('');

const rows = computed(() =>
  (runs.value ?? []).map(({ id, createdAt, summary }) => ({
    id,
    summary,
    ribbon: summary.ribbon as Block[],
    startMs: summary.startedAtMs ?? new Date(createdAt).getTime(),
  })),
);
const WHERE = { alone: 'practised alone', elsewhere: 'taught elsewhere', here: 'taught here, without the clock' };
/**
 * Runs and what was written in the journal, the newest first; of the journal no more than reaches as far back as the
 * runs shown.
 */
const all = computed(() => {
  const oldest = runs.value && seen.value < total.value ? Math.min(...rows.value.map((row) => row.startMs)) : 0;
  const written = (journal.value ?? []).map(({ id, document: entry }) => ({
    kind: 'entry' as const,
    id,
    entry,
    startMs: new Date(entry.beganAt).getTime(),
    says: [WHERE[entry.where], ...[...entry.holds, ...entry.breaths].map(({ name }) => name)].join(', '),
  }));
  const taught = rows.value.map((row) => ({ kind: 'run' as const, ...row }));
  return [...taught, ...written.filter(({ startMs }) => startMs >= oldest)].sort((a, b) => b.startMs - a.startMs);
});
const pxPerMs = computed(
  () =>
    330 / Math.max(1_800_000, ...rows.value.flatMap(({ summary: { totals } }) => [totals.totalMs, totals.targetMs])),
);

const asks = latestOnly();
async function load(limit = 40): Promise<void> {
  const isLatest = asks();
  try {
    const [found, entries] = await Promise.all([listRuns(limit), journalClient.list()]);
    if (!isLatest()) return;
    seen.value = found.items.length + found.unreadable;
    [runs.value, total.value, journal.value, trouble.value] = [found.items, found.total, entries, ''];
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
async function remove(kind: 'run' | 'entry', id: string): Promise<void> {
  try {
    await (kind === 'run' ? deleteRun(id) : journalClient.remove(id));
    const summary = `The ${kind} is in the bin for 30 days`;
    toast.add({ severity: 'secondary', summary, life: 8000 });
    await load();
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
async function write(): Promise<void> {
  try {
    const { id } = await journalClient.create(newId(), newJournalEntry(localMoment(new Date())));
    await router.push(`/runs/journal/${id}`);
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
void load();
</script>

<template>
  <main>
    <HistoryNavigation><Button label="Write an entry" outlined @click="write" /></HistoryNavigation>
    <p v-if="trouble" class="caution strong" role="alert">
      {{ trouble }} <button type="button" class="link-button" @click="load()">Try again</button>
    </p>
    <p v-else-if="runs && all.length === 0" class="empty">
      Nothing has been taught yet. Open a plan and press Teach; what happens is kept here as it went. What you practise
      without the clock can be written down.
    </p>
    <ul>
      <li v-for="one in all" :key="one.id">
        <RouterLink v-if="one.kind === 'run'" :to="`/runs/${one.id}`" class="row">
          <span class="title"
            ><strong>{{ one.summary.title }}</strong
            ><span class="small quiet">{{ dayOf(one.startMs) }}, {{ clockTime(one.startMs) }}</span></span
          >
          <RibbonThumb :ribbon="one.ribbon" :totals="one.summary.totals" :px-per-ms="pxPerMs" :width="336" />
          <span class="length"
            ><strong>{{ clockOfMs(one.summary.doneMs) }}</strong
            ><span class="small quiet">{{ signedClockOfMs(one.summary.differenceMs) }} against plan</span></span
          >
          <span>{{ one.summary.says }}</span>
        </RouterLink>
        <RouterLink v-else :to="`/runs/journal/${one.id}`" class="row entry">
          <span class="title"
            ><strong>{{ one.entry.title }}</strong
            ><span class="small quiet">{{ dayOf(one.startMs) }}, {{ clockTime(one.startMs) }}</span></span
          >
          <span class="quiet">{{ one.says }}</span>
          <span class="length"
            ><strong>{{ one.entry.seconds > 0 ? clockOfSeconds(one.entry.seconds) : '' }}</strong></span
          >
          <span class="note">{{ one.entry.note }}</span>
        </RouterLink>
        <IconButton
          icon="remove"
          :label="`Delete the ${one.kind} of ${dayOf(one.startMs)}`"
          @click="remove(one.kind, one.id)"
        />
      </li>
    </ul>
    <button v-if="runs && seen < total" type="button" class="link-button" @click="load(100)">
      Show more of {{ total }}
    </button>
  </main>
</template>

<style scoped>
main {
  padding: 18px 32px 32px;
}
.note {
  display: -webkit-box;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
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
