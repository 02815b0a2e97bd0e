<script setup lang="ts" generic="R extends { id: string }">
import { useLocalStorage } from '@vueuse/core';
import Column from 'primevue/column';
import DataTable, { type DataTableSortEvent } from 'primevue/datatable';
import InputText from 'primevue/inputtext';
import { computed, ref } from 'vue';
import { sortedBy, type SortValue } from './sorting';

interface TableColumn {
  key: string;
  label: string;
  number?: boolean;
  /** The head says what the column is for only to those who hear it. */
  hideLabel?: boolean;
  /** What it is sorted and searched by, and shown where no slot shows it. Without it the column is not sorted. */
  of?: (row: R) => SortValue;
}
/**
 * Records as a table: sorted by pressing the head of a column, which this browser remembers, and searched where there
 * are many. The first column says what a row is. A slot with a column’s key shows its cells; `empty` stands in place of
 * no records at all.
 */
const {
  name,
  label,
  columns,
  rows,
  loading = false,
  unsearched = false,
  isQuiet = () => false,
} = defineProps<{
  /** Under which its order is remembered. */
  name: string;
  label: string;
  columns: readonly TableColumn[];
  rows: readonly R[];
  loading?: boolean;
  /** A list that is never searched, however long. */
  unsearched?: boolean;
  /** Records that stand back behind the others. */
  isQuiet?: (row: R) => boolean;
}>();
defineSlots<Record<string, (props: { row: R }) => unknown>>();

/** By which column, and 1 from the first or −1 from the last; 0 as the rows come. */
const sorting = useLocalStorage<{ field: string; order: number }>(`zovrin.table.${name}`, { field: '', order: 0 });
const order = computed(() =>
  sorting.value.order === 0 ? {} : { sortField: sorting.value.field, sortOrder: sorting.value.order },
);
function sort({ sortField, sortOrder }: DataTableSortEvent): void {
  sorting.value = { field: typeof sortField === 'string' ? sortField : '', order: sortOrder ?? 0 };
}
const query = ref('');
const MANY = 8;

const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase();
const found = computed(() => {
  const wanted = plain(query.value.trim());
  if (wanted === '') return rows;
  return rows.filter((row) => columns.some(({ of }) => plain(String(of?.(row) ?? '')).includes(wanted)));
});
const shown = computed(() => {
  const by = columns.find(({ key }) => key === sorting.value.field)?.of;
  return by && sorting.value.order !== 0 ? sortedBy(found.value, by, sorting.value.order < 0) : [...found.value];
});
</script>

<template>
  <div class="records">
    <InputText
      v-if="!unsearched && (rows.length > MANY || query !== '')"
      v-model="query"
      type="search"
      size="small"
      class="search screen-only"
      :placeholder="`Search ${label.toLowerCase()}`"
      :aria-label="`Search ${label.toLowerCase()}`"
    />
    <slot v-if="rows.length === 0 && !loading" name="empty" :row="undefined as never" />
    <DataTable
      v-else
      v-bind="order"
      :value="shown"
      data-key="id"
      lazy
      removable-sort
      size="small"
      :row-class="(row: R) => ({ 'quiet-row': isQuiet(row) })"
      :pt="{ table: { 'aria-label': label, 'aria-busy': loading } }"
      @sort="sort"
    >
      <template #empty>{{ loading ? 'Loading…' : 'No matches.' }}</template>
      <Column
        v-for="(column, i) in columns"
        :key="column.key"
        :field="column.key"
        :header="column.hideLabel ? undefined : column.label"
        :sortable="column.of !== undefined"
        :class="{ number: column.number }"
        :pt="i === 0 ? { bodyCell: { role: 'rowheader' } } : undefined"
      >
        <template v-if="column.hideLabel" #header
          ><span class="sr-only">{{ column.label }}</span></template
        >
        <template #body="{ data }: { data: R }"
          ><slot :name="column.key" :row="data">{{ column.of?.(data) || '' }}</slot></template
        >
      </Column>
    </DataTable>
  </div>
</template>

<style scoped>
.records {
  position: relative;
  display: grid;
  gap: 8px;
  overflow-x: auto;
  padding-top: 8px;
}
.search {
  justify-self: end;
  width: 220px;
}
.records :deep(td[role='rowheader']) {
  font-weight: 600;
}
/* What a row is stays readable where there is little room: the other columns scroll. */
@media (width < 640px) {
  .records :deep(td[role='rowheader']) {
    min-width: min(160px, 40vw);
  }
}
.records :deep(.quiet-row td) {
  color: var(--ink-2);
  font-weight: 400;
}
.records :deep(.number) {
  text-align: right;
}
.records :deep(.number .p-datatable-column-header-content) {
  justify-content: flex-end;
}
.records :deep(th) {
  font-size: 12.5px;
}
.records :deep(th[aria-sort='none'] .p-datatable-sort-icon) {
  opacity: 0.4;
}
.records :deep(.p-datatable-sort-icon) {
  width: 12px;
  height: 12px;
}
</style>
