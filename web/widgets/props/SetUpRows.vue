<script setup lang="ts">
import { ref } from 'vue';
import { nextUsualRow, type NamedSetUp, type Position } from '#core/catalogue';
import {
  withStack,
  type Available,
  type MoveInWords,
  type MoveSort,
  type SetUp,
  type SetUpRow,
  type Stack,
} from '#core/props';
import { newId } from '../../client/new-id';
import SetUpRowFields from './SetUpRowFields.vue';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import SelectField from '../../ui/fields/SelectField.vue';

/** A set-up as rows: which prop, in which fold, how it lies, where, on which side, how many, how high. */
const {
  title,
  says = '',
  setUp,
  twoSided,
  ready = [],
  accept,
  withWhy = false,
  position = undefined,
  moves = [],
} = defineProps<{
  title: string;
  says?: string;
  setUp: SetUp;
  twoSided: boolean;
  /** The set-ups the library has for this position. */
  ready?: readonly NamedSetUp[];
  accept: (setUp: SetUp) => string | undefined;
  /** Its reason, and whether it can be left out, are asked for too. */
  withWhy?: boolean;
  /** The position whose figure gives heights; none if there is no figure. */
  position?: Position | undefined;
  /** What one person can have of each kind; undefined if no place is chosen. */
  atHand?: Available | undefined;
  /** What is done with the props on the way to this set-up. */
  moves?: readonly MoveInWords[];
}>();

const SORTS: Readonly<Record<MoveSort, string>> = {
  putDown: 'put down',
  takeAway: 'take away',
  turn: 'turn',
  move: 'move',
};
const trouble = ref('');
const put = (rows: SetUp): void => {
  trouble.value = accept(rows) ?? '';
};
const acceptRow =
  (row: SetUpRow) =>
  (next: SetUpRow): string | undefined =>
    accept(setUp.map((other) => (other === row ? next : other)));
const stack = (row: SetUpRow, chosen: Stack): void => put(withStack(setUp, row, chosen, newId));
/** In the editor of the position itself nothing is usual yet. */
const addRow = (): void => put([...setUp, nextUsualRow(withWhy ? undefined : position, setUp, newId())]);
function take(from: string): void {
  const chosen = ready.find(({ id }) => id === from);
  if (chosen) put(chosen.items.map((row) => ({ ...row })));
}
</script>

<template>
  <FieldGroup :title="title" :says="says" add="Add a prop" @add="addRow">
    <template #head>
      <SelectField
        v-if="ready.length > 0"
        class="ready small"
        hide-label
        label="Choose a library set-up"
        placeholder="choose a library set-up"
        :options="ready.map(({ id, name }) => ({ value: id, label: name }))"
        :model-value="null"
        @update:model-value="take"
      />
    </template>
    <slot />
    <ul v-if="moves.length > 0" class="moves small" aria-label="Prop changes before this">
      <li v-for="{ sort, says: what } in moves" :key="sort + what">
        <span class="quiet">{{ SORTS[sort] }}</span> {{ what }}
      </li>
    </ul>
    <p v-if="setUp.length === 0" class="small quiet">No props.</p>
    <ul>
      <SetUpRowFields
        v-for="row in setUp"
        :key="row.id"
        :row="row"
        :set-up="setUp"
        :two-sided="twoSided"
        :position="position"
        :at-hand="atHand"
        :with-why="withWhy"
        :accept="acceptRow(row)"
        @remove="put(setUp.filter((other) => other !== row))"
        @stack="stack(row, $event)"
      />
    </ul>
    <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
  </FieldGroup>
</template>

<style scoped>
.ready :deep(.p-select) {
  max-width: 210px;
}
.moves {
  padding: 0 0 4px;
}
.moves .quiet {
  display: inline-block;
  width: 62px;
}
</style>
