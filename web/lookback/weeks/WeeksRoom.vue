<script setup lang="ts">
import type { ChartOptions } from 'chart.js';
import { computed, ref } from 'vue';
import {
  areasByWeek,
  areasSaid,
  betweens,
  betweensSaid,
  breathBySession,
  breathSaid,
  plannedAndDone,
  plannedSaid,
  sidesByWeek,
  sidesSaid,
  strengthAgainstLength,
  strengthSaid,
} from '#core/record';
import { clockOfMs } from '#core/time';
import { shortDayOf, weekOf } from '../../shared/dates';
import LookbackNav from '../LookbackNav.vue';
import AreaMatrix from './AreaMatrix.vue';
import ChartSection from './ChartSection.vue';
import ChartView, { type Tone } from './ChartView.vue';
import WeekFilters from './WeekFilters.vue';
import { useWeeks } from './use-weeks';

/** What weeks of practice tell, each thing in one plain sentence with its chart and its numbers. */
const weeks = useWeeks();
const { all, trouble, practised } = weeks;

const minutes = (ms: number): number => Math.round(ms / 6000) / 10;
const minutesAxis = { title: { text: 'minutes' }, beginAtZero: true };
const inMinutes: ChartOptions = { scales: { y: minutesAxis } };

const areas = computed(() => areasByWeek(practised.value, weekOf));
const sides = computed(() => sidesByWeek(practised.value, weekOf));
const runs = computed(() => plannedAndDone(practised.value));
const parts = computed(() => betweens(practised.value));
const BETWEEN_WORDS = { setUp: 'set-up, change of sides', entries: 'way in, way out', talk: 'talk' };
const breath = computed(() => breathBySession(practised.value));

const rated = computed(() => strengthAgainstLength(practised.value));
const ratedAt = ref('');
const shown = computed(() => rated.value.find(({ position }) => position === ratedAt.value) ?? rated.value[0]);

const sidesData = (tone: (name: Tone) => string) => ({
  labels: sides.value.map(({ week }) => shortDayOf(week)),
  datasets: [
    { label: 'left', data: sides.value.map(({ leftMs }) => minutes(leftMs)), backgroundColor: tone('left') },
    { label: 'right', data: sides.value.map(({ rightMs }) => minutes(rightMs)), backgroundColor: tone('right') },
  ],
});
const plannedData = (tone: (name: Tone) => string) => ({
  labels: runs.value.map(({ beganAtMs }) => shortDayOf(beganAtMs)),
  datasets: [
    { label: 'done', data: runs.value.map(({ doneMs }) => minutes(doneMs)), backgroundColor: tone('both') },
    {
      label: 'planned',
      data: runs.value.map(({ plannedMs }) => minutes(plannedMs)),
      backgroundColor: 'transparent',
      borderColor: tone('ink'),
      borderWidth: 1.5,
    },
  ],
});
const partsData = (tone: (name: Tone) => string) => ({
  labels: parts.value.map(({ what }) => BETWEEN_WORDS[what]),
  datasets: [
    {
      label: 'as it goes',
      data: parts.value.map(({ doneMs }) => Math.round(doneMs / 1000)),
      backgroundColor: tone('both'),
    },
    {
      label: 'planned',
      data: parts.value.map(({ plannedMs }) => Math.round(plannedMs / 1000)),
      backgroundColor: 'transparent',
      borderColor: tone('ink'),
      borderWidth: 1.5,
    },
  ],
});
const partsOptions: ChartOptions = {
  indexAxis: 'y',
  scales: { x: { title: { text: 'seconds, the mean of one' }, beginAtZero: true } },
} as ChartOptions;
const strengthData = (tone: (name: Tone) => string) => ({
  datasets: (['left', 'right', 'both'] as const)
    .map((side) => ({
      label: side === 'both' ? 'both sides' : side,
      data: (shown.value?.points ?? [])
        .filter((point) => point.side === side)
        .map(({ doneMs, strength }) => ({ x: minutes(doneMs), y: strength })),
      backgroundColor: tone(side),
      pointStyle: side === 'left' ? 'triangle' : side === 'right' ? 'rectRot' : 'circle',
      radius: 5,
    }))
    .filter(({ data }) => data.length > 0),
});
const strengthOptions: ChartOptions = {
  scales: {
    x: { title: { text: 'minutes held' } },
    y: { title: { text: 'strength, 0 to 10' }, min: 0, max: 10 },
  },
} as ChartOptions;
const breathData = (tone: (name: Tone) => string) => ({
  labels: breath.value.map(({ beganAtMs }) => shortDayOf(beganAtMs)),
  datasets: [
    {
      label: 'longest retention, seconds',
      data: breath.value.map(({ longestRetentionMs }) =>
        longestRetentionMs === null ? null : Math.round(longestRetentionMs / 1000),
      ),
      borderColor: tone('breath'),
      backgroundColor: tone('breath'),
      pointStyle: 'rect',
      spanGaps: true,
    },
    {
      label: 'slowest breath, a minute',
      data: breath.value.map(({ slowestRate }) => (slowestRate === null ? null : Math.round(slowestRate * 10) / 10)),
      borderColor: tone('ink'),
      backgroundColor: tone('ink'),
      borderDash: [5, 4],
      spanGaps: true,
    },
  ],
});
const fromZero: ChartOptions = {
  scales: { y: { beginAtZero: true } },
  plugins: { legend: { labels: { usePointStyle: true } } },
};
</script>

<template>
  <main>
    <LookbackNav />
    <WeekFilters :weeks="weeks" />
    <p v-if="trouble" class="caution strong" role="alert">
      {{ trouble }} <button type="button" class="link-button" @click="weeks.load()">Try again</button>
    </p>
    <p v-else-if="all && practised.length === 0" class="empty">
      {{
        all.length === 0
          ? 'Nothing was taught or written down in this time. What you teach is told here by the week.'
          : 'Nothing of this time is left with these filters.'
      }}
    </p>
    <div v-if="practised.length > 0" class="charts">
      <ChartSection title="By part of the body" :says="areasSaid(areas)" :columns="[]" :rows="[]" class="whole" />
      <AreaMatrix v-if="areas.areas.length > 0" :areas="areas" class="whole matrix" />
      <ChartSection
        title="Left against right"
        :says="sidesSaid(sides)"
        :columns="['week of', 'left', 'right']"
        :rows="sides.map(({ week, leftMs, rightMs }) => [shortDayOf(week), clockOfMs(leftMs), clockOfMs(rightMs)])"
      >
        <ChartView type="bar" :data="sidesData" :options="inMinutes" :says="sidesSaid(sides)" />
      </ChartSection>
      <ChartSection
        title="Planned against done"
        :says="plannedSaid(runs)"
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
        <ChartView type="bar" :data="plannedData" :options="inMinutes" :says="plannedSaid(runs)" />
      </ChartSection>
      <ChartSection
        title="Between the holds"
        :says="betweensSaid(parts)"
        :columns="['one', 'times', 'planned', 'as it goes']"
        :rows="
          parts.map(({ what, times, plannedMs, doneMs }) => [
            BETWEEN_WORDS[what],
            times,
            clockOfMs(plannedMs),
            clockOfMs(doneMs),
          ])
        "
      >
        <ChartView type="bar" :data="partsData" :options="partsOptions" :says="betweensSaid(parts)" />
      </ChartSection>
      <ChartSection
        title="Strength against length"
        :says="shown ? strengthSaid(shown) : 'Nobody has said yet how strong a hold was.'"
        :columns="['day', 'side', 'held', 'strength']"
        :rows="
          (shown?.points ?? []).map(({ beganAtMs, side, doneMs, strength }) => [
            shortDayOf(beganAtMs),
            side,
            clockOfMs(doneMs),
            Math.round(strength * 10) / 10,
          ])
        "
      >
        <label class="pick">
          <span class="sr-only">Position</span>
          <select :value="shown?.position" @change="ratedAt = ($event.target as HTMLSelectElement).value">
            <option v-for="{ position, name } in rated" :key="position" :value="position">{{ name }}</option>
          </select>
        </label>
        <ChartView
          type="scatter"
          :data="strengthData"
          :options="strengthOptions"
          :says="shown ? strengthSaid(shown) : ''"
        />
      </ChartSection>
      <ChartSection
        title="Breath"
        class="whole"
        :says="breathSaid(breath)"
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
        <ChartView type="line" :data="breathData" :options="fromZero" :says="breathSaid(breath)" />
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
