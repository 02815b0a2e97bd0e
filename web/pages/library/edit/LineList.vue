<script setup lang="ts">
import IconButton from '../../../ui/IconButton.vue';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import TextField from '../../../ui/fields/TextField.vue';
import { useEntryField } from './use-entry';

/** Short sentences, one after the other. */
const { title, path, lines, most, one } = defineProps<{
  title: string;
  /** Where they stand in the entry. */
  path: string;
  lines: readonly string[];
  most: number;
  /** What one of them is called: `way in`. */
  one: string;
}>();

const { set, problem } = useEntryField();
const put = (next: string[]) => set(path)(next);
const setLine = (at: number) => (text: string) => put(lines.map((line, i) => (i === at ? text : line)));
function move(at: number, by: number): void {
  const next = [...lines];
  next.splice(at + by, 0, ...next.splice(at, 1));
  put(next);
}
</script>

<template>
  <FieldGroup
    :title="title"
    :says="lines.length === 0 ? 'none' : ''"
    :add="lines.length < most ? 'Add a sentence' : ''"
    @add="put([...lines, ''])"
  >
    <ol>
      <li v-for="(line, i) in lines" :key="i">
        <span class="quiet">{{ i + 1 }}</span>
        <TextField
          hide-label
          :label="`${one} ${i + 1}`"
          :model-value="line"
          :accept="setLine(i)"
          :problem="problem(`${path}.${i}`) || (line.trim() === '' ? problem(path, true) : '')"
        />
        <IconButton v-if="i > 0" icon="up" :label="`${one} ${i + 1} up`" :size="14" @click="move(i, -1)" />
        <span v-else />
        <IconButton
          icon="remove"
          :label="`Remove ${one} ${i + 1}`"
          :size="14"
          @click="put(lines.filter((_, other) => other !== i))"
        />
      </li>
    </ol>
  </FieldGroup>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 14px minmax(0, 1fr) 26px 26px;
  gap: 6px;
  align-items: center;
  padding: 2px 0;
}
.icon-button {
  width: 26px;
  height: 26px;
}
</style>
