<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import type { BackupsResponse } from '#api';
import { backUpNow, readBackups } from '../../../client/backups';
import { momentInWords } from '../../../ui/dates';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import RecordTable from '../../../ui/RecordTable.vue';
import { sizeInWords } from '../../../ui/sizes';
import { countsInWords } from './words';

/** The copies that Zovrin makes by itself: when the last was made, whether it can be read back, and all of them. */
const { busy } = defineProps<{ busy: boolean }>();
const emit = defineEmits<{ compare: [name: string] }>();

const backups = ref<BackupsResponse>();
const trouble = ref('');
const working = ref(false);

async function look(): Promise<void> {
  try {
    backups.value = await readBackups();
    trouble.value = '';
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
async function copyNow(): Promise<void> {
  if (working.value) return;
  working.value = true;
  try {
    await backUpNow();
    await look();
  } catch (error) {
    trouble.value = (error as Error).message;
  } finally {
    working.value = false;
  }
}
void look();

const newest = computed(() => backups.value?.newest ?? null);
const fault = computed(() => (newest.value && !newest.value.ok ? newest.value.reason : ''));
const last = computed(() => backups.value?.copies.find(({ beforeRestore }) => !beforeRestore));
const rows = computed(() => (backups.value?.copies ?? []).map((copy) => ({ ...copy, id: copy.name })));
type Row = (typeof rows.value)[number];
const COLUMNS = [
  { key: 'made', label: 'Made', of: ({ madeAtMs }: Row) => madeAtMs },
  { key: 'why', label: 'Why', of: ({ beforeRestore }: Row) => (beforeRestore ? 'before a restore' : 'daily') },
  { key: 'size', label: 'Size', number: true, of: ({ bytes }: Row) => bytes },
  { key: 'compare', label: 'Compare', hideLabel: true },
] as const;
</script>

<template>
  <FieldGroup title="Daily copies" says="made when Zovrin starts, and every day while it runs">
    <p v-if="trouble" class="caution" role="alert">
      {{ trouble }} <button type="button" class="link-button" @click="look">Try again</button>
    </p>
    <div v-else-if="backups" class="stack">
      <p v-if="last && newest?.ok" role="status">
        The last copy was made on <strong>{{ momentInWords(last.madeAtMs) }}</strong> and can be read back:
        {{ countsInWords(newest.counts) }}.
      </p>
      <p v-else-if="last" class="caution" role="alert">
        The last copy, made on {{ momentInWords(last.madeAtMs) }}, cannot be read back. {{ fault }} Make another one
        now.
      </p>
      <p v-else class="caution" role="alert">There is no copy yet.</p>
      <RecordTable v-if="rows.length > 0" name="copies" label="Copies" :columns="COLUMNS" :rows="rows" unsearched>
        <template #made="{ row }">{{ momentInWords(row.madeAtMs) }}</template>
        <template #size="{ row }">{{ sizeInWords(row.bytes) }}</template>
        <template #compare="{ row }">
          <Button
            size="small"
            text
            label="Compare…"
            :aria-label="`Compare the copy of ${momentInWords(row.madeAtMs)}`"
            :disabled="busy || working"
            @click="emit('compare', row.name)"
          />
        </template>
      </RecordTable>
      <Button size="small" outlined label="Make a copy now" :loading="working" @click="copyNow" />
      <p class="small quiet">
        The last copy of each of 14 days is kept, and of each of the 12 months before. They are on this machine, in
        <code>{{ backups.folder }}</code>, and would be lost with it: keep a backup file elsewhere too.
      </p>
    </div>
    <p v-else class="quiet" role="status">Reading the last copy back…</p>
  </FieldGroup>
</template>

<style scoped>
.stack {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.stack > .records {
  width: 100%;
}
code {
  overflow-wrap: anywhere;
}
</style>
