<script setup lang="ts">
import { computed, ref } from 'vue';
import { sideMeaning, sideNamed, type Plan, type Step } from '#core/plan';
import { deviations, type DeviationRow, type RunRecord } from '#core/review';
import { clockOfMs, signedClockOfMs } from '#core/time';
import StepFigure from '../../../widgets/figures/StepFigure.vue';
import ChoiceField from '../../../ui/fields/ChoiceField.vue';
import SpineBar from './SpineBar.vue';
import { useLibrary } from '../../../state/library';
import { PART_WORDS } from './words';

/**
 * Planned against done for every step, side and set, the largest difference first; what was held on each side at the
 * foot.
 */
const library = useLibrary();
const { plan, record } = defineProps<{ plan: Plan; record: RunRecord }>();

const order = ref<'largest' | 'plan'>('largest');
const ORDERS = [
  { value: 'largest', label: 'largest difference first' },
  { value: 'plan', label: 'order of the plan' },
] as const;
const WORTH_MARKING_MS = 10_000;
const CHANGES_AND = { tooLow: 'props too low', right: 'props as planned', tooHigh: 'props too high' } as const;

const steps = computed(() => {
  const byStep = new Map<number, DeviationRow[]>();
  for (const row of deviations(record)) byStep.set(row.stepIndex, [...(byStep.get(row.stepIndex) ?? []), row]);
  const found = [...byStep].map(([stepIndex, rows]) => {
    const step = plan.steps[stepIndex];
    const seen = record.annotations.review.steps.find(({ stepId }) => stepId === rows[0]?.stepId);
    return {
      stepIndex,
      step,
      name: step?.name ?? '',
      left: rows.some(({ reached }) => reached) ? (rows[0]?.skipped ? 'skipped' : '') : 'not reached',
      // The two sides stand under each other, the first that was held above.
      rows: rows.toSorted((a, b) => PARTS.indexOf(a.part) - PARTS.indexOf(b.part) || (a.set ?? -1) - (b.set ?? -1)),
      seen: [
        seen?.tighter && (seen.tighter === 'alike' ? 'both sides alike' : `${seen.tighter} tighter`),
        seen?.props && seen.props !== 'right' && CHANGES_AND[seen.props],
      ].filter(Boolean),
      notes: record.notes.filter((note) => note.stepIndex === stepIndex).map(({ text }) => text),
    };
  });
  return order.value === 'plan' ? found.toSorted((a, b) => a.stepIndex - b.stepIndex) : found;
});
const PARTS: DeviationRow['part'][] = ['left', 'right', 'both', 'none', 'changes'];
const mostMs = computed(() =>
  Math.max(1, ...record.steps.flatMap(({ sides }) => sides.map((side) => Math.max(side.plannedMs, side.doneMs)))),
);
const isAstray = (row: DeviationRow): boolean =>
  row.reached && row.set === null && row.differenceMs <= -WORTH_MARKING_MS && row.part !== 'changes';
const share = (row: DeviationRow): string => {
  const whole = row.share === null ? 0 : Math.round(row.share * 100);
  return whole === 0 ? '' : `${whole > 0 ? '+' : '−'}${Math.abs(whole)} %`;
};
const shareOf = ({ plannedMs, differenceMs }: { plannedMs: number; differenceMs: number }): string => {
  const whole = plannedMs === 0 ? 0 : Math.round((differenceMs / plannedMs) * 100);
  return whole === 0 ? 'as planned' : `${whole > 0 ? '+' : '−'}${Math.abs(whole)} %`;
};
const sidesHeld = computed(() => (['left', 'right', 'both'] as const).filter((side) => record[side].plannedMs > 0));
const longer = (ms: number): string => `${ms > 0 ? 'left' : 'right'} ${clockOfMs(Math.abs(ms))} longer`;
const sidesSay = computed(() => {
  const { leftMs, rightMs, apartMs, meantMs } = record.balance;
  if (leftMs + rightMs === 0) return '';
  const share = Math.round((Math.abs(apartMs) / Math.max(leftMs, rightMs)) * 1000) / 10;
  const were = Math.abs(apartMs) < 1000 ? 'both sides equal' : `${longer(apartMs)}, ${share} %`;
  return `Steps with two sides: ${were}${meantMs === 0 ? '' : `; planned: ${longer(meantMs)}`}.`;
});
/** What a row is of: a side, with crossed limbs the one in front, or a set of a breath. */
function partOf(row: DeviationRow, step: Step | undefined): string {
  if (row.set !== null) return (step?.kind === 'breath' && step.practice.sets[row.set]?.label) || `set ${row.set + 1}`;
  const side = row.part === 'left' || row.part === 'right' ? row.part : undefined;
  const means = step?.kind === 'hold' && side ? sideMeaning(step, side, library.all) : '';
  if (row.crossing) return means || `${PART_WORDS[row.part]} in front`;
  if (step?.kind === 'hold' && side) return sideNamed(step, side, library.all);
  const isSided = record.steps[row.stepIndex]?.sides.length !== 0;
  return isSided && row.part === 'none' ? 'after it' : PART_WORDS[row.part];
}
</script>

<template>
  <section>
    <div class="order"><ChoiceField v-model="order" label="Order" :options="ORDERS" /></div>
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
          <th scope="col" class="number">intensity</th>
        </tr>
      </thead>
      <tbody v-for="of in steps" :key="of.stepIndex">
        <tr v-for="(row, i) in of.rows" :key="`${row.part} ${row.set}`" :class="{ last: i === of.rows.length - 1 }">
          <template v-if="i === 0">
            <td :rowspan="of.rows.length" class="quiet">{{ of.stepIndex + 1 }}</td>
            <td :rowspan="of.rows.length" class="figure-column">
              <div v-if="of.step?.kind === 'hold'" class="figure">
                <StepFigure :step="of.step" side="left" :least="1500" />
              </div>
            </td>
            <th scope="row" :rowspan="of.rows.length" class="name">
              {{ of.name }}
              <span v-if="of.left" class="small caution">{{ of.left }}</span>
              <span v-for="words in of.seen" :key="String(words)" class="small quiet seen">{{ words }}</span>
              <span v-for="(text, n) in of.notes" :key="n" class="small quiet seen">“{{ text }}”</span>
            </th>
          </template>
          <td class="spine">
            <SpineBar v-if="row.part !== 'changes' && row.set === null" :row="row" :most-ms="mostMs" />
          </td>
          <td class="quiet" :class="{ set: row.set !== null }">{{ partOf(row, of.step) }}</td>
          <td class="number quiet">{{ clockOfMs(row.plannedMs) }}</td>
          <td class="number">
            {{ clockOfMs(row.doneMs) }}
            <span v-if="row.measuredMs !== null" class="small quiet was">measured {{ clockOfMs(row.measuredMs) }}</span>
          </td>
          <td v-if="row.reached" class="number strong" :class="{ caution: isAstray(row) }">
            {{ signedClockOfMs(row.differenceMs) }}
          </td>
          <td v-else class="number quiet">not reached</td>
          <td class="number quiet share">{{ row.reached ? share(row) : '' }}</td>
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
    <p v-if="record.notReachedMs > 0" class="quiet">Not reached: {{ clockOfMs(record.notReachedMs) }} of the plan.</p>
  </section>
</template>

<style scoped>
section {
  overflow-x: auto;
}
.order {
  display: flex;
  justify-content: flex-end;
  margin: 8px 0;
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
.figures td:not(.set) {
  white-space: nowrap;
}
.set {
  padding-left: 12px;
  overflow-wrap: anywhere;
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
