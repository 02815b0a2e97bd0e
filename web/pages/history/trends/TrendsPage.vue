<script setup lang="ts">
import type { ChartOptions } from 'chart.js';
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import {
  areasByWeek,
  areasInWords,
  transitionTimes,
  transitionTimesInWords,
  breathBySession,
  breathTrendInWords,
  plannedAndDone,
  plannedInWords,
  sidesByWeek,
  sidesInWords,
  strengthAgainstLength,
  strengthInWords,
} from '#core/review';
import { csv, practisedTable } from '#core/exchange';
import { clockOfMs } from '#core/time';
import { localMoment } from '../../../state/days';
import { saveText } from '../../../state/files';
import { shortDayOf, weekOf } from '../../../ui/dates';
import HistoryNavigation from '../HistoryNavigation.vue';
import AreaMatrix from './AreaMatrix.vue';
import ChartSection from './ChartSection.vue';
import {
  TRANSITION_WORDS,
  transitionTimesChart,
  breathChart,
  plannedChart,
  sidesChart,
  strengthChart,
} from '../../../widgets/charts/chart-data';
import ChartView from '../../../widgets/charts/ChartView.vue';
import TrendFilters from './TrendFilters.vue';
import { useSettings } from '../../../state/settings';
import { CALLED, COUNT_BY_TITLES, countByOptionsFor, NONE_COUNTED, partsOfHold, type CountBy } from './count-by';
import { useWeeks } from './use-trends';
import ChoiceField from '../../../ui/fields/ChoiceField.vue';
import SelectField from '../../../ui/fields/SelectField.vue';

/** Trends: each finding in one plain sentence, with its chart and its numbers. */
const weeks = useWeeks();
const { all, trouble, practised } = weeks;

const minutesAxis = { title: { text: 'minutes' }, beginAtZero: true };
const inMinutes: ChartOptions = { scales: { y: minutesAxis } };

const settings = useSettings();
void settings.ready();
const countBy = ref<CountBy>();
const countedBy = computed(() => countBy.value ?? (settings.current.school.bodyMap === 'lines' ? 'line' : 'area'));
const areas = computed(() => areasByWeek(practised.value, weekOf, partsOfHold(countedBy.value, settings.current)));
const countByOptions = computed(() => countByOptionsFor(settings.current));
const sides = computed(() => sidesByWeek(practised.value, weekOf));
const runs = computed(() => plannedAndDone(practised.value));
const parts = computed(() => transitionTimes(practised.value));
const breath = computed(() => breathBySession(practised.value));

const rated = computed(() => strengthAgainstLength(practised.value));
const ratedAt = ref('');
const shown = computed(() => rated.value.find(({ position }) => position === ratedAt.value) ?? rated.value[0]);

const partsOptions: ChartOptions = {
  indexAxis: 'y',
  scales: { x: { title: { text: 'seconds, on average' }, beginAtZero: true } },
} as ChartOptions;
const strengthOptions: ChartOptions = {
  scales: {
    x: { title: { text: 'minutes in the hold' } },
    y: { title: { text: 'intensity, 0 to 10' }, min: 0, max: 10 },
  },
} as ChartOptions;
const fromZero: ChartOptions = {
  scales: { y: { beginAtZero: true } },
  plugins: { legend: { labels: { usePointStyle: true } } },
};
const momentOf = (ms: number): string => localMoment(new Date(ms));
const download = (): void => saveText(csv(practisedTable(practised.value, momentOf)), 'Practised', '.csv', 'text/csv');
</script>

<template>
  <main>
    <HistoryNavigation>
      <Button
        v-if="practised.length > 0"
        label="Download as a table"
        title="Every side of a hold and every breath that is counted here; nobody is named (CSV)"
        outlined
        @click="download"
      />
    </HistoryNavigation>
    <TrendFilters :weeks="weeks" />
    <p v-if="trouble" class="caution strong" role="alert">
      {{ trouble }} <button type="button" class="link-button" @click="weeks.load()">Try again</button>
    </p>
    <p v-else-if="!all" class="empty" role="status">Loading…</p>
    <p v-else-if="all.length === 0" class="empty">
      Nothing was taught or recorded in this period. What you teach appears here week by week.
      <RouterLink to="/" class="link-button">Choose a plan to teach</RouterLink>
    </p>
    <p v-else-if="practised.length === 0" class="empty">Nothing in this period matches these filters.</p>
    <div v-if="practised.length > 0" class="charts">
      <ChartSection
        :title="COUNT_BY_TITLES[countedBy]"
        :says="areasInWords(areas, NONE_COUNTED[countedBy], CALLED[countedBy])"
        :columns="[]"
        :rows="[]"
        class="whole"
      />
      <ChoiceField
        v-if="countByOptions.length > 1"
        class="whole count-by"
        label="Count holds by"
        :options="countByOptions"
        :model-value="countedBy"
        @update:model-value="countBy = $event"
      />
      <AreaMatrix v-if="areas.areas.length > 0" :areas="areas" class="whole matrix" />
      <ChartSection
        title="Left and right"
        :says="sidesInWords(sides)"
        :columns="['week of', 'left', 'right']"
        :rows="sides.map(({ week, leftMs, rightMs }) => [shortDayOf(week), clockOfMs(leftMs), clockOfMs(rightMs)])"
      >
        <ChartView
          type="bar"
          :data="(tone) => sidesChart(sides, tone)"
          :options="inMinutes"
          :says="sidesInWords(sides)"
        />
      </ChartSection>
      <ChartSection
        title="Planned and done"
        :says="plannedInWords(runs)"
        :columns="['day', 'plan', 'planned', 'done']"
        :rows="
          runs.map(({ beganAtMs, title, plannedMs, doneMs }) => [
            shortDayOf(beganAtMs),
            title,
            clockOfMs(plannedMs),
            clockOfMs(doneMs),
          ])
        "
      >
        <ChartView
          type="bar"
          :data="(tone) => plannedChart(runs, tone)"
          :options="inMinutes"
          :says="plannedInWords(runs)"
        />
      </ChartSection>
      <ChartSection
        title="Between the holds"
        :says="transitionTimesInWords(parts)"
        :columns="['one', 'times', 'planned', 'actual']"
        :rows="
          parts.map(({ what, times, plannedMs, doneMs }) => [
            TRANSITION_WORDS[what],
            times,
            clockOfMs(plannedMs),
            clockOfMs(doneMs),
          ])
        "
      >
        <ChartView
          type="bar"
          :data="(tone) => transitionTimesChart(parts, tone)"
          :options="partsOptions"
          :says="transitionTimesInWords(parts)"
        />
      </ChartSection>
      <ChartSection
        title="Intensity and length"
        :says="shown ? strengthInWords(shown) : 'No hold has been rated yet.'"
        :columns="['day', 'side', 'held', 'intensity']"
        :rows="
          (shown?.points ?? []).map(({ beganAtMs, side, doneMs, strength }) => [
            shortDayOf(beganAtMs),
            side,
            clockOfMs(doneMs),
            Math.round(strength * 10) / 10,
          ])
        "
      >
        <SelectField
          v-if="shown"
          class="pick"
          hide-label
          label="Position"
          :options="rated.map(({ position, name }) => ({ value: position, label: name }))"
          :model-value="shown.position"
          @update:model-value="(position) => (ratedAt = position)"
        />
        <ChartView
          type="scatter"
          :data="(tone) => strengthChart(shown?.points ?? [], tone)"
          :options="strengthOptions"
          :says="shown ? strengthInWords(shown) : ''"
        />
      </ChartSection>
      <ChartSection
        title="Breath"
        class="whole"
        :says="breathTrendInWords(breath)"
        :columns="['day', 'session', 'longest retention', 'breaths a minute', 'rounds']"
        :rows="
          breath.map(({ beganAtMs, title, longestRetentionMs, slowestRate, rounds }) => [
            shortDayOf(beganAtMs),
            title,
            longestRetentionMs === null ? '–' : `${Math.round(longestRetentionMs / 1000)} s`,
            slowestRate === null ? '–' : slowestRate.toFixed(1),
            rounds ?? '–',
          ])
        "
      >
        <ChartView
          type="line"
          :data="(tone) => breathChart(breath, tone)"
          :options="fromZero"
          :says="breathTrendInWords(breath)"
        />
      </ChartSection>
    </div>
  </main>
</template>

<style scoped>
main {
  padding: 18px 32px 32px;
}
.charts {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 0 40px;
}
.whole {
  grid-column: 1 / -1;
  border-bottom: 0;
}
.matrix {
  padding-bottom: 12px;
}
.count-by {
  justify-self: start;
  padding-bottom: 8px;
}
.empty {
  padding: 24px 0;
}
.pick {
  position: relative;
  z-index: 1;
}
@media (width < 900px) {
  main {
    padding: 12px;
  }
  .charts {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
