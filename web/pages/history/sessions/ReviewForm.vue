<script setup lang="ts">
import { computed } from 'vue';
import { breathCost } from '#core/breath';
import { practiceOf, type Plan } from '#core/plan';
import type { RunRecord, SideRecord } from '#core/review';
import { PROP_HEIGHT, TIGHTER, type RunReview, type StepReview } from '#core/run';
import { clockTime } from '../../../ui/dates';
import PresentFields from '../../../widgets/session/PresentFields.vue';
import ChoiceField from '../../../ui/fields/ChoiceField.vue';
import TextField from '../../../ui/fields/TextField.vue';
import BreathReviewFields from './BreathReviewFields.vue';
import IntensityScale from '../IntensityScale.vue';
import type { ReviewedRun } from './use-run-review';

/**
 * One minute after a session, all of it optional and kept as it is said: how strong, which side, the props, who, what
 * to change.
 */
const { plan, record, annotations } = defineProps<{ plan: Plan; record: RunRecord; annotations: ReviewedRun }>();

const review = computed(() => record.annotations.review);
const present = computed(() => record.annotations.present ?? { people: [], others: 0 });
const holds = computed(() =>
  record.steps.flatMap((taught) => {
    const step = plan.steps[taught.stepIndex];
    if (step?.kind !== 'hold' || taught.skipped) return [];
    const of = (side: SideRecord['side']) => taught.sides.find((one) => one.side === side && one.doneMs > 0);
    return {
      ...taught,
      name: step.name,
      hasProps: step.setUp.length > 0,
      left: of('left'),
      right: of('right'),
      both: of('both'),
    };
  }),
);
const breaths = computed(() =>
  record.steps.flatMap(({ stepIndex, stepId, skipped, reached }) => {
    const step = plan.steps[stepIndex];
    const practice = practiceOf(step);
    if (!step || !practice || skipped || !reached) return [];
    return [{ stepId, name: step.name, holds: breathCost(practice).retentionMs > 0 }];
  }),
);
type Rated = 'left' | 'right' | 'both';
const rate = (stepId: string, side: Rated, strength: number | null) =>
  annotations.say({ kind: 'rated', stepId, side, strength });
const seenIn = (stepId: string): StepReview =>
  review.value.steps.find((step) => step.stepId === stepId) ?? { stepId, tighter: null, props: null };
const revise = (patch: Partial<RunReview>) =>
  annotations.say({ kind: 'reviewed', review: { ...review.value, ...patch } });
function see(stepId: string, patch: Partial<StepReview>): void {
  const others = review.value.steps.filter((step) => step.stepId !== stepId);
  revise({ steps: [...others, { ...seenIn(stepId), ...patch }] });
}
const NOT_SAID = { value: '', label: '–' } as const;
const TIGHTER_OPTIONS = [NOT_SAID, ...TIGHTER.map((value) => ({ value, label: value }))];
const HEIGHT_WORDS = { tooLow: 'too low', right: 'right', tooHigh: 'too high' };
const HEIGHT_OPTIONS = [NOT_SAID, ...PROP_HEIGHT.map((value) => ({ value, label: HEIGHT_WORDS[value] }))];
</script>

<template>
  <section aria-label="Review the session">
    <table class="figures">
      <thead>
        <tr>
          <th scope="col">intensity, 0 to 10</th>
          <th scope="col" class="middle">left, or both</th>
          <th scope="col">right</th>
          <th scope="col">tighter</th>
          <th scope="col">props</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="hold in holds" :key="hold.stepId">
          <th scope="row">{{ hold.name }}</th>
          <td v-if="hold.both" colspan="2" class="middle">
            <IntensityScale
              side="both"
              :label="`Intensity of ${hold.name}`"
              :model-value="hold.both.strength"
              @update:model-value="rate(hold.stepId, 'both', $event)"
            />
          </td>
          <template v-else>
            <td v-for="side in ['left', 'right'] as const" :key="side" :class="`at-${side}`">
              <IntensityScale
                v-if="hold[side]"
                :side="side"
                :label="`Intensity of ${hold.name}, ${side}`"
                :model-value="hold[side]?.strength ?? null"
                @update:model-value="rate(hold.stepId, side, $event)"
              />
            </td>
          </template>
          <td>
            <ChoiceField
              v-if="hold.left && hold.right"
              :label="`Which side was tighter in ${hold.name}`"
              :options="TIGHTER_OPTIONS"
              :model-value="seenIn(hold.stepId).tighter ?? ''"
              @update:model-value="see(hold.stepId, { tighter: $event || null })"
            />
          </td>
          <td>
            <ChoiceField
              v-if="hold.hasProps"
              :label="`The props of ${hold.name}`"
              :options="HEIGHT_OPTIONS"
              :model-value="seenIn(hold.stepId).props ?? ''"
              @update:model-value="see(hold.stepId, { props: $event || null })"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="holds.length === 0" class="quiet">No holds completed.</p>
    <BreathReviewFields
      v-if="breaths.length > 0"
      :breaths="breaths"
      :present="present.people"
      :of="(stepId) => seenIn(stepId).breath"
      @review="(stepId, breath) => see(stepId, { breath })"
    />
    <div class="words">
      <div>
        <h2>Who was there</h2>
        <PresentFields
          :people="present.people"
          :others="present.others"
          @change="(people, others) => annotations.say({ kind: 'present', people, others })"
        />
      </div>
      <TextField
        label="What to change next time"
        :rows="2"
        :model-value="review.change"
        :accept="(change) => revise({ change })"
      />
      <TextField label="Notes" :rows="2" :model-value="review.note" :accept="(note) => revise({ note })" />
      <div v-if="record.notes.length > 0">
        <h2>Noted while teaching</h2>
        <p v-for="(note, i) in record.notes" :key="i">
          <span class="quiet">{{ clockTime(note.atMs) }}</span> {{ note.text }}
          <span v-if="note.stepIndex !== null" class="small quiet">({{ plan.steps[note.stepIndex]?.name }})</span>
        </p>
      </div>
    </div>
  </section>
</template>

<style scoped>
section {
  overflow-x: auto;
}
.figures td,
.figures th {
  vertical-align: middle;
}
.figures tbody th {
  min-width: 130px;
  max-width: 220px;
  overflow-wrap: anywhere;
}
.middle {
  text-align: center;
}
td.at-left {
  padding-right: 1px;
  border-right: 1px solid var(--line-strong);
  text-align: right;
}
td.at-right {
  padding-left: 1px;
}
.words {
  display: grid;
  gap: 14px;
  max-width: 760px;
  padding: 16px 0;
}
/* Where there is no room for a line of a hold, its questions stand under each other. */
@media (width < 1000px) {
  thead {
    display: none;
  }
  .figures,
  .figures tbody,
  .figures tr,
  .figures th,
  .figures td {
    display: block;
  }
  .figures th,
  .figures td,
  td.at-left,
  td.at-right {
    max-width: none;
    padding: 3px 0;
    border: 0;
    text-align: left;
  }
  .figures tr {
    padding: 8px 0;
    border-bottom: 1px solid var(--line);
  }
}
h2 {
  margin-bottom: 6px;
  font-size: 19px;
  line-height: 22px;
}
</style>
