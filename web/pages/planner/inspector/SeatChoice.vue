<script setup lang="ts">
import { computed } from 'vue';
import { breathSeats, setUpFor } from '#core/catalogue';
import { seatBefore, setBreath, whereOf, type BreathStep } from '#core/plan';
import { haveSameRows } from '#core/props';
import SelectField from '../../../ui/fields/SelectField.vue';
import { useEditor } from '../../../state/editor';
import { useLibrary } from '../../../state/library';
import { useEdit } from '../use-edit';

/**
 * In which position a breath is practised, with its usual set-up; until somebody says, whatever fits its props is
 * screened.
 */
const { step } = defineProps<{ step: BreathStep }>();

const edit = useEdit();
const editor = useEditor();
const library = useLibrary();
/** Choices beside the seats, whose ids are words. */
const [NOT_SAID, BEFORE] = ['', '.before'];
const seats = computed(() => {
  const all = breathSeats(library.positions);
  const own = step.seat === null ? undefined : library.all.position(step.seat);
  return own && !all.includes(own) ? [own, ...all] : all;
});
const before = computed(() => {
  const steps = editor.plan?.steps ?? [];
  return seatBefore(
    steps,
    steps.findIndex(({ id }) => id === step.id),
  );
});
const options = computed(() => [
  { value: NOT_SAID, label: 'Not chosen yet' },
  ...(before.value ? [{ value: BEFORE, label: 'As in the breath before' }] : []),
  ...seats.value.map(({ id, names }) => ({ value: id, label: names.english })),
]);
const copyOf = (setUp: BreathStep['setUp']): BreathStep['setUp'] => setUp.map((row) => ({ ...row }));
/** The props of a seat come with it, unless the breath has a set-up of the teacher's own. */
function choose(id: string): void {
  if (id === BEFORE && before.value) {
    edit(setBreath(step.id, { seat: before.value.seat, setUp: copyOf(before.value.setUp) }));
    return;
  }
  const seat = seats.value.find((one) => one.id === id);
  const isOwn = (of: BreathStep['setUp']): boolean =>
    of.length > 0 && !seats.value.some(({ setUps }) => setUps.some(({ items }) => haveSameRows(items, of)));
  const usual = seat && editor.plan && setUpFor(seat, whereOf(editor.plan, step));
  edit(
    setBreath(step.id, {
      seat: id === NOT_SAID ? null : id,
      ...(usual && !isOwn(step.setUp) ? { setUp: copyOf(usual.items) } : {}),
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
/* Its fields stand in the row of what is around them. */
.seat-choice {
  display: contents;
}
</style>
