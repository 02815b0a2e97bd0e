<script setup lang="ts">
import { computed } from 'vue';
import { breathMovesOf, setBreath, type BreathMoves, type BreathStep } from '#core/plan';
import { changeSeconds } from '#core/timeline';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import TextField from '../../../ui/fields/TextField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import SelectField from '../../../ui/fields/SelectField.vue';
import { useLibrary } from '../../../state/library';
import { useEditor } from '../../../state/editor';
import { useEdit } from '../use-edit';

/** The position a breath moves: in on one phase, held, and out on another, on both sides: a slow counted series. */
const { step } = defineProps<{ step: BreathStep }>();

const edit = useEdit();
const editor = useEditor();
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
      found
        ? {
            ...breathMovesOf(found),
            ...(step.moves && {
              into: step.moves.into,
              outOf: step.moves.outOf,
              ...(step.moves.says && { says: step.moves.says }),
            }),
          }
        : null,
    );
  },
});
const SAYS = [
  { field: 'into', label: 'Words for moving in', usual: 'move in' },
  { field: 'stay', label: 'Words for staying', usual: 'stay' },
  { field: 'outOf', label: 'Words for moving out', usual: 'move out' },
] as const;
function setSays(field: (typeof SAYS)[number]['field'], words: string): string | undefined {
  const { moves } = step;
  if (!moves) return undefined;
  const says = { into: '', stay: '', outOf: '', ...moves.says, [field]: words.trim() };
  return put({ ...moves, says: Object.values(says).some(Boolean) ? says : undefined });
}
/** Without a time of its own it ends with the breath that moves out. */
function setExitSeconds(seconds: number | null): string | undefined {
  const { moves } = step;
  return moves
    ? put({ ...moves, exit: seconds === null ? undefined : { text: '', ...moves.exit, seconds } })
    : undefined;
}
function setSwitch(seconds: number | null): string | undefined {
  return step.moves ? put({ ...step.moves, switchSeconds: seconds ?? undefined }) : undefined;
}
function setExitText(words: string): string | undefined {
  const { moves } = step;
  return moves?.exit ? put({ ...moves, exit: { ...moves.exit, text: words } }) : undefined;
}
const usualSwitch = computed(() => {
  const position = step.moves ? library.all.position(step.moves.position) : undefined;
  return changeSeconds(position?.switchSeconds ?? editor.rules.switchSeconds, editor.rules);
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
        <TextField
          v-for="{ field, label, usual } in SAYS"
          :key="field"
          class="says"
          :label="label"
          :placeholder="usual"
          :model-value="step.moves.says?.[field] ?? ''"
          :accept="(words) => setSays(field, words)"
        />
        <TimeField
          v-if="step.moves.sides === 'each'"
          label="Changing sides"
          :model-value="step.moves.switchSeconds ?? null"
          :usual="usualSwitch"
          :accept="setSwitch"
        />
        <TimeField
          label="Coming out at the end"
          :model-value="step.moves.exit?.seconds ?? null"
          :accept="setExitSeconds"
        />
        <TextField
          v-if="step.moves.exit"
          class="exit"
          label="How to come out"
          placeholder="with the next breath, as it comes"
          :model-value="step.moves.exit.text"
          :accept="setExitText"
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
  align-items: flex-end;
}
.says {
  width: 130px;
}
.exit {
  flex: 1 1 200px;
}
</style>
