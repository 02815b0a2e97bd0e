<script setup lang="ts">
import { computed } from 'vue';
import { sidesByWeek, sidesInWords, type Practised } from '#core/review';
import { clockOfMs } from '#core/time';
import RecordTable from '../../ui/RecordTable.vue';
import ChartView from '../../widgets/charts/ChartView.vue';
import { sidesChart } from '../../widgets/charts/chart-data';
import { dayOf, weekOf } from '../../ui/dates';

/** The classes somebody came to, with left and right over the weeks. */
const { sessions, trouble } = defineProps<{
  /** What they attended; undefined until it has loaded. */
  sessions: readonly Practised[] | undefined;
  trouble: string;
}>();

const sum = ({ holds }: Practised, side: 'left' | 'right'): number =>
  holds.filter((hold) => hold.side === side).reduce((total, { doneMs }) => total + doneMs, 0);
const rows = computed(() =>
  [...(sessions ?? [])]
    .sort((a, b) => b.beganAtMs - a.beganAtMs)
    .map((one) => ({
      id: one.id,
      kind: one.kind,
      whenMs: one.beganAtMs,
      title: one.title,
      length: one.total.doneMs,
      left: sum(one, 'left'),
      right: sum(one, 'right'),
    })),
);
type Row = (typeof rows.value)[number];
const COLUMNS = [
  { key: 'title', label: 'What', of: ({ title }: Row) => title },
  { key: 'when', label: 'When', of: ({ whenMs }: Row) => whenMs },
  { key: 'length', label: 'Total', number: true, of: ({ length }: Row) => length },
  { key: 'left', label: 'Left', number: true, of: ({ left }: Row) => left },
  { key: 'right', label: 'Right', number: true, of: ({ right }: Row) => right },
];
const sides = computed(() => sidesByWeek(sessions ?? [], weekOf));
</script>

<template>
  <section aria-label="Attended">
    <h2>Attended</h2>
    <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
    <p v-else-if="sessions && rows.length === 0" class="quiet small">
      No classes yet. Attendance is recorded at the start of a session or in its review.
    </p>
    <template v-else-if="rows.length > 0">
      <p>{{ sidesInWords(sides) }}</p>
      <ChartView
        v-if="sides.length > 1"
        type="bar"
        :data="(tone) => sidesChart(sides, tone)"
        :options="{ scales: { y: { title: { text: 'minutes' }, beginAtZero: true } } } as never"
        :says="sidesInWords(sides)"
      />
      <RecordTable name="attended" label="Classes attended" :columns="COLUMNS" :rows="rows">
        <template #title="{ row }"
          ><RouterLink :to="row.kind === 'run' ? `/history/${row.id}` : `/history/journal/${row.id}`">{{
            row.title
          }}</RouterLink></template
        >
        <template #when="{ row }">{{ dayOf(row.whenMs) }}</template>
        <template #length="{ row }">{{ clockOfMs(row.length) }}</template>
        <template #left="{ row }">{{ clockOfMs(row.left) }}</template>
        <template #right="{ row }">{{ clockOfMs(row.right) }}</template>
      </RecordTable>
    </template>
  </section>
</template>

<style scoped>
h2 {
  font-size: 19px;
  line-height: 24px;
}
</style>
