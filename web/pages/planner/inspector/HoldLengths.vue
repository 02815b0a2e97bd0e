<script setup lang="ts">
import ToggleSwitch from 'primevue/toggleswitch';
import { computed, useId } from 'vue';
import {
  setEven,
  setFirstSide,
  setHold,
  setLengthOfHold,
  setStepCommon,
  several,
  sideMeaning,
  sideSeconds,
  type HoldStep,
  type Side,
} from '#core/plan';
import { clockOfSeconds } from '#core/time';
import { turnsOf } from '#core/timeline';
import TimeField from '../../../ui/fields/TimeField.vue';
import { useEditor } from '../../../state/editor';
import { useEdit } from '../use-edit';
import TakesRemaining from './TakesRemaining.vue';
import RangeRail from './RangeRail.vue';
import CheckField from '../../../ui/fields/CheckField.vue';
import SelectField from '../../../ui/fields/SelectField.vue';
import { useLibrary } from '../../../state/library';

const { step } = defineProps<{ step: HoldStep }>();
const emit = defineEmits<{
  /** The length of this side is about to be changed. */
  side: [side: Side];
}>();
const library = useLibrary();

const edit = useEdit();
const editor = useEditor();
const evenId = useId();
const lengths = computed(() => sideSeconds(step.sides));
const two = computed(() => (step.sides.kind === 'each' || step.sides.kind === 'crossing' ? step.sides : undefined));
const even = computed(() => two.value?.length.kind === 'even');
const difference = computed(() => {
  const [first, second] = turnsOf(step, editor.rules);
  if (!first || !second || first.seconds === second.seconds) return '';
  const by = clockOfSeconds(Math.abs(first.seconds - second.seconds));
  return `Second side ${step.unevenIntended ? '' : 'is '}${by} ${second.seconds < first.seconds ? 'shorter' : 'longer'}`;
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

const firstSides = computed(
  () =>
    [
      { value: 'house', label: `${editor.rules.firstSide}, as usual` },
      { value: 'left', label: 'left' },
      { value: 'right', label: 'right' },
    ] as const,
);
/** What the side, or the first side, means for this position. */
const meaning = computed(() => {
  const side = step.sides.kind === 'one' ? step.sides.side : 'left';
  const means = sideMeaning(step, side, library.all);
  return means === '' ? '' : `“${side === 'left' ? 'Left' : 'Right'}”: ${means}.`;
});
/** A length that is typed counts, and no longer what is left of the class. */
const setSide = (side: Side | 'even') => (seconds: number | null) => {
  const length = setLengthOfHold(step, side, seconds ?? 0, library.all);
  return edit(step.takesRemaining ? several([setStepCommon(step.id, { takesRemaining: false }), length]) : length);
};
const setRange = (end: 'min' | 'max') => (seconds: number | null) => {
  const longest = Math.max(lengths.value.left, lengths.value.right);
  const range = step.range ?? { min: longest, max: longest };
  return edit(setHold(step.id, { range: seconds === null ? null : { ...range, [end]: seconds } }));
};
/** Made once, so that a field is drawn again only when its length has changed. */
const take = {
  left: setSide('left'),
  right: setSide('right'),
  even: setSide('even'),
  min: setRange('min'),
  max: setRange('max'),
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
        :accept="take.left"
        @focusin="emit('side', 'left')"
      />
      <TimeField
        large
        class="right"
        bare="minutes"
        label="Right"
        :model-value="lengths.right"
        :breath="step.breathSeconds"
        :accept="take.right"
        @focusin="emit('side', 'right')"
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
      :accept="take.even"
    />
    <RangeRail :marks="marks" :range="step.range" />
    <div class="range small">
      <TimeField bare="minutes" label="from" :model-value="step.range?.min ?? null" usual="none" :accept="take.min" />
      <TimeField bare="minutes" label="to" :model-value="step.range?.max ?? null" usual="none" :accept="take.max" />
    </div>
    <TakesRemaining :step="step" />
    <template v-if="two">
      <div class="even small">
        <ToggleSwitch
          :input-id="evenId"
          :model-value="even"
          @update:model-value="edit(setEven(step.id, Boolean($event)))"
        />
        <label :for="evenId">Even</label>
        <span :class="step.unevenIntended ? 'quiet' : 'caution strong'" role="status"
          >{{ difference }}<span v-if="difference === ''" class="sr-only">Both sides are equal</span></span
        >
      </div>
      <CheckField
        v-if="difference !== ''"
        class="small"
        label="different on purpose"
        :model-value="step.unevenIntended"
        @update:model-value="(unevenIntended) => edit(setHold(step.id, { unevenIntended }))"
      />
      <SelectField
        class="small"
        label="First side"
        :options="firstSides"
        :model-value="two.first"
        @update:model-value="(side) => edit(setFirstSide(step.id, side))"
      />
    </template>
    <p v-if="meaning" class="small quiet">{{ meaning }}</p>
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
  gap: 6px;
  align-items: center;
  min-height: 32px;
}
.even span {
  flex: 1;
  line-height: 15px;
}
.range {
  display: flex;
  justify-content: space-between;
}
.range :deep(input) {
  width: 56px;
}
</style>
