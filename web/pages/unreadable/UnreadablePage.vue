<script setup lang="ts">
import Button from 'primevue/button';
import Column from 'primevue/column';
import DataTable from 'primevue/datatable';
import { useToast } from 'primevue/usetoast';
import { ref } from 'vue';
import { initials } from '#core/people';
import type { UnreadableRow } from '#api';
import { deleteUnreadable, storedTextAt } from '../../client/unreadable';
import { usePeople } from '../../state/people';
import { useUnreadable } from '../../state/unreadable';
import { KINDS } from '../../widgets/documents/words';

/** What is stored and cannot be opened: why, the stored text as a file, and the bin. */
const unreadable = useUnreadable();
const people = usePeople();
const toast = useToast();
const wrong = ref('');
void unreadable.load();

/** People by initials here too, unless names are wanted. */
const titleOf = ({ kind, title }: UnreadableRow): string =>
  kind === 'person' && !people.showNames ? initials(title) : title;

async function remove(row: UnreadableRow): Promise<void> {
  try {
    await deleteUnreadable(row);
    wrong.value = '';
    toast.add({ severity: 'secondary', summary: `The ${KINDS[row.kind]} is in the bin for 30 days`, life: 8000 });
    await unreadable.load();
  } catch (error) {
    wrong.value = (error as Error).message;
  }
}
</script>

<template>
  <main class="page">
    <h1>Items that cannot be opened</h1>
    <p class="quiet">
      They are stored unchanged. Some may come from a newer Zovrin and will open once you update. Others may be damaged;
      an earlier copy may be in a backup (<code>bin/restore</code>). Download the stored text before you delete
      anything.
    </p>
    <p v-if="wrong || unreadable.trouble" class="caution" role="alert">
      {{ wrong || unreadable.trouble }}
      <button type="button" class="link-button" @click="unreadable.load()">Try again</button>
    </p>
    <p v-if="unreadable.loaded && unreadable.rows.length === 0" class="empty">
      Everything that is stored can be opened.
    </p>
    <DataTable
      v-else-if="unreadable.loaded"
      :value="[...unreadable.rows]"
      :data-key="({ kind, id }: UnreadableRow) => `${kind} ${id}`"
      sort-field="kind"
      :sort-order="1"
      aria-label="Items that cannot be opened"
    >
      <Column field="title" header="Title" sortable>
        <template #body="{ data }: { data: UnreadableRow }"
          ><strong>{{ titleOf(data) || 'no title' }}</strong></template
        >
      </Column>
      <Column field="kind" header="Kind" sortable>
        <template #body="{ data }: { data: UnreadableRow }">{{ KINDS[data.kind] }}</template>
      </Column>
      <Column field="reason" header="Why" />
      <Column header="What you can do">
        <template #body="{ data }: { data: UnreadableRow }">
          <span class="actions">
            <a
              :href="storedTextAt(data)"
              download
              class="link-button"
              :aria-label="`Download the text of ${titleOf(data)}`"
              >Download text</a
            >
            <Button
              v-if="data.deletable"
              label="Delete"
              size="small"
              outlined
              :aria-label="`Delete ${titleOf(data)}`"
              @click="remove(data)"
            />
            <span v-else class="small quiet">goes with what it belongs to</span>
          </span>
        </template>
      </Column>
    </DataTable>
    <p><RouterLink to="/bin" class="link-button">Bin</RouterLink></p>
  </main>
</template>

<style scoped>
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 14px;
  max-width: 1080px;
  padding: 18px 32px;
}
h1 {
  font-size: 27px;
  line-height: 34px;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
}
.empty {
  padding: 24px 0;
}
@media (max-width: 700px) {
  .page {
    padding: 18px 16px;
  }
}
</style>
