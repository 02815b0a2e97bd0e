<script setup lang="ts">
import { computed } from 'vue';
import { QUARTERS, QUARTER_NAMES, type CyclePart, type Quarter, type Ramp } from '#core/breath';
import CheckField from '../../ui/fields/CheckField.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import SelectField from '../../ui/fields/SelectField.vue';

/** What changes over the rounds of a set: one quarter of the breath, up or down, in whole counts or in tenths. */
const { ramp, part, rounds, accept } = defineProps<{
  ramp: Ramp | null;
  part: CyclePart;
  rounds: number;
  accept: (ramp: Ramp | null) => string | undefined;
}>();

const OPTIONS: readonly { value: Quarter | 'none'; label: string }[] = [
  { value: 'none', label: 'nothing' },
  ...QUARTERS.map((value) => ({ value, label: QUARTER_NAMES[value] })),
];
const GROWS_BY = 4;
const of = computed({
  get: () => ramp?.of ?? 'none',
  set: (quarter) => {
    if (quarter === 'none') accept(null);
    else accept({ of: quarter, to: part[quarter] + GROWS_BY, steps: ramp?.steps ?? 'counts' });
  },
});
const steps = computed({
  get: () => ramp?.steps ?? 'counts',
  set: (how) => ramp && void accept({ ...ramp, steps: how, to: how === 'counts' ? Math.round(ramp.to) : ramp.to }),
});
</script>

<template>
  <span class="ramp">
    <SelectField v-model="of" label="over the rounds" :options="OPTIONS" />
    <template v-if="ramp">
      <span class="small quiet">goes from {{ part[ramp.of] }} to</span>
      <NumberField
        hide-label
        label="Counts at the end"
        :step="ramp.steps === 'counts' ? 1 : 0.1"
        :model-value="ramp.to"
        :accept="(to) => accept({ ...ramp, to })"
      />
      <SelectField
        v-model="steps"
        hide-label
        label="In which steps"
        :options="[
          { value: 'counts', label: 'in whole counts' },
          { value: 'tenths', label: 'in tenths' },
        ]"
      />
      <CheckField
        v-if="rounds > 2 || ramp.back"
        class="small"
        label="and back again"
        :model-value="ramp.back ?? false"
        @update:model-value="(back) => void accept({ ...ramp, back: back || undefined })"
      />
    </template>
    <span v-else-if="rounds < 2" class="small quiet">with two rounds or more, a count can grow</span>
  </span>
</template>

<style scoped>
.ramp {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
}
</style>
