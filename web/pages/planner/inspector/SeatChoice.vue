<script setup lang="ts">
import { computed } from 'vue';
import { breathSeats } from '#core/catalogue';
import { setBreath, type BreathStep } from '#core/plan';
import { setUpInWords } from '#core/props';
import SelectField from '../../../ui/fields/SelectField.vue';
import { useLibrary } from '../../../state/library';
import { useEdit } from '../use-edit';

/** In which position a breath is practised; until somebody says, whatever fits its props is screened. */
const { step } = defineProps<{ step: BreathStep }>();

const edit = useEdit();
const library = useLibrary();
const NOT_SAID = '';
const seats = computed(() => {
  const all = breathSeats(library.positions);
  const own = step.seat === null ? undefined : library.all.position(step.seat);
  return own && !all.includes(own) ? [own, ...all] : all;
});
const options = computed(() => [
  { value: NOT_SAID, label: 'Not chosen yet' },
  ...seats.value.map(({ id, names }) => ({ value: id, label: names.english })),
]);
const alike = (a: BreathStep['setUp'], b: BreathStep['setUp']): boolean => setUpInWords(a) === setUpInWords(b);
/** The usual props of a seat come with it, unless the breath has a set-up of its own. */
function choose(id: string): void {
  const seat = seats.value.find((one) => one.id === id);
  const isUsual =
    step.setUp.length === 0 || seats.value.some(({ setUps }) => setUps.some(({ items }) => alike(items, step.setUp)));
  const [usual] = seat?.setUps ?? [];
  const fits = seat?.setUps.some(({ items }) => alike(items, step.setUp)) ?? true;
  edit(
    setBreath(step.id, {
      seat: id === NOT_SAID ? null : id,
      ...(usual && isUsual && !fits ? { setUp: usual.items.map((row) => ({ ...row })) } : {}),
    }),
  );
}
</script>

<template>
  <div class="seat-choice small">
    <SelectField
      label="Sitting or lying"
      :options="options"
      :model-value="step.seat ?? NOT_SAID"
      @update:model-value="choose"
    />
    <span v-if="step.seat === null && !step.moves" class="quiet">
      Cautions are shown for every seat that fits the props.
    </span>
  </div>
</template>

<style scoped>
.seat-choice {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  padding-top: 6px;
}
</style>
