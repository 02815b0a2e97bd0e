<script setup lang="ts">
import Button from 'primevue/button';
import Column from 'primevue/column';
import DataTable from 'primevue/datatable';
import { computed, ref } from 'vue';
import { initials } from '#core/people';
import { isChosenAtFirst, type BackupRow, type OpenedBackup } from '#api';
import { restoreFromBackup } from '../../../client/backups';
import { usePeople } from '../../../state/people';
import { momentInWords } from '../../../ui/dates';
import IconButton from '../../../ui/IconButton.vue';
import { KINDS } from '../../../widgets/documents/words';
import { documents, stateInWords } from './words';

/** What a backup would change: nothing is restored before it has been seen and chosen. */
const { backup } = defineProps<{ backup: Extract<OpenedBackup, { state: 'open' }> }>();
const emit = defineEmits<{ close: []; restored: [count: number] }>();
const people = usePeople();

type Row = BackupRow & { key: string; label: string };
const plans = computed(
  () => new Map(backup.rows.flatMap(({ kind, id, title }) => (kind === 'plan' ? [[id, title]] : []))),
);
/** People by initials here too, unless names are wanted; what stands beside a plan by the plan. */
function labelOf({ kind, id, title }: BackupRow): string {
  if (kind === 'person' && !people.showNames) return initials(title);
  return (kind === 'class' || kind === 'variants' ? plans.value.get(id) : undefined) ?? title;
}
const rows = computed((): Row[] =>
  backup.rows.map((row) => ({ ...row, key: `${row.kind} ${row.id}`, label: labelOf(row) || 'no title' })),
);
const changes = computed(() => rows.value.filter(({ state }) => state === 'new' || state === 'different'));
const unreadable = computed(() => rows.value.filter(({ state }) => state === 'unreadable'));
const same = computed(() => rows.value.length - changes.value.length - unreadable.value.length);
const chosen = ref<Row[]>(changes.value.filter(isChosenAtFirst));

const busy = ref(false);
const trouble = ref('');
async function restore(): Promise<void> {
  if (busy.value) return;
  busy.value = true;
  trouble.value = '';
  try {
    const { restored } = await restoreFromBackup(backup.id, {
      chosen: chosen.value.map(({ kind, id }) => ({ kind, id })),
    });
    emit('restored', restored);
  } catch (error) {
    trouble.value = (error as Error).message;
  } finally {
    busy.value = false;
  }
}
const PAGE = 50;
</script>

<template>
  <section aria-label="Comparison with the backup" class="comparison">
    <header>
      <IconButton icon="back" label="Back to all backups" @click="emit('close')" />
      <h3>Backup of {{ momentInWords(backup.madeAtMs) }}</h3>
    </header>
    <p>
      {{ documents(same) }} {{ same === 1 ? 'is' : 'are' }} the same.
      <template v-if="changes.length > 0">
        Choose what to restore of the {{ changes.length }} that {{ changes.length === 1 ? 'is' : 'are' }} different or
        not here. What is here and not in the backup stays.
      </template>
      <template v-else>There is nothing to restore.</template>
      <template v-if="!backup.withPeople"> People, sessions and the journal are not in this backup.</template>
    </p>
    <div v-if="backup.faults.length > 0 || unreadable.length > 0" class="caution" role="alert">
      <p>Parts of this backup cannot be restored:</p>
      <ul>
        <li v-for="fault in backup.faults" :key="fault">{{ fault }}</li>
        <li v-for="row in unreadable" :key="row.key">
          {{ row.label }} ({{ KINDS[row.kind] }}) {{ stateInWords(row) }}
        </li>
      </ul>
    </div>
    <DataTable
      v-if="changes.length > 0"
      v-model:selection="chosen"
      :value="changes"
      data-key="key"
      size="small"
      :paginator="changes.length > PAGE"
      :rows="PAGE"
      :pt="{ table: { 'aria-label': 'What the backup would change' } }"
    >
      <Column selection-mode="multiple" />
      <Column field="label" header="Title" sortable :pt="{ bodyCell: { role: 'rowheader' } }" />
      <Column field="kind" header="Kind" sortable>
        <template #body="{ data }: { data: Row }">{{ KINDS[data.kind] }}</template>
      </Column>
      <Column field="state" header="State" sortable>
        <template #body="{ data }: { data: Row }">{{ stateInWords(data) }}</template>
      </Column>
      <Column field="backupMs" header="In the backup" sortable>
        <template #body="{ data }: { data: Row }">{{ momentInWords(data.backupMs) }}</template>
      </Column>
      <Column field="hereMs" header="Here" sortable>
        <template #body="{ data }: { data: Row }">{{
          data.hereMs === null ? '–' : momentInWords(data.hereMs)
        }}</template>
      </Column>
    </DataTable>
    <p v-if="trouble" class="caution" role="alert">{{ trouble }}</p>
    <p class="actions">
      <Button
        v-if="changes.length > 0"
        size="small"
        :disabled="chosen.length === 0"
        :loading="busy"
        :label="chosen.length === 0 ? 'Restore' : `Restore ${documents(chosen.length)}`"
        @click="restore"
      />
      <Button size="small" text label="Cancel" @click="emit('close')" />
    </p>
    <p v-if="changes.length > 0" class="small quiet">
      All of it is restored, or nothing. Everything as it is now is copied first, and can be restored from the list of
      copies in the same way.
    </p>
  </section>
</template>

<style scoped>
.comparison {
  display: grid;
  gap: 8px;
  overflow-x: auto;
}
header,
.actions {
  display: flex;
  gap: 8px;
  align-items: center;
}
ul {
  margin: 4px 0 0;
  padding-left: 20px;
}
</style>
