<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  cycleOf,
  secondsABreath,
  setOf,
  withSecondsABreath,
  type BreathPractice,
  type BreathSet,
  type Preset,
} from '#core/breath';
import { newId } from '../../client/new-id';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import BeatFields from './BeatFields.vue';
import QuickSets from './QuickSets.vue';
import SetRow from './SetRow.vue';

/** A breath practice: how long one count is, and its sets as rows, one of them open. */
const {
  practice,
  presets = [],
  accept,
} = defineProps<{
  practice: BreathPractice;
  /** Practices to begin with. */
  presets?: readonly Preset[];
  /** Takes the changed practice; returns the reason if it is refused. */
  accept: (practice: BreathPractice) => string | undefined;
}>();

const perBreaths = computed(() => secondsABreath(practice));
const perBreath = computed(() => (perBreaths.value.length === 1 ? perBreaths.value[0] : undefined));
const firstPerBreath = computed(() => perBreaths.value[0]);
const open = ref<string | undefined>(practice.sets[0]?.id);
const put = (patch: Partial<BreathPractice>): string | undefined => accept({ ...practice, ...patch });
const setSet = (at: number) => (next: BreathSet | null) =>
  put({ sets: next ? practice.sets.with(at, next) : practice.sets.toSpliced(at, 1) });
function insert(at: number, set: BreathSet): void {
  if (put({ sets: practice.sets.toSpliced(at, 0, set) }) === undefined) open.value = set.id;
}
const addSet = (): void => insert(practice.sets.length, setOf(newId(), [cycleOf([4, 0, 4, 0])], 6));
const copy = (at: number, set: BreathSet): void => insert(at + 1, { ...set, id: newId() });
function move(at: number, by: -1 | 1): void {
  const set = practice.sets[at];
  if (set && at + by >= 0 && at + by < practice.sets.length)
    put({ sets: practice.sets.toSpliced(at, 1).toSpliced(at + by, 0, set) });
}
function take(preset: Preset): void {
  if (accept(preset.practice) === undefined) open.value = preset.practice.sets[0]?.id;
}
</script>

<template>
  <FieldGroup title="Counts" add="Add a set" @add="addSet">
    <template #head>
      <BeatFields :count-seconds="practice.countSeconds" :accept="(countSeconds) => put({ countSeconds })" />
    </template>
    <p v-if="presets.length > 0" class="presets small">
      <span class="quiet">Start from</span>
      <button v-for="preset in presets" :key="preset.name" type="button" class="link-button" @click="take(preset)">
        {{ preset.name }}
      </button>
      <slot name="presets" />
    </p>
    <SetRow
      v-for="(set, i) in practice.sets"
      :key="set.id"
      :set="set"
      :number="i + 1"
      :only="practice.sets.length === 1"
      :open="open === set.id"
      :count-seconds="practice.countSeconds"
      :accept="setSet(i)"
      @toggle="open = open === set.id ? undefined : set.id"
      @copy="copy(i, set)"
      @move="move(i, $event)"
    />
    <NumberField
      v-if="perBreath !== undefined"
      label="A breath at their own pace takes about"
      unit="s"
      :step="0.5"
      :model-value="perBreath"
      :accept="(seconds) => accept(withSecondsABreath(practice, seconds))"
    />
    <button
      v-else-if="firstPerBreath !== undefined"
      type="button"
      class="link-button small"
      @click="accept(withSecondsABreath(practice, firstPerBreath))"
    >
      Every breath at their own pace {{ firstPerBreath }} s
    </button>
    <QuickSets :practice="practice" :accept="(sets) => put({ sets })" />
  </FieldGroup>
</template>

<style scoped>
.presets {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: baseline;
}
</style>
