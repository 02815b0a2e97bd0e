<script setup lang="ts">
import { computed } from 'vue';
import { breathCost, loadFlags, type BreathPractice } from '#core/breath';
import { changeStep, type BreathStep } from '#core/plan';
import { clockOfMs } from '#core/time';
import type { Timeline } from '#core/timeline';
import AppIcon from '../../shared/AppIcon.vue';
import PracticeFields from '../../shared/fields/PracticeFields.vue';
import TimeField from '../../shared/fields/TimeField.vue';
import { rateInWords } from '../step-words';
import { useEdit } from '../use-edit';
import FieldGroup from '../../shared/fields/FieldGroup.vue';
import SetUpRows from '../../shared/fields/SetUpRows.vue';
import FitBreath from './FitBreath.vue';
import StepRibbon from './StepRibbon.vue';
import { useLibrary } from '../../stores/library';

const { step, index, timeline } = defineProps<{ step: BreathStep; index: number; timeline: Timeline }>();

const edit = useEdit();
const library = useLibrary();
const technique = computed(() => library.all.technique(step.technique));
const cost = computed(() => breathCost(step.practice));
// Until groups and their health are known, nobody has been asked.
const flags = computed(() => loadFlags(step.practice, false));
const figures = computed(() => [
  { value: clockOfMs(cost.value.lengthMs), what: 'in all' },
  { value: String(cost.value.cycles), what: cost.value.cycles === 1 ? 'breath' : 'breaths' },
  { value: rateInWords(cost.value.meanRate), what: 'a minute' },
  {
    value: cost.value.longestRetentionMs > 0 ? clockOfMs(cost.value.longestRetentionMs) : 'none',
    what: 'longest hold',
  },
  { value: `${Math.round(1000 * cost.value.retentionShare) / 10} %`, what: 'of it holding' },
]);
const put = (practice: BreathPractice): string | undefined =>
  edit(changeStep(step.id, 'breath', 'change breath', (before) => ({ ...before, practice })));
const setAfter = (seconds: number | null) =>
  edit(changeStep(step.id, 'breath', 'set quiet breathing', (before) => ({ ...before, afterSeconds: seconds ?? 0 })));
</script>

<template>
  <dl class="cost" aria-label="What it costs">
    <div v-for="{ value, what } in figures" :key="what">
      <dd class="numeral">{{ value }}</dd>
      <dt class="small quiet">{{ what }}</dt>
    </div>
  </dl>
  <StepRibbon :timeline="timeline" :step="step" :index="index" />
  <PracticeFields :practice="step.practice" :round="technique?.round ?? ''" :accept="put" />
  <FitBreath :step="step" />
  <FieldGroup title="After">
    <TimeField label="Quiet breathing" :model-value="step.afterSeconds" :accept="setAfter" />
  </FieldGroup>
  <SetUpRows
    title="Seat"
    :says="technique?.seat ?? ''"
    :set-up="step.setUp"
    :two-sided="false"
    :ready="[]"
    :accept="(setUp) => edit(changeStep(step.id, 'breath', 'change seat', (before) => ({ ...before, setUp })))"
  />
  <div v-if="technique" class="taught">
    <h3>How it is taught</h3>
    <ol>
      <li v-for="line in technique.taught" :key="line">{{ line }}</li>
    </ol>
    <p class="quiet">{{ technique.mistakes }}</p>
    <p class="warn"><AppIcon name="warn" :size="16" class="caution" /> {{ technique.caution }}</p>
  </div>
  <ul v-if="flags.length > 0" class="flags" aria-label="Worth a second look">
    <li v-for="{ kind, message } in flags" :key="kind" class="warn">
      <AppIcon name="warn" :size="16" class="caution" /> {{ message }}
    </li>
  </ul>
</template>

<style scoped>
.cost {
  display: flex;
  gap: 20px;
  margin: 10px 0 4px;
}
.cost dd {
  margin: 0;
  font-size: 24px;
  line-height: 28px;
}
.taught {
  padding-top: 8px;
  border-top: 1px solid var(--line);
}
.taught h3 {
  font: 600 14.5px/20px var(--text);
}
.taught ol {
  list-style: decimal;
  padding-left: 20px;
}
.warn {
  display: flex;
  gap: 8px;
  align-items: flex-start;
  margin-top: 6px;
}
</style>
