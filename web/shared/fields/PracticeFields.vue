<script setup lang="ts">
import { BREATH_LIMITS, type BreathPractice, type BreathSet } from '#core/breath';
import { newId } from '../../stores/browser';
import BreathSetRow from './BreathSetRow.vue';
import FieldGroup from './FieldGroup.vue';
import NumberField from './NumberField.vue';

/** The counts of a breath practice: how long one count is, and its sets. */
const { practice, round, accept } = defineProps<{
  practice: BreathPractice;
  /** What one round is, in words. */
  round: string;
  /** Takes the changed practice; gives the reason where it is refused. */
  accept: (practice: BreathPractice) => string | undefined;
}>();

const put = (patch: Partial<BreathPractice>): string | undefined => accept({ ...practice, ...patch });
const setSet = (set: BreathSet) => (next: BreathSet | null) =>
  put({ sets: practice.sets.flatMap((other) => (other === set ? (next ? [next] : []) : [other])) });
function addSet(): void {
  const last = practice.sets.at(-1);
  if (last) put({ sets: [...practice.sets, { ...last, id: newId() }] });
}
</script>

<template>
  <FieldGroup title="Counts" add="Add a set" @add="addSet">
    <template #head>
      <span class="small quiet">one count is</span>
      <NumberField
        hide-label
        label="Seconds a count"
        unit="s"
        :step="0.1"
        :model-value="practice.countSeconds"
        :accept="(countSeconds) => put({ countSeconds })"
      />
      <span class="small quiet">{{ BREATH_LIMITS.minCountSeconds }} to {{ BREATH_LIMITS.maxCountSeconds }}</span>
    </template>
    <BreathSetRow
      v-for="(set, i) in practice.sets"
      :key="set.id"
      :set="set"
      :number="i + 1"
      :only="practice.sets.length === 1"
      :count-seconds="practice.countSeconds"
      :accept="setSet(set)"
    />
    <p v-if="round" class="small quiet">{{ round }}.</p>
  </FieldGroup>
</template>
