<script setup lang="ts">
import { counterposeFor, EFFECTS, needsCounterpose, type Bend, type Effect, type Position } from '#core/catalogue';
import CheckField from '../../../ui/fields/CheckField.vue';
import SelectField from '../../../ui/fields/SelectField.vue';
import { useEntryField } from './use-entry';

/** What a position asks a counterpose for, what it is one for, and whether it rouses or quiets: an order goes by it. */
const { entry } = defineProps<{ entry: Position }>();

const { set } = useEntryField();
const NEEDS = [
  { bend: 'fold', label: 'it is a deep fold, and asks for a counterpose' },
  { bend: 'back', label: 'it is a back bend, and asks for a counterpose' },
] as const;
const FOR = [
  { bend: 'fold', label: 'it is a counterpose for deep folds' },
  { bend: 'back', label: 'it is a counterpose for back bends' },
] as const;
const NEITHER = '';
const EFFECT_OPTIONS = [
  { value: NEITHER, label: 'does neither' },
  ...EFFECTS.map((value) => ({ value, label: value === 'rousing' ? 'rouses' : 'quiets' })),
];
const withBend = (bends: readonly Bend[], bend: Bend, is: boolean): Bend[] =>
  is ? [...bends, bend] : bends.filter((one) => one !== bend);
const setNeeds = (bend: Bend, is: boolean) => set('needsCounterpose')(withBend(needsCounterpose(entry), bend, is));
const setFor = (bend: Bend, is: boolean) => set('counterposeFor')(withBend(counterposeFor(entry), bend, is));
const setEffect = (effect: Effect | '') => set('effect')(effect === NEITHER ? undefined : effect);
</script>

<template>
  <div class="counterposes small">
    <CheckField
      v-for="{ bend, label } in NEEDS"
      :key="label"
      :label="label"
      :model-value="needsCounterpose(entry).includes(bend)"
      @update:model-value="(is) => setNeeds(bend, is)"
    />
    <CheckField
      v-for="{ bend, label } in FOR"
      :key="label"
      :label="label"
      :model-value="counterposeFor(entry).includes(bend)"
      @update:model-value="(is) => setFor(bend, is)"
    />
    <SelectField
      label="It rouses or quiets"
      :options="EFFECT_OPTIONS"
      :model-value="entry.effect ?? NEITHER"
      @update:model-value="setEffect"
    />
  </div>
</template>

<style scoped>
.counterposes {
  display: flex;
  flex-direction: column;
  gap: 4px;
  padding-top: 4px;
}
</style>
