<script setup lang="ts" generic="L extends { id: string; name: string }">
import { useId } from 'vue';
import IconButton from '../../../ui/IconButton.vue';
import AddLine from './AddLine.vue';

/** Lines of an entry, each a name with its fields, that can be added by name and taken out. */
const { title, lines, label, button, entries, add, takeOut } = defineProps<{
  title: string;
  lines: readonly L[];
  label: string;
  button: string;
  entries: readonly { id: string; name: string }[];
  add: (entry: { id: string | null; name: string }) => string | undefined;
  takeOut: (lines: L[]) => string | undefined;
}>();
defineSlots<{ default: (props: { line: L }) => unknown }>();
const id = useId();
</script>

<template>
  <section :aria-labelledby="id">
    <h2 :id="id">{{ title }}</h2>
    <ul>
      <li v-for="line in lines" :key="line.id">
        <strong>{{ line.name }}</strong>
        <slot :line="line" />
        <IconButton
          icon="remove"
          :label="`Remove ${line.name}`"
          @click="takeOut(lines.filter((other) => other.id !== line.id))"
        />
      </li>
    </ul>
    <AddLine :label="label" :button="button" :entries="entries" :add="add" />
  </section>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: end;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
li strong {
  flex: 1 1 180px;
  align-self: center;
  font-weight: 600;
  overflow-wrap: anywhere;
}
li :deep(.field) {
  width: 116px;
}
h2 {
  margin: 12px 0 4px;
  font-size: 19px;
  line-height: 24px;
}
</style>
