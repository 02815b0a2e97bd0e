<script setup lang="ts" generic="R extends { id: string }">
import { computed, shallowRef } from 'vue';
import { sortedBy, sortingAfter, type Sorting, type SortValue } from './sorting';

/** A table that is sorted by pressing the head of a column; the first column says what a row is. */
const { columns, rows } = defineProps<{
  columns: readonly { key: string; label: string; number?: boolean; of: (row: R) => SortValue }[];
  rows: readonly R[];
}>();
defineSlots<Record<string, (props: { row: R }) => unknown>>();

const sorting = shallowRef<Sorting>();
const shown = computed(() => {
  const by = columns.find(({ key }) => key === sorting.value?.key);
  return by && sorting.value ? sortedBy(rows, by.of, sorting.value.down) : rows;
});
const wayOf = (key: string): 'ascending' | 'descending' | undefined =>
  sorting.value?.key === key ? (sorting.value.down ? 'descending' : 'ascending') : undefined;
</script>

<template>
  <table class="figures">
    <thead>
      <tr>
        <th
          v-for="{ key, label, number } in columns"
          :key="key"
          scope="col"
          :class="{ number }"
          :aria-sort="wayOf(key)"
        >
          <button type="button" class="plain-button" @click="sorting = sortingAfter(sorting, key, number ?? false)">
            {{ label }}<span v-if="wayOf(key)" aria-hidden="true">{{ wayOf(key) === 'descending' ? ' ↓' : ' ↑' }}</span>
          </button>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in shown" :key="row.id">
        <component
          :is="i === 0 ? 'th' : 'td'"
          v-for="(column, i) in columns"
          :key="column.key"
          :scope="i === 0 ? 'row' : undefined"
          :class="{ number: column.number }"
        >
          <slot :name="column.key" :row="row">{{ column.of(row) || '' }}</slot>
        </component>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
thead button {
  min-height: 24px;
}
thead button:hover {
  color: var(--ink);
}
@media (pointer: coarse) {
  thead button {
    min-height: 44px;
  }
}
</style>
