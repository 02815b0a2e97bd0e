<script setup lang="ts">
import { computed } from 'vue';
import { breathMovesOf, setBreath, type BreathMoves, type BreathStep } from '#core/plan';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import SelectField from '../../../ui/fields/SelectField.vue';
import { useLibrary } from '../../../state/library';
import { useEdit } from '../use-edit';

/** The position a breath moves: in on one phase, held, and out on another, on both sides: a slow counted series. */
const { step } = defineProps<{ step: BreathStep }>();

const edit = useEdit();
const library = useLibrary();
const put = (moves: BreathMoves | null): string | undefined => edit(setBreath(step.id, { moves }));
const options = computed(() => [
  { value: 'none', label: 'none, in stillness' },
  ...library.positions
    .map(({ id, names }) => ({ value: id, label: names.english }))
    .sort((a, b) => a.label.localeCompare(b.label)),
]);
const position = computed({
  get: () => step.moves?.position ?? 'none',
  set: (id) => {
    const found = library.all.position(id);
    put(
      found ? { ...breathMovesOf(found), ...(step.moves && { into: step.moves.into, outOf: step.moves.outOf }) } : null,
    );
  },
});
const PHASES = [
  { value: 'in', label: 'the in-breath' },
  { value: 'out', label: 'the out-breath' },
] as const;
const SIDES = [
  { value: 'together', label: 'both sides together' },
  { value: 'each', label: 'all on one side, then the other' },
  { value: 'inTurn', label: 'sides in turn, every round' },
] as const;
const FIRST = [
  { value: 'house', label: 'first side as usual' },
  { value: 'left', label: 'left first' },
  { value: 'right', label: 'right first' },
] as const;
</script>

<template>
  <FieldGroup title="Movement with the breath" :says="step.moves ? 'as long as its breath' : ''">
    <div class="moves">
      <SelectField v-model="position" hide-label label="Position" :options="options" />
      <template v-if="step.moves">
        <SelectField
          :model-value="step.moves.into"
          label="into it on"
          :options="PHASES"
          @update:model-value="put({ ...step.moves, into: $event })"
        />
        <SelectField
          :model-value="step.moves.outOf"
          label="out of it on"
          :options="PHASES"
          @update:model-value="put({ ...step.moves, outOf: $event })"
        />
        <SelectField
          :model-value="step.moves.sides"
          hide-label
          label="Sides"
          :options="SIDES"
          @update:model-value="put({ ...step.moves, sides: $event })"
        />
        <SelectField
          v-if="step.moves.sides !== 'together'"
          :model-value="step.moves.first"
          hide-label
          label="First side"
          :options="FIRST"
          @update:model-value="put({ ...step.moves, first: $event })"
        />
      </template>
    </div>
  </FieldGroup>
</template>

<style scoped>
.moves {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
}
</style>
