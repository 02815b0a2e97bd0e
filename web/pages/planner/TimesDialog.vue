<script setup lang="ts">
import Dialog from 'primevue/dialog';
import { computed } from 'vue';
import type { Plan } from '#core/plan';
import { clockOfMs } from '#core/time';
import type { Timeline } from '#core/timeline';
import { useLibrary } from '../../state/library';
import RecordTable from '../../ui/RecordTable.vue';
import { timesTable, type TimesRow } from './times-table';

/** The ribbon as a table, for everyone who reads better than they see. */
const { plan, timeline } = defineProps<{ plan: Plan; timeline: Timeline }>();
const visible = defineModel<boolean>('visible', { required: true });

const library = useLibrary();
const rows = computed(() => timesTable(plan, timeline, library.all));
const COLUMNS = [
  { key: 'name', label: 'Step', of: ({ name }: TimesRow) => name },
  { key: 'start', label: 'Start', number: true, of: ({ startMs }: TimesRow) => startMs },
  { key: 'side', label: 'Side', of: ({ side }: TimesRow) => side },
  { key: 'length', label: 'Length', number: true, of: ({ ms }: TimesRow) => ms },
  { key: 'props', label: 'Props', of: ({ props }: TimesRow) => props },
];
</script>

<template>
  <Dialog v-model:visible="visible" modal header="The ribbon as a table" dismissable-mask :style="{ width: '860px' }">
    <RecordTable name="times" label="Times of the plan" :columns="COLUMNS" :rows="rows" unsearched>
      <template #empty><p>This plan has no steps yet.</p></template>
      <template #name="{ row }">{{ row.number }} {{ row.name }}</template>
      <template #start="{ row }">{{ clockOfMs(row.startMs) }}</template>
      <template #length="{ row }">{{ clockOfMs(row.ms) }}</template>
    </RecordTable>
  </Dialog>
</template>
