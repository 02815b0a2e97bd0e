<script setup lang="ts">
import ToggleSwitch from 'primevue/toggleswitch';
import { computed, useId } from 'vue';
import { setBreathSeconds, setEven, setHold, setHoldSeconds, sideSeconds, type HoldStep, type Side } from '#core/plan';
import { clockOfSeconds } from '#core/time';
import { DEFAULT_RULES, turnsOf } from '#core/timeline';
import TimeField from '../../../ui/fields/TimeField.vue';
import { useEdit } from '../use-edit';
import RangeRail from './RangeRail.vue';
import CheckField from '../../../ui/fields/CheckField.vue';

const { step } = defineProps<{ step: HoldStep }>();

const edit = useEdit();
const evenId = useId();
const lengths = computed(() => sideSeconds(step.sides));
const two = computed(() => (step.sides.kind === 'each' || step.sides.kind === 'crossing' ? step.sides : undefined));
const even = computed(() => two.value?.length.kind === 'even');
const difference = computed(() => {
  const [first, second] = turnsOf(step, DEFAULT_RULES);
  if (!first || !second || first.seconds === second.seconds) return '';
  const by = clockOfSeconds(Math.abs(first.seconds - second.seconds));
  return `Second side is ${by} ${second.seconds < first.seconds ? 'shorter' : 'longer'}`;
});
const single = computed(() =>
  step.sides.kind === 'together'
    ? 'Both sides'
    : step.sides.kind === 'one'
      ? `${step.sides.side === 'left' ? 'Left' : 'Right'} only`
      : '',
);
const marks = computed(() =>
  two.value
    ? [
        { side: 'left' as const, seconds: lengths.value.left },
        { side: 'right' as const, seconds: lengths.value.right },
      ]
    : [{ side: 'both' as const, seconds: Math.max(lengths.value.left, lengths.value.right) }],
);

const USUAL_BREATH = 6;
const toggleBreaths = (): void =>
  void edit(setBreathSeconds(step.id, step.breathSeconds === null ? USUAL_BREATH : null));
const setSide = (side: Side | 'even') => (seconds: number | null) => edit(setHoldSeconds(step.id, side, seconds ?? 0));
const setRange = (end: 'min' | 'max') => (seconds: number | null) => {
  const longest = Math.max(lengths.value.left, lengths.value.right);
  const range = step.range ?? { min: longest, max: longest };
  return edit(setHold(step.id, { range: seconds === null ? null : { ...range, [end]: seconds } }));
};
</script>

<template>
  <div class="lengths">
    <div v-if="two" class="sides">
      <TimeField
        large
        class="left"
        bare="minutes"
        label="Left"
        :model-value="lengths.left"
        :breath="step.breathSeconds"
        :accept="setSide('left')"
      />
      <TimeField
        large
        class="right"
        bare="minutes"
        label="Right"
        :model-value="lengths.right"
        :breath="step.breathSeconds"
        :accept="setSide('right')"
      />
    </div>
    <TimeField
      v-else
      large
      class="both"
      bare="minutes"
      :label="single"
      :breath="step.breathSeconds"
      :model-value="Math.max(lengths.left, lengths.right)"
      :accept="setSide('even')"
    />
    <div v-if="two" class="even">
      <span class="caution strong small" role="status">{{ difference }}</span>
      <label :for="evenId">Even</label>
      <ToggleSwitch
        :input-id="evenId"
        :model-value="even"
        @update:model-value="edit(setEven(step.id, Boolean($event)))"
      />
    </div>
    <RangeRail :marks="marks" :range="step.range" />
    <div class="breaths small">
      <CheckField
        label="measured in breaths"
        :model-value="step.breathSeconds !== null"
        @update:model-value="toggleBreaths"
      />
      <TimeField
        v-if="step.breathSeconds !== null"
        label="of"
        :model-value="step.breathSeconds"
        :accept="(seconds) => edit(setBreathSeconds(step.id, seconds ?? USUAL_BREATH))"
      />
    </div>
    <div class="range small">
      <TimeField
        bare="minutes"
        label="from"
        :model-value="step.range?.min ?? null"
        usual="none"
        :accept="setRange('min')"
      />
      <TimeField
        bare="minutes"
        label="to"
        :model-value="step.range?.max ?? null"
        usual="none"
        :accept="setRange('max')"
      />
    </div>
  </div>
</template>

<style scoped>
.sides {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 20px;
}
.left :deep(label),
.left :deep(input) {
  text-align: right;
}
.left :deep(input) {
  border-bottom: 2px solid var(--left);
}
.right :deep(input) {
  border-bottom: 2px solid var(--right);
}
.both {
  width: 100%;
}
.both :deep(input) {
  border-bottom: 2px solid var(--both);
}
.even {
  display: flex;
  gap: 8px;
  align-items: center;
  justify-content: flex-end;
  min-height: 28px;
  margin-top: 2px;
}
.even span {
  flex: 1;
  line-height: 15px;
}
.breaths {
  display: flex;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
  min-height: 28px;
}
.breaths label {
  display: flex;
  gap: 5px;
  align-items: center;
}
.breaths :deep(input[type='text']) {
  width: 56px;
}
.range {
  display: flex;
  justify-content: space-between;
}
.range :deep(input) {
  width: 56px;
}
</style>
