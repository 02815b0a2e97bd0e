<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref, shallowRef } from 'vue';
import type { Letter, OutboxResponse } from '#api';
import { deleteLetter, emailFileAt, readOutbox, sendLetter } from '../../client/outbox';
import { latestOnly } from '../../sync/latest';
import { momentInWords } from '../../ui/dates';
import FoldedPart from '../../ui/FoldedPart.vue';
import RecordTable from '../../ui/RecordTable.vue';
import { sizeInWords } from '../../ui/sizes';

/** Letters that were written: what each is, whether it was sent, and the file itself. */
const outbox = shallowRef<OutboxResponse>();
const trouble = ref('');
const busy = ref('');

const asks = latestOnly();
async function load(): Promise<void> {
  const isLatest = asks();
  try {
    const found = await readOutbox();
    if (isLatest()) [outbox.value, trouble.value] = [found, ''];
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
async function act(letter: Letter, what: (id: string) => Promise<unknown>): Promise<void> {
  if (busy.value !== '') return;
  busy.value = letter.id;
  try {
    await what(letter.id);
    await load();
  } catch (error) {
    trouble.value = (error as Error).message;
  } finally {
    busy.value = '';
  }
}
void load();

function stateOf({ state, sentMs, reason }: Letter): string {
  if (state === 'sent') return `sent ${momentInWords(sentMs ?? 0)}`;
  if (state === 'sending') return 'being sent';
  return state === 'failed' ? `not sent: ${reason ?? ''}` : 'kept, not sent';
}
const mayBeSent = ({ state }: Letter): boolean =>
  outbox.value?.server !== null && (state === 'kept' || state === 'failed');
const letters = computed(() => outbox.value?.letters ?? []);
const COLUMNS = [
  { key: 'subject', label: 'Letter', of: ({ subject, to }: Letter) => `${subject} ${to.join(' ')}` },
  { key: 'written', label: 'Written', of: ({ writtenMs }: Letter) => writtenMs },
  { key: 'state', label: 'State', of: (letter: Letter) => stateOf(letter) },
  { key: 'actions', label: 'Actions', hideLabel: true },
] as const;
</script>

<template>
  <main class="page">
    <h1>Outbox</h1>
    <p v-if="outbox?.server" class="quiet">Letters are sent by {{ outbox.server }}, from {{ outbox.from }}.</p>
    <p v-else-if="outbox" class="quiet">
      No mail server is set up, so nothing is sent. Letters lie here as files (<code>.eml</code>) that a mail program
      opens; the README says how to set one up.
    </p>
    <p v-if="trouble" class="caution" role="alert">
      {{ trouble }} <button type="button" class="link-button" @click="load">Try again</button>
    </p>
    <p v-if="(outbox?.unreadable ?? 0) > 0" class="caution" role="status">
      {{ outbox?.unreadable === 1 ? '1 letter' : `${outbox?.unreadable} letters` }} in the folder cannot be read.
    </p>
    <RecordTable name="letters" label="Letters" :columns="COLUMNS" :rows="letters" :loading="!outbox && trouble === ''">
      <template #empty>
        <p class="empty">No letters yet. Write one with Share on a plan.</p>
      </template>
      <template #subject="{ row }">
        <span class="subject">
          {{ row.subject || 'no subject' }}
          <span class="small quiet to">to {{ row.to.join(', ') }}</span>
        </span>
        <FoldedPart title="What is in it">
          <p class="words">{{ row.text }}</p>
          <ul class="small">
            <li v-for="file in row.attachments" :key="file.name">{{ file.name }}, {{ sizeInWords(file.bytes) }}</li>
          </ul>
        </FoldedPart>
      </template>
      <template #written="{ row }">{{ momentInWords(row.writtenMs) }}</template>
      <template #state="{ row }"
        ><span :class="{ caution: row.state === 'failed' }">{{ stateOf(row) }}</span></template
      >
      <template #actions="{ row }">
        <span class="actions">
          <Button
            v-if="mayBeSent(row)"
            size="small"
            outlined
            label="Send"
            :loading="busy === row.id"
            :aria-label="`Send “${row.subject}”`"
            @click="act(row, sendLetter)"
          />
          <a :href="emailFileAt(row.id)" download class="link-button" :aria-label="`Download “${row.subject}”`"
            >Download</a
          >
          <Button
            size="small"
            text
            label="Delete"
            :disabled="busy !== ''"
            :aria-label="`Delete “${row.subject}”`"
            @click="act(row, deleteLetter)"
          />
        </span>
      </template>
    </RecordTable>
    <p v-if="outbox && letters.length > 0" class="small quiet">
      They lie in <code>{{ outbox.folder }}</code> until you delete them, with the addresses they go to. They are in no
      backup.
    </p>
  </main>
</template>

<style scoped>
.page {
  padding: 18px 32px 40px;
}
h1 {
  font-size: 27px;
  line-height: 34px;
}
.subject {
  display: grid;
  min-width: 150px;
  overflow-wrap: anywhere;
}
.to {
  font-weight: 400;
}
.words {
  max-width: 60ch;
  font-weight: 400;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
}
ul {
  font-weight: 400;
}
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
  justify-content: flex-end;
}
code {
  overflow-wrap: anywhere;
}
@media (width < 700px) {
  .page {
    padding: 12px 16px 32px;
  }
}
</style>
