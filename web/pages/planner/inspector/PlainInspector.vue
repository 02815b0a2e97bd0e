<script setup lang="ts">
import { computed } from 'vue';
import { setSeconds as planSeconds, setSetUp, setStepCommon, several, type PlainStep } from '#core/plan';
import { clockOfSeconds } from '#core/time';
import type { Timeline } from '#core/timeline';
import TimeField from '../../../ui/fields/TimeField.vue';
import { useDemand } from '../../../state/demand';
import { useEditor } from '../../../state/editor';
import { useEdit } from '../use-edit';
import { movesTo } from './moves-to';
import TakesRemaining from './TakesRemaining.vue';
import StepNote from './StepNote.vue';
import LengthTradeoffs from './LengthTradeoffs.vue';
import StepWhere from './StepWhere.vue';
import StepSolutions from './StepSolutions.vue';
import OtherSetUpFields from './OtherSetUpFields.vue';
import SetUpRows from '../../../widgets/props/SetUpRows.vue';
import CheckField from '../../../ui/fields/CheckField.vue';

/** A rest, a loosening or a talk: a length, and what it is for. */
const { step, index, timeline } = defineProps<{ step: PlainStep; index: number; timeline: Timeline }>();

const edit = useEdit();
const editor = useEditor();
const demand = useDemand();
/** A length that is typed counts, and no longer what is left of the class. */
const setSeconds = (seconds: number | null) => {
  const length = planSeconds(step.id, seconds ?? 0);
  return edit(step.takesRemaining ? several([setStepCommon(step.id, { takesRemaining: false }), length]) : length);
};
const label = computed(() => ({ rest: 'Rest', move: 'Release', talk: 'Talk' })[step.kind]);
</script>

<template>
  <div class="length">
    <TimeField large :label="label" :model-value="step.seconds" :accept="setSeconds" />
    <span class="quiet">{{ clockOfSeconds(step.seconds) }} total</span>
  </div>
  <TakesRemaining :step="step" />
  <LengthTradeoffs v-if="step.kind === 'rest'" :step="step" />
  <StepNote :step="step" :rows="4" />
  <template v-if="step.kind === 'rest'">
    <StepWhere :step="step" />
    <StepSolutions :step="step" :index="index" />
    <CheckField
      class="own"
      label="different props for this step"
      :model-value="step.setUp !== null"
      @update:model-value="(own) => edit(setSetUp(step.id, own ? [] : null))"
    />
    <SetUpRows
      v-if="step.setUp"
      title="Set-up"
      :set-up="step.setUp"
      :two-sided="false"
      :at-hand="demand.each"
      :moves="movesTo(timeline, index)"
      :accept="(setUp) => edit(setSetUp(step.id, setUp))"
    />
    <OtherSetUpFields v-if="step.setUp" :step="step" :group-size="editor.plan?.groupSize ?? 1" />
  </template>
</template>

<style scoped>
.length {
  display: grid;
  grid-template-columns: 160px 1fr;
  gap: 16px;
  align-items: end;
  margin: 12px 0 16px;
}
.length .quiet {
  padding-bottom: 8px;
}
.own {
  display: flex;
  gap: 6px;
  margin: 12px 0 8px;
}
</style>
