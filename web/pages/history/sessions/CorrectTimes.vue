<script setup lang="ts">
import { addDays, isBefore, parse } from 'date-fns';
import { computed } from 'vue';
import type { Plan } from '#core/plan';
import type { RunRecord } from '#core/review';
import type { LengthCorrection } from '#core/run';
import { toMs, type Seconds } from '#core/numbers';
import { clockOfMs } from '#core/time';
import { clockTime, dayOf } from '../../../ui/dates';
import { readClock } from '../../../ui/typed-dates';
import TextField from '../../../ui/fields/TextField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import type { ReviewedRun } from './use-run-review';
import { PART_WORDS } from './words';
import RecordTable from '../../../ui/RecordTable.vue';

/**
 * What the clock did not know, corrected: lengths and the end. What was measured stays, and every correction can be
 * taken back.
 */
const { plan, record, annotations } = defineProps<{ plan: Plan; record: RunRecord; annotations: ReviewedRun }>();

const rows = computed(() =>
  record.steps.flatMap(({ stepIndex, stepId, sides, other, otherMeasuredMs }) => {
    const name = plan.steps[stepIndex]?.name ?? '';
    const of = (side: LengthCorrection['side'], doneMs: number, measuredMs: number | null) => ({
      id: `${stepId} ${side}`,
      number: stepIndex + 1,
      name,
      stepId,
      side,
      doneMs,
      measuredMs,
    });
    const held = sides.flatMap(({ side, doneMs, measuredMs }) => (side === 'none' ? [] : of(side, doneMs, measuredMs)));
    const plain = other.plannedMs > 0 || other.doneMs > 0 ? [of('none', other.doneMs, otherMeasuredMs)] : [];
    return [...held, ...plain];
  }),
);
const correct = (lengths: LengthCorrection[], endedAtMs: number | null = null) =>
  annotations.say({ kind: 'corrected', lengths, endedAtMs, why: '' });
function setLength({ stepId, side }: (typeof rows.value)[number], seconds: Seconds | null): string | undefined {
  return seconds === null ? 'A length is needed.' : correct([{ stepId, side, ms: toMs(seconds) }]);
}
const ended = computed(() => (record.endedAtMs === null ? '' : clockTime(record.endedAtMs)));
/** The end as a time of day, after the beginning: past midnight it is the next day's. */
function setEnd(text: string): string | undefined {
  const typed = readClock(text);
  if (typed === undefined) return 'Type a time of day, such as 19:05.';
  if (text.trim() === ended.value || record.startedAtMs === null) return undefined;
  const end = parse(typed, 'HH:mm', record.startedAtMs);
  return correct([], (isBefore(end, record.startedAtMs) ? addDays(end, 1) : end).getTime());
}
const made = computed(() =>
  [...record.annotations.corrections].reverse().map(({ id, atMs, lengths, endedAtMs }) => ({
    id,
    when: `${dayOf(atMs)}, ${clockTime(atMs)}`,
    words: [
      ...lengths.map(({ stepId, side, ms }) => {
        const name = plan.steps.find((step) => step.id === stepId)?.name ?? 'a step';
        return [`${name}${PART_WORDS[side] ? `, ${PART_WORDS[side]}` : ''}:`, clockOfMs(ms)].join(' ');
      }),
      ...(endedAtMs === null ? [] : [`ended at ${clockTime(endedAtMs)}`]),
    ].join('; '),
  })),
);
type Row = (typeof rows.value)[number];
const COLUMNS = [
  { key: 'name', label: 'Step', of: ({ name }: Row) => name },
  { key: 'number', label: 'no.', number: true, of: ({ number }: Row) => number },
  { key: 'side', label: 'side', of: ({ side }: Row) => PART_WORDS[side] },
  { key: 'done', label: 'done', of: ({ doneMs }: Row) => doneMs },
  { key: 'measured', label: 'measured', number: true, of: ({ measuredMs }: Row) => measuredMs ?? '' },
];
</script>

<template>
  <section aria-label="Correct times">
    <p class="quiet">
      For what the clock could not know: a hold that went on after the bell, or a session left running. The measured
      time stays beside your correction.
    </p>
    <TextField class="end" label="It ended at" :model-value="ended" :accept="setEnd" />
    <RecordTable name="corrections" label="Times of the steps" :columns="COLUMNS" :rows="rows">
      <template #name="{ row }">{{ row.name }}</template>
      <template #done="{ row }">
        <TimeField
          hide-label
          :bare="row.side === 'none' ? 'seconds' : 'minutes'"
          :label="`${row.name} ${PART_WORDS[row.side]}, as it was`"
          :model-value="Math.round(row.doneMs / 1000)"
          :accept="(seconds) => setLength(row, seconds)"
        />
      </template>
      <template #measured="{ row }"
        ><span class="quiet">{{ row.measuredMs === null ? '' : clockOfMs(row.measuredMs) }}</span></template
      >
    </RecordTable>
    <template v-if="made.length > 0">
      <h2>Corrections</h2>
      <p v-for="one in made" :key="one.id">
        <span class="quiet">{{ one.when }}</span> {{ one.words }}
        <button type="button" class="link-button" @click="annotations.say({ kind: 'undone', event: one.id })">
          Undo
        </button>
      </p>
    </template>
  </section>
</template>

<style scoped>
section {
  padding: 12px 0;
}
.end {
  max-width: 160px;
  margin: 8px 0;
}
.figures {
  max-width: 700px;
}
h2 {
  padding-top: 16px;
  font-size: 19px;
  line-height: 24px;
}
</style>
