<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { csv, sessionsTable } from '#core/exchange';
import { newJournalEntry } from '#core/journal';
import { toMs } from '#core/numbers';
import { clockOfMs, signedClockOfMs } from '#core/time';
import type { Block } from '#core/timeline';
import type { ListedRun, StoredJournalEntry } from '#api';
import { journalClient } from '../../../client/documents';
import { deleteRun, listRuns } from '../../../client/runs';
import IconButton from '../../../ui/IconButton.vue';
import { clockTime, dayOf } from '../../../ui/dates';
import { localMoment } from '../../../state/days';
import { saveText } from '../../../state/files';
import { newId } from '../../../client/new-id';
import { MEASURED_WORDS } from './words';
import HistoryNavigation from '../HistoryNavigation.vue';
import RibbonThumb from '../../../widgets/ribbon/RibbonThumb.vue';
import { latestOnly } from '../../../sync/latest';
import RecordTable from '../../../ui/RecordTable.vue';
import { useDeletedToast } from '../../../widgets/documents/use-deleted-toast';

const deleted = useDeletedToast();
const router = useRouter();
const runs = shallowRef<ListedRun[]>();
const journal = shallowRef<StoredJournalEntry[]>();
const total = ref(0);
/** How many rows of the list were asked for; those that cannot be read are not shown. */
const seen = ref(0);
const trouble = ref('');

const WHERE = { alone: 'practised alone', elsewhere: 'taught elsewhere', here: 'taught here, without the clock' };
const taught = computed(() =>
  (runs.value ?? []).map(({ id, createdAt, summary }) => ({
    kind: 'run' as const,
    id,
    title: summary.title,
    ribbon: summary.ribbon as Block[],
    totals: summary.totals,
    startMs: summary.startedAtMs ?? new Date(createdAt).getTime(),
    ms: summary.doneMs,
    differenceMs: summary.differenceMs,
    says: summary.says,
    from: MEASURED_WORDS[summary.measuredFrom ?? 'clock'],
  })),
);
/**
 * Sessions and journal entries, the newest first; journal entries only as far back as the sessions that have been
 * loaded.
 */
const all = computed(() => {
  const oldest = runs.value && seen.value < total.value ? Math.min(...taught.value.map((row) => row.startMs)) : 0;
  const written = (journal.value ?? []).map(({ id, document: entry }) => ({
    kind: 'entry' as const,
    id,
    title: entry.title,
    startMs: new Date(entry.beganAt).getTime(),
    ms: toMs(entry.seconds),
    differenceMs: '' as const,
    practised: [WHERE[entry.where], ...[...entry.holds, ...entry.breaths].map(({ name }) => name)].join(', '),
    says: entry.note,
  }));
  return [...taught.value, ...written.filter(({ startMs }) => startMs >= oldest)].sort((a, b) => b.startMs - a.startMs);
});
type Row = (typeof all.value)[number];
const COLUMNS = [
  { key: 'title', label: 'Session', of: ({ title }: Row) => title },
  { key: 'date', label: 'Date', of: ({ startMs }: Row) => startMs },
  { key: 'ribbon', label: 'Ribbon' },
  { key: 'length', label: 'Length', number: true, of: ({ ms }: Row) => ms },
  { key: 'difference', label: 'Compared with plan', number: true, of: ({ differenceMs }: Row) => differenceMs },
  { key: 'says', label: 'Summary', of: ({ says }: Row) => says },
  { key: 'remove', label: 'Actions', hideLabel: true },
];
const pxPerMs = computed(
  () => 245 / Math.max(1_800_000, ...taught.value.flatMap(({ totals }) => [totals.totalMs, totals.targetMs])),
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
async function remove({ kind, id }: Row): Promise<void> {
  try {
    await (kind === 'run' ? deleteRun(id) : journalClient.remove(id));
    deleted(
      kind === 'run' ? 'The session' : 'The journal entry',
      { kind: kind === 'run' ? 'run' : 'journal', id },
      load,
    );
    await load();
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
async function write(): Promise<void> {
  try {
    const { id } = await journalClient.create(newId(), newJournalEntry(localMoment(new Date())));
    await router.push(`/history/journal/${id}`);
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
const momentOf = (ms: number): string => localMoment(new Date(ms));
const download = (): void => saveText(csv(sessionsTable(all.value, momentOf)), 'Sessions', '.csv', 'text/csv');
void load();
</script>

<template>
  <main>
    <HistoryNavigation>
      <Button
        v-if="all.length > 0"
        label="Download as a table"
        title="The sessions that are listed, without what was written about them (CSV)"
        outlined
        @click="download"
      />
      <Button label="New journal entry" outlined @click="write" />
    </HistoryNavigation>
    <p v-if="trouble" class="caution strong" role="alert">
      {{ trouble }} <button type="button" class="link-button" @click="load()">Try again</button>
    </p>
    <RecordTable
      v-if="runs || !trouble"
      name="sessions"
      label="Sessions"
      :columns="COLUMNS"
      :rows="all"
      :loading="!runs"
    >
      <template #empty>
        <p class="empty">
          No sessions yet. Open a plan and press Teach: the session is recorded here as it happened. What you practise
          without the clock can go into the journal. <RouterLink to="/" class="link-button">Choose a plan</RouterLink>
        </p>
      </template>
      <template #title="{ row }">
        <RouterLink :to="row.kind === 'run' ? `/history/${row.id}` : `/history/journal/${row.id}`">{{
          row.title
        }}</RouterLink>
        <span v-if="row.kind === 'run' && row.from" class="small quiet from">{{ row.from }}</span>
      </template>
      <template #date="{ row }"
        ><span class="nowrap">{{ dayOf(row.startMs) }}, {{ clockTime(row.startMs) }}</span></template
      >
      <template #ribbon="{ row }">
        <RibbonThumb
          v-if="row.kind === 'run'"
          :ribbon="row.ribbon"
          :totals="row.totals"
          :px-per-ms="pxPerMs"
          :width="250"
        />
        <span v-else class="quiet small">{{ row.practised }}</span>
      </template>
      <template #length="{ row }"
        ><strong>{{ row.ms > 0 ? clockOfMs(row.ms) : '' }}</strong></template
      >
      <template #difference="{ row }">{{ row.kind === 'run' ? signedClockOfMs(row.differenceMs) : '' }}</template>
      <template #says="{ row }"
        ><span class="says">{{ row.says }}</span></template
      >
      <template #remove="{ row }">
        <IconButton
          icon="delete"
          :label="`Delete the ${row.kind === 'run' ? 'session' : 'journal entry'} of ${dayOf(row.startMs)}`"
          @click="remove(row)"
        />
      </template>
    </RecordTable>
    <button v-if="runs && seen < total" type="button" class="link-button" @click="load(100)">
      Show more of {{ total }}
    </button>
  </main>
</template>

<style scoped>
main {
  padding: 18px 32px 32px;
}
.from {
  display: block;
  font-weight: 400;
}
.nowrap {
  white-space: nowrap;
}
.says {
  display: -webkit-box;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
}
.empty {
  padding: 24px 0;
}
@media (width < 900px) {
  main {
    padding: 12px;
  }
}
</style>
