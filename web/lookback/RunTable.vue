<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Plan } from '#core/plan';
import { astray, type AstrayRow, type RunRecord } from '#core/record';
import { clockOfMs, signedClockOfMs } from '#core/time';
import StepFigure from '../figures/StepFigure.vue';
import ChoiceField from '../shared/fields/ChoiceField.vue';
import SpineBar from './SpineBar.vue';
import { PART_WORDS } from './words';

/** Planned against done for every step and side, what went most astray first; each side's seconds and per cent at the foot. */
const { plan, record } = defineProps<{ plan: Plan; record: RunRecord }>();

const order = ref<'astray' | 'plan'>('astray');
const ORDERS = [
  { value: 'astray', label: 'most astray first' },
  { value: 'plan', label: 'as planned' },
] as const;
const WORTH_MARKING_MS = 10_000;
const CHANGES_AND = { tooLow: 'props too low', right: 'props right', tooHigh: 'props too high' } as const;

const steps = computed(() => {
  const byStep = new Map<number, AstrayRow[]>();
  for (const row of astray(record)) byStep.set(row.stepIndex, [...(byStep.get(row.stepIndex) ?? []), row]);
  const found = [...byStep].map(([stepIndex, rows]) => {
    const step = plan.steps[stepIndex];
    const seen = record.said.review.steps.find(({ stepId }) => stepId === rows[0]?.stepId);
    return {
      stepIndex,
      step,
      name: step?.name ?? '',
      skipped: rows[0]?.skipped ?? false,
      // The two sides stand under each other, the first that was held above.
      rows: rows.toSorted((a, b) => PARTS.indexOf(a.part) - PARTS.indexOf(b.part)),
      seen: [
        seen?.tighter && (seen.tighter === 'alike' ? 'sides alike' : `${seen.tighter} tighter`),
        seen?.props && seen.props !== 'right' && CHANGES_AND[seen.props],
      ].filter(Boolean),
      notes: record.notes.filter((note) => note.stepIndex === stepIndex).map(({ text }) => text),
    };
  });
  return order.value === 'plan' ? found.toSorted((a, b) => a.stepIndex - b.stepIndex) : found;
});
const PARTS: AstrayRow['part'][] = ['left', 'right', 'both', 'none', 'changes'];
const mostMs = computed(() =>
  Math.max(1, ...record.steps.flatMap(({ sides }) => sides.map((side) => Math.max(side.plannedMs, side.doneMs)))),
);
const isAstray = (row: AstrayRow): boolean => row.differenceMs <= -WORTH_MARKING_MS && row.part !== 'changes';
const share = (row: AstrayRow): string => {
  const whole = row.share === null ? 0 : Math.round(row.share * 100);
  return whole === 0 ? '' : `${whole > 0 ? '+' : '−'}${Math.abs(whole)} %`;
};
const shareOf = ({ plannedMs, differenceMs }: { plannedMs: number; differenceMs: number }): string => {
  const whole = plannedMs === 0 ? 0 : Math.round((differenceMs / plannedMs) * 100);
  return whole === 0 ? 'as planned' : `${whole > 0 ? '+' : '−'}${Math.abs(whole)} %`;
};
const sidesHeld = computed(() => (['left', 'right', 'both'] as const).filter((side) => record[side].plannedMs > 0));
const uneven = computed(() => record.left.doneMs - record.right.doneMs);
const sidesSay = computed(() => {
  if (record.left.doneMs + record.right.doneMs === 0) return '';
  if (Math.abs(uneven.value) < 1000) return 'Left and right were held alike.';
  const less = Math.abs(uneven.value) / Math.max(record.left.doneMs, record.right.doneMs);
  const [side, other] = uneven.value > 0 ? ['Right', 'left'] : ['Left', 'right'];
  return `${side} was held ${clockOfMs(Math.abs(uneven.value))} less than ${other}, ${(less * 100).toFixed(1)} %.`;
});
</script>

<template>
  <section>
    <div class="order"><ChoiceField v-model="order" label="In which order" :options="ORDERS" /></div>
    <table class="figures">
      <thead>
        <tr>
          <th scope="col"><span class="sr-only">Step</span></th>
          <th scope="col" class="figure-column"><span class="sr-only">Figure</span></th>
          <th scope="col"><span class="sr-only">Name</span></th>
          <th scope="col" class="spine"><span>left</span><span>right</span></th>
          <th scope="col"><span class="sr-only">Side</span></th>
          <th scope="col" class="number">planned</th>
          <th scope="col" class="number">done</th>
          <th scope="col" class="number">difference</th>
          <th scope="col" class="number share"><span class="sr-only">Share</span></th>
          <th scope="col" class="number">strength</th>
        </tr>
      </thead>
      <tbody v-for="of in steps" :key="of.stepIndex">
        <tr v-for="(row, i) in of.rows" :key="row.part" :class="{ last: i === of.rows.length - 1 }">
          <template v-if="i === 0">
            <td :rowspan="of.rows.length" class="quiet">{{ of.stepIndex + 1 }}</td>
            <td :rowspan="of.rows.length" class="figure-column">
              <div v-if="of.step?.kind === 'hold'" class="figure">
                <StepFigure :step="of.step" side="left" :least="1500" />
              </div>
            </td>
            <th scope="row" :rowspan="of.rows.length" class="name">
              {{ of.name }}
              <span v-if="of.skipped" class="small caution">left out</span>
              <span v-for="words in of.seen" :key="String(words)" class="small quiet seen">{{ words }}</span>
              <span v-for="(text, n) in of.notes" :key="n" class="small quiet seen">“{{ text }}”</span>
            </th>
          </template>
          <td class="spine"><SpineBar v-if="row.part !== 'changes'" :row="row" :most-ms="mostMs" /></td>
          <td class="quiet">
            {{ of.step?.kind === 'hold' && row.part === 'none' ? 'after it' : PART_WORDS[row.part] }}
          </td>
          <td class="number quiet">{{ clockOfMs(row.plannedMs) }}</td>
          <td class="number">
            {{ clockOfMs(row.doneMs) }}
            <span v-if="row.measuredMs !== null" class="small quiet was">measured {{ clockOfMs(row.measuredMs) }}</span>
          </td>
          <td class="number strong" :class="{ caution: isAstray(row) }">{{ signedClockOfMs(row.differenceMs) }}</td>
          <td class="number quiet share">{{ share(row) }}</td>
          <td class="number">{{ row.strength === null ? '' : Math.round(row.strength * 10) / 10 }}</td>
        </tr>
      </tbody>
    </table>
    <dl class="sides">
      <div v-for="side in sidesHeld" :key="side">
        <dt>{{ side === 'both' ? 'Both sides' : side === 'left' ? 'Left' : 'Right' }}</dt>
        <dd>
          <strong>{{ clockOfMs(record[side].doneMs) }}</strong> of {{ clockOfMs(record[side].plannedMs) }},
          {{ shareOf(record[side]) }}
        </dd>
      </div>
    </dl>
    <p v-if="sidesSay">{{ sidesSay }}</p>
  </section>
</template>

<style scoped>
section {
  overflow-x: auto;
}
.order {
  display: flex;
  justify-content: flex-end;
  margin: -30px 0 8px;
}
@media (width < 640px) {
  .order {
    margin: 8px 0;
  }
}
.figures td,
.figures th {
  padding: 4px 10px 4px 0;
  border-bottom: 0;
  vertical-align: middle;
}
.figures tbody {
  border-bottom: 1px solid var(--line);
}
.figures td[rowspan],
.figures th[rowspan] {
  vertical-align: top;
  padding-top: 6px;
}
.figure-column {
  width: 84px;
}
.figure {
  height: 44px;
}
.name {
  max-width: 240px;
  overflow-wrap: anywhere;
}
.seen,
.was {
  display: block;
  font-weight: 400;
}
.spine {
  width: 132px;
  text-align: center;
}
thead .spine span {
  display: inline-block;
  width: 44px;
  padding: 0 4px;
  text-align: left;
}
thead .spine span:first-child {
  text-align: right;
}
.share {
  white-space: nowrap;
}
.sides {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 32px;
  padding: 12px 0 4px;
}
.sides div {
  display: flex;
  gap: 8px;
}
.sides dt {
  color: var(--ink-2);
}
@media (width < 640px) {
  .figure-column,
  .share,
  .spine {
    display: none;
  }
  .figures td,
  .figures th {
    padding-right: 8px;
    font-size: 14px;
  }
  .name {
    min-width: 104px;
  }
}
</style>
