<script setup lang="ts">
import { computed } from 'vue';
import { BREATH_LIMITS, OUT_DIRECTIONS, type BreathPlace, type BreathSteps, type CyclePart } from '#core/breath';
import NumberField from '../../ui/fields/NumberField.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import TextField from '../../ui/fields/TextField.vue';
import { PLACE_OPTIONS, SOUND_OPTIONS, THROUGH_OPTIONS } from './options';

/** A counted breath besides its counts: where it passes, whether it is interrupted, its sound, and where it is felt. */
const { part, put } = defineProps<{
  part: CyclePart;
  /** Takes what is changed; gives the reason if it is refused. */
  put: (patch: Partial<CyclePart>) => string | undefined;
}>();
const emit = defineEmits<{ refused: [reason: string] }>();
const pick = (patch: Partial<CyclePart>): void => emit('refused', put(patch) ?? '');

const USUAL_PAUSE = 2;
const PARTS_OPTIONS = [
  { value: 1, label: 'in one' },
  ...Array.from({ length: BREATH_LIMITS.maxBreathParts - 1 }, (_, i) => ({ value: i + 2, label: `in ${i + 2} parts` })),
];
const WAYS = [
  { field: 'inSteps', label: 'in-breath', pause: 'pauses in it' },
  { field: 'outSteps', label: 'out-breath', pause: 'pauses in it' },
] as const;
type StepsField = (typeof WAYS)[number]['field'];
function setParts(field: StepsField, parts: number): void {
  const pauseCounts = part[field]?.pauseCounts ?? USUAL_PAUSE;
  pick({ [field]: parts === 1 ? undefined : ({ parts, pauseCounts } satisfies BreathSteps) });
}
const setPause = (field: StepsField, pauseCounts: number) => {
  const steps = part[field];
  return steps && put({ [field]: { ...steps, pauseCounts } });
};

const DIRECTION_OPTIONS = [
  { value: 'none' as const, label: 'as it comes' },
  ...OUT_DIRECTIONS.map((value) => ({ value, label: value === 'fromAbove' ? 'from above' : 'from below' })),
];
const UPWARDS: BreathPlace[] = ['belly', 'sideRibs', 'upperChest'];
const FELT_OPTIONS = [
  ...PLACE_OPTIONS,
  { value: 'up' as const, label: 'belly, ribs, chest as one wave' },
  { value: 'down' as const, label: 'chest, ribs, belly as one wave' },
];
const felt = computed(() => (part.wave ? (part.wave[0] === 'belly' ? 'up' : 'down') : (part.place ?? 'none')));
function setFelt(value: (typeof FELT_OPTIONS)[number]['value']): void {
  if (value === 'up') pick({ place: null, wave: UPWARDS });
  else if (value === 'down') pick({ place: null, wave: UPWARDS.toReversed() });
  else pick({ place: value === 'none' ? null : value, wave: undefined });
}
function setSound(sound: CyclePart['sound']): void {
  pick({
    sound,
    loudness: sound === 'throat' ? (part.loudness ?? 'soft') : undefined,
    vowel: sound === 'voice' ? part.vowel : undefined,
  });
}
</script>

<template>
  <SelectField
    :model-value="part.inThrough"
    label="in by"
    :options="THROUGH_OPTIONS"
    @update:model-value="pick({ inThrough: $event })"
  />
  <SelectField
    :model-value="part.outThrough"
    label="out by"
    :options="THROUGH_OPTIONS"
    @update:model-value="pick({ outThrough: $event })"
  />
  <template v-for="{ field, label, pause } in WAYS" :key="field">
    <SelectField
      :model-value="part[field]?.parts ?? 1"
      :label="label"
      :options="PARTS_OPTIONS"
      @update:model-value="setParts(field, $event)"
    />
    <NumberField
      v-if="part[field]"
      :label="`${pause}, counts`"
      :model-value="part[field].pauseCounts"
      :accept="(counts) => setPause(field, counts)"
    />
  </template>
  <SelectField :model-value="part.sound" label="sound" :options="SOUND_OPTIONS" @update:model-value="setSound" />
  <SelectField
    v-if="part.sound === 'throat'"
    :model-value="part.loudness ?? 'soft'"
    hide-label
    label="How loud"
    :options="[
      { value: 'soft', label: 'soft' },
      { value: 'loud', label: 'loud' },
    ]"
    @update:model-value="pick({ loudness: $event })"
  />
  <TextField
    v-if="part.sound === 'voice'"
    class="vowel"
    label="sung or spoken"
    placeholder="ah"
    :model-value="part.vowel ?? ''"
    :accept="(vowel) => put({ vowel: vowel.trim() || undefined })"
  />
  <SelectField :model-value="felt" label="felt" :options="FELT_OPTIONS" @update:model-value="setFelt" />
  <SelectField
    :model-value="part.outDirection ?? 'none'"
    label="out-breath begins"
    :options="DIRECTION_OPTIONS"
    @update:model-value="pick({ outDirection: $event === 'none' ? undefined : $event })"
  />
</template>

<style scoped>
.vowel {
  max-width: 110px;
}
</style>
