<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import { sidesByWeek, sidesInWords, type Practised } from '#core/review';
import { clockOfMs } from '#core/time';
import { listPractised } from '../../client/practised';
import ChartView from '../../widgets/charts/ChartView.vue';
import { sidesChart } from '../../widgets/charts/chart-data';
import { dayOf, weekOf } from '../../ui/dates';

/** The classes somebody came to, with left and right over the weeks. */
const { personId } = defineProps<{ personId: string }>();

const all = shallowRef<readonly Practised[]>();
const trouble = shallowRef('');
listPractised(0, Date.now()).then(
  (found) => (all.value = found.filter(({ people }) => people.includes(personId))),
  (error: Error) => (trouble.value = error.message),
);
const sum = ({ holds }: Practised, side: 'left' | 'right'): number =>
  holds.filter((hold) => hold.side === side).reduce((total, { doneMs }) => total + doneMs, 0);
const rows = computed(() =>
  [...(all.value ?? [])]
    .sort((a, b) => b.beganAtMs - a.beganAtMs)
    .map((one) => ({
      id: one.id,
      kind: one.kind,
      when: dayOf(one.beganAtMs),
      title: one.title,
      length: clockOfMs(one.total.doneMs),
      left: clockOfMs(sum(one, 'left')),
      right: clockOfMs(sum(one, 'right')),
    })),
);
const sides = computed(() => sidesByWeek(all.value ?? [], weekOf));
</script>

<template>
  <section aria-label="Attended">
    <h2>Attended</h2>
    <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
    <p v-else-if="all && rows.length === 0" class="quiet small">
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
      <table class="figures">
        <thead>
          <tr>
            <th scope="col">When</th>
            <th scope="col">What</th>
            <th scope="col" class="number">Total</th>
            <th scope="col" class="number">Left</th>
            <th scope="col" class="number">Right</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.id">
            <td class="quiet">{{ row.when }}</td>
            <th scope="row">
              <RouterLink :to="row.kind === 'run' ? `/history/${row.id}` : `/history/journal/${row.id}`">{{
                row.title
              }}</RouterLink>
            </th>
            <td class="number">{{ row.length }}</td>
            <td class="number">{{ row.left }}</td>
            <td class="number">{{ row.right }}</td>
          </tr>
        </tbody>
      </table>
    </template>
  </section>
</template>

<style scoped>
h2 {
  font-size: 19px;
  line-height: 24px;
}
</style>
