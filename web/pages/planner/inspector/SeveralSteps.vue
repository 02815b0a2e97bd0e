<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import {
  chosenSteps,
  scaleHolds,
  setLengthOfAll,
  setRangeOfAll,
  sideSeconds,
  type HoldStep,
  type Step,
} from '#core/plan';
import type { Seconds } from '#core/numbers';
import { clockOfMs } from '#core/time';
import type { Timeline } from '#core/timeline';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import NumberField from '../../../ui/fields/NumberField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { useEditor } from '../../../state/editor';
import { useStepActions } from '../steps/use-step-actions';
import { useEdit } from '../use-edit';

/** What several chosen steps can be given together: one length, one range, locked or free. */
const { timeline } = defineProps<{ timeline: Timeline }>();

const editor = useEditor();
const edit = useEdit();
const actions = useStepActions();
const steps = computed(() => chosenSteps(editor.plan?.steps ?? [], editor.selection));
const holds = computed(() => steps.value.filter((step): step is HoldStep => step.kind === 'hold'));
const breaths = computed(() => steps.value.filter(({ kind }) => kind === 'breath').length);
const total = computed(() =>
  (editor.plan?.steps ?? []).reduce((sum, { id }, i) => {
    const span = timeline.steps[i];
    return span && editor.selection.includes(id) ? sum + span.endMs - span.startMs : sum;
  }, 0),
);

const lengthsOf = (step: Step): Seconds[] => {
  if (step.kind === 'breath') return [];
  if (step.kind !== 'hold') return [step.seconds];
  return Object.values(sideSeconds(step.sides)).filter((seconds) => seconds > 0);
};
/** The one value that all have; null where they differ. */
const common = <T,>(values: readonly T[]): T | null => (new Set(values).size === 1 ? (values[0] ?? null) : null);
const length = computed(() => common(steps.value.flatMap(lengthsOf)));
const end = (which: 'min' | 'max') => common(holds.value.map(({ range }) => range?.[which] ?? null));

function setLength(seconds: Seconds | null): string | undefined {
  if (!editor.plan || seconds === null) return undefined;
  return edit(setLengthOfAll(editor.plan, editor.selection, seconds));
}
const [MIN_PERCENT, MAX_PERCENT] = [10, 400];
function scale(percent: number): string | undefined {
  if (!editor.plan || percent === 100) return undefined;
  if (percent < MIN_PERCENT || percent > MAX_PERCENT) return `Between ${MIN_PERCENT} and ${MAX_PERCENT} per cent.`;
  return edit(scaleHolds(editor.plan, editor.selection, percent / 100));
}
const setRange = (which: 'min' | 'max') => (seconds: Seconds | null) => {
  if (!editor.plan) return undefined;
  if (seconds === null) return edit(setRangeOfAll(editor.plan, editor.selection, null));
  const [min, max] = [end('min') ?? seconds, end('max') ?? seconds];
  const range =
    which === 'min' ? { min: seconds, max: Math.max(max, seconds) } : { min: Math.min(min, seconds), max: seconds };
  return edit(setRangeOfAll(editor.plan, editor.selection, range));
};
</script>

<template>
  <header>
    <h2>{{ steps.length }} steps selected</h2>
    <p class="small quiet">{{ clockOfMs(total) }} total</p>
  </header>
  <FieldGroup title="Length of all">
    <div class="fields">
      <TimeField bare="minutes" label="each hold and rest" usual="various" :model-value="length" :accept="setLength" />
      <span v-if="breaths > 0" class="small quiet">
        {{ breaths === 1 ? 'One breath keeps' : `${breaths} breaths keep` }} the length of
        {{ breaths === 1 ? 'its' : 'their' }} counts.
      </span>
    </div>
  </FieldGroup>
  <FieldGroup v-if="holds.length > 0" title="Longer or shorter">
    <div class="fields">
      <NumberField label="scale each to" unit="%" :step="5" :model-value="100" :accept="scale" />
    </div>
  </FieldGroup>
  <FieldGroup v-if="holds.length > 0" title="Range of all holds">
    <div class="fields">
      <TimeField bare="minutes" label="from" usual="various" :model-value="end('min')" :accept="setRange('min')" />
      <TimeField bare="minutes" label="to" usual="various" :model-value="end('max')" :accept="setRange('max')" />
    </div>
  </FieldGroup>
  <div class="buttons">
    <Button
      size="small"
      outlined
      :label="steps.every(({ locked }) => locked) ? 'Unlock lengths' : 'Lock lengths'"
      @click="actions.toggleLock"
    />
    <Button size="small" outlined label="Duplicate" @click="actions.duplicate" />
    <Button size="small" outlined label="Copy" @click="actions.copy" />
    <Button size="small" outlined label="Delete" @click="actions.remove" />
  </div>
</template>

<style scoped>
header {
  padding-bottom: 8px;
}
h2 {
  font-size: 22px;
  line-height: 28px;
}
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  padding-top: 10px;
}
</style>
