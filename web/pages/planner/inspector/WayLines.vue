<script setup lang="ts">
import { computed, ref } from 'vue';
import { wordsOnSide } from '#core/catalogue';
import type { Side } from '#core/plan';
import SelectField from '../../../ui/fields/SelectField.vue';
import TextField from '../../../ui/fields/TextField.vue';

/**
 * How to get into a position or out of it, line by line, for the side that is held first: as the library has it, a usual
 * way, or in the teacher's own words.
 */
const {
  title,
  lines,
  own,
  usual = [],
  side,
  accept,
} = defineProps<{
  title: string;
  /** As the library has it. */
  lines: readonly string[];
  own: readonly string[] | null;
  /** Other usual ways that can be chosen. */
  usual?: readonly { id: string; name: string; lines: readonly string[] }[];
  side: Side | 'both';
  accept: (lines: string[] | null) => string | undefined;
}>();

const LIBRARY = 'library';
const OWN = 'own';
const isSame = (a: readonly string[], b: readonly string[]): boolean => a.join('\n') === b.join('\n');
/** Whether the words are being written, though they are still those of a way that can be chosen. */
const writes = ref(false);
const options = computed(() => [
  { value: LIBRARY, label: lines.length > 0 ? 'as in the library' : 'nothing said' },
  ...usual.map(({ id, name }) => ({ value: id, label: name })),
  { value: OWN, label: 'in my own words' },
]);
const chosen = computed(() => {
  if (own === null) return LIBRARY;
  return writes.value ? OWN : (usual.find((way) => isSame(way.lines, own))?.id ?? OWN);
});
const shown = computed(() => own ?? lines);
function choose(id: string): void {
  writes.value = id === OWN;
  const way = usual.find((one) => one.id === id);
  accept(id === LIBRARY ? null : [...(way?.lines ?? shown.value)]);
}
const setWords = (text: string): string | undefined =>
  accept(
    text
      .split('\n')
      .map((line) => line.trim())
      .filter((line) => line !== ''),
  );
</script>

<template>
  <section>
    <SelectField class="small" :label="title" :options="options" :model-value="chosen" @update:model-value="choose" />
    <TextField
      v-if="chosen === OWN"
      hide-label
      :label="`${title}, in my own words`"
      placeholder="One line for each thing to say"
      :rows="Math.max(2, shown.length)"
      :model-value="shown.join('\n')"
      :accept="setWords"
    />
    <ol v-else-if="shown.length > 0">
      <li v-for="line in shown" :key="line">{{ wordsOnSide(line, side) }}</li>
    </ol>
  </section>
</template>

<style scoped>
section {
  padding: 6px 0 8px;
  border-top: 1px solid var(--line);
}
ol {
  padding-left: 18px;
  list-style: decimal;
  font-size: 14px;
  line-height: 19px;
}
</style>
