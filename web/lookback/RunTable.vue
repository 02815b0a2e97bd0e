<script setup lang="ts">
import { computed } from 'vue';
import type { Plan } from '#core/plan';
import type { RunRecord, SideRecord } from '#core/record';
import { clockOfMs, signedClockOfMs } from '#core/time';

/** Planned against done for every hold, side by side; the total of each side at the foot. */
const { plan, record } = defineProps<{ plan: Plan; record: RunRecord }>();

const rows = computed(() =>
  record.steps
    .filter(({ sides }) => sides.length > 0)
    .map((step) => {
      const of = (side: SideRecord['side']) => step.sides.find((other) => other.side === side);
      return {
        ...step,
        name: plan.steps[step.stepIndex]?.name ?? '',
        left: of('left'),
        right: of('right'),
        both: of('both'),
      };
    }),
);
const MOST_PX = 60;
const pxPerMs = computed(
  () =>
    MOST_PX /
    Math.max(
      1,
      ...rows.value.flatMap(({ sides }) =>
        sides.map(({ side, plannedMs, doneMs }) => Math.max(plannedMs, doneMs) / (side === 'both' ? 2 : 1)),
      ),
    ),
);
const WORTH_MARKING_MS = 10_000;
/** The shorter side of two is told in the caution colour, with its minus sign. */
const short = (side: SideRecord | undefined, other: SideRecord | undefined): boolean =>
  side !== undefined &&
  other !== undefined &&
  side.differenceMs < other.differenceMs &&
  side.differenceMs <= -WORTH_MARKING_MS;
const uneven = computed(() => record.left.doneMs - record.right.doneMs);
</script>

<template>
  <table>
    <thead>
      <tr class="small">
        <th scope="col" class="number"><span class="sr-only">Step</span></th>
        <th scope="col" class="name"><span class="sr-only">Hold</span></th>
        <th scope="col" class="spine"><span class="quiet">left</span> <span class="quiet">right</span></th>
        <th scope="col" colspan="2">left</th>
        <th scope="col" colspan="2">right</th>
        <th scope="col" colspan="2">both</th>
        <th scope="col">changes</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.stepId">
        <td class="number quiet">{{ row.stepIndex + 1 }}</td>
        <th scope="row" class="name">{{ row.name }}<span v-if="row.skipped" class="small caution"> left out</span></th>
        <td class="spine">
          <svg width="132" height="24" viewBox="-66 -12 132 24" aria-hidden="true">
            <path class="r-axis" d="M0 -12V12" />
            <template v-if="row.left">
              <rect
                class="r-left"
                :x="-row.left.doneMs * pxPerMs"
                y="-7"
                :width="row.left.doneMs * pxPerMs"
                height="14"
              />
              <rect
                class="r-planned"
                :x="-row.left.plannedMs * pxPerMs"
                y="-9"
                :width="row.left.plannedMs * pxPerMs"
                height="18"
              />
            </template>
            <template v-if="row.right">
              <rect class="r-right" x="0" y="-7" :width="row.right.doneMs * pxPerMs" height="14" />
              <rect class="r-planned" x="0" y="-9" :width="row.right.plannedMs * pxPerMs" height="18" />
            </template>
            <template v-if="row.both">
              <rect
                class="r-both"
                :x="(-row.both.doneMs * pxPerMs) / 2"
                y="-7"
                :width="row.both.doneMs * pxPerMs"
                height="14"
              />
              <rect
                class="r-planned"
                :x="(-row.both.plannedMs * pxPerMs) / 2"
                y="-9"
                :width="row.both.plannedMs * pxPerMs"
                height="18"
              />
            </template>
          </svg>
        </td>
        <template
          v-for="([side, other], i) in [
            [row.left, row.right],
            [row.right, row.left],
            [row.both, undefined],
          ] as const"
          :key="i"
        >
          <td>{{ side ? clockOfMs(side.doneMs) : '' }}</td>
          <td class="difference" :class="{ 'caution strong': short(side, other) }">
            {{ side ? signedClockOfMs(side.differenceMs) : '' }}
          </td>
        </template>
        <td class="quiet">{{ signedClockOfMs(row.changes.differenceMs) }}</td>
      </tr>
    </tbody>
    <tfoot>
      <tr>
        <td />
        <th scope="row" class="name">In all</th>
        <td class="spine small">
          {{
            record.left.plannedMs + record.right.plannedMs === 0
              ? ''
              : Math.abs(uneven) < 1000
                ? 'even'
                : `${uneven > 0 ? 'right' : 'left'} ${clockOfMs(Math.abs(uneven))} less`
          }}
        </td>
        <template v-for="(side, i) in [record.left, record.right, record.both]" :key="i">
          <td>{{ clockOfMs(side.doneMs) }}</td>
          <td class="difference">{{ signedClockOfMs(side.differenceMs) }}</td>
        </template>
        <td>{{ signedClockOfMs(record.changes.differenceMs) }}</td>
      </tr>
    </tfoot>
  </table>
</template>

<style scoped>
table {
  width: 100%;
  max-width: 1040px;
  margin-top: 8px;
  border-collapse: collapse;
}
th {
  font-weight: 400;
}
td,
th {
  padding: 6px 8px;
  border-bottom: 1px solid var(--line);
  text-align: right;
}
.name {
  font-weight: 600;
  text-align: left;
}
.number {
  width: 32px;
  padding-left: 0;
  text-align: left;
}
.spine {
  width: 150px;
  text-align: center;
}
.difference {
  color: var(--ink-2);
  text-align: left;
}
.difference.caution {
  color: var(--caution);
}
tfoot td,
tfoot th {
  border-bottom: 0;
  font-weight: 600;
}
</style>
