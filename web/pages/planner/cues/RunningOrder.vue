<script setup lang="ts">
import { computed } from 'vue';
import { runningOrder, type OrderRow } from '#core/exchange';
import type { Plan } from '#core/plan';
import { clockOfMs } from '#core/time';
import type { Timeline } from '#core/timeline';
import { useLibrary } from '../../../state/library';
import { clockTime } from '../../../ui/dates';
import { classInWords } from '../../../widgets/session/words';

/** A class on one page, for the teacher beside the mat: by the clock, with room to write. */
const { path, plan, timeline } = defineProps<{ path: string; plan: Plan; timeline: Timeline }>();

const library = useLibrary();
const rows = computed(() => runningOrder(plan, timeline, library.all));
const startsAtMs = computed(() => (plan.startsAt === null ? null : new Date(plan.startsAt).getTime()));
const begins = ({ startMs }: OrderRow): string =>
  startsAtMs.value === null ? clockOfMs(startMs) : clockTime(startsAtMs.value + startMs);

const SIDES = { left: 'left', right: 'right', both: '', none: '' } as const;
const turnsOf = ({ turns }: OrderRow): string[] =>
  turns.map(({ side, ms }) => [clockOfMs(ms), SIDES[side]].filter(Boolean).join(' '));
const toDo = ({ before, atChange }: OrderRow): string[] =>
  [before, atChange && `at the change: ${atChange}`].filter((words) => words !== '');
</script>

<template>
  <article class="sheet">
    <header>
      <h2 class="sheet-title">Running order: {{ plan.title }}</h2>
      <p class="quiet">
        {{ classInWords(plan) }}. {{ clockOfMs(timeline.totals.totalMs) }} of {{ clockOfMs(timeline.totals.targetMs) }}.
      </p>
    </header>
    <p v-if="rows.length === 0" class="quiet">
      This plan has no steps yet. <RouterLink :to="path">Add the first one</RouterLink>.
    </p>
    <table v-else>
      <thead>
        <tr>
          <th scope="col">{{ startsAtMs === null ? 'From' : 'At' }}</th>
          <th scope="col">Step</th>
          <th scope="col">Length</th>
          <th scope="col">Props</th>
          <th scope="col">Say</th>
          <th scope="col" class="notes">Notes</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.number">
          <td class="when">{{ begins(row) }}</td>
          <th scope="row">
            {{ row.number }}. {{ row.name }}
            <span v-if="row.counts" class="small quiet">{{ row.counts }}</span>
          </th>
          <td class="when">
            <span v-for="(turn, i) in turnsOf(row)" :key="i" class="turn">{{ turn }}</span>
          </td>
          <td class="small">
            <span v-for="words in toDo(row)" :key="words" class="line">{{ words }}</span>
          </td>
          <td class="small">
            <span v-for="prompt in row.prompts" :key="prompt" class="line">{{ prompt }}</span>
          </td>
          <td class="small notes">{{ row.note }}</td>
        </tr>
      </tbody>
    </table>
  </article>
</template>

<style scoped>
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 5px 8px 5px 0;
  border-top: 1px solid var(--line);
  text-align: left;
  vertical-align: top;
  overflow-wrap: anywhere;
}
thead th {
  border: 0;
  color: var(--ink-2);
  font-weight: 400;
  font-size: 12.5px;
}
tbody tr {
  break-inside: avoid;
}
tbody th {
  width: 24%;
  font-weight: 600;
}
tbody th span {
  display: block;
  font-weight: 400;
}
.when {
  white-space: nowrap;
  font-variant-numeric: tabular-nums;
}
.turn,
.line {
  display: block;
}
.notes {
  width: 20%;
}
@media (width < 700px) {
  table,
  tbody,
  tr,
  tbody th,
  td {
    display: block;
    width: auto;
    border: 0;
    padding: 0;
  }
  thead {
    display: none;
  }
  tbody tr {
    padding: 8px 0;
    border-top: 1px solid var(--line);
  }
}
@media print {
  table {
    font-size: 11px;
    line-height: 13.5px;
  }
  th,
  td {
    padding: 3px 6px 3px 0;
    border-color: #888;
  }
}
</style>
