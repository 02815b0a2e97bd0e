<script setup lang="ts">
import { useRouter } from 'vue-router';
import type { JournalEntry } from '#core/journal';
import { newJournalEntry, readJournalEntry } from '#core/journal';
import { toMs } from '#core/numbers';
import { clockOfMs } from '#core/time';
import { journalClient } from '../../../client/documents';
import { restore } from '../../../client/bin';
import { localMoment } from '../../../state/days';
import ChoiceField from '../../../ui/fields/ChoiceField.vue';
import TextField from '../../../ui/fields/TextField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import DocumentPage from '../../../widgets/documents/DocumentPage.vue';
import PresentFields from '../../../widgets/session/PresentFields.vue';
import { sourceOf, useSyncedDocument } from '../../../sync/source';
import JournalBreaths from './JournalBreaths.vue';
import JournalHolds from './JournalHolds.vue';
import DayField from '../../../ui/fields/DayField.vue';
import { useDeletedToast } from '../../../widgets/documents/use-deleted-toast';

/** What was practised without a run: alone, or taught elsewhere, or here without the clock. */
const { id } = defineProps<{ id: string }>();

const router = useRouter();
const deleted = useDeletedToast();
const synced = useSyncedDocument<JournalEntry, JournalEntry>({
  ...sourceOf(`journal.${id}`, readJournalEntry, journalClient.at(id)),
  initial: newJournalEntry(localMoment(new Date())),
});
const { document, trouble, load, change } = synced;
void synced.ready();

const accept = (name: string, patch: Partial<JournalEntry>): string | undefined =>
  change(name, { ...document.value, ...patch });
const WHERE = [
  { value: 'alone', label: 'alone' },
  { value: 'elsewhere', label: 'taught elsewhere' },
  { value: 'here', label: 'taught here' },
] as const;
const secondsOfLines = (): number =>
  document.value.holds.reduce((sum, { left, right, both }) => sum + left + right + both, 0) +
  document.value.breaths.reduce((sum, { seconds }) => sum + seconds, 0);

async function remove(): Promise<void> {
  try {
    await journalClient.remove(id);
    deleted('The journal entry', { kind: 'journal', id }, () => router.push(`/history/journal/${id}`));
    await router.push('/history');
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
async function bringBack(): Promise<void> {
  await restore({ kind: 'journal', id }).then(load, (error: Error) => (trouble.value = error.message));
}
</script>

<template>
  <DocumentPage
    :synced="synced"
    :name="document.title"
    :rename="(title) => accept('rename', { title: title.trim() })"
    back-to="/history"
    back-label="History"
    noun="entry"
    @remove="remove"
    @bring-back="bringBack"
  >
    <div class="fields">
      <ChoiceField
        label="Where"
        :options="WHERE"
        :model-value="document.where"
        @update:model-value="(where) => accept('change where', { where })"
      />
      <DayField
        time
        label="Date and time"
        :model-value="document.beganAt"
        :accept="(beganAt) => accept('change when', { beganAt })"
      />
      <TimeField
        label="Total length"
        :model-value="document.seconds"
        :accept="(seconds) => accept('change length', { seconds: seconds ?? 0 })"
      />
      <span v-if="toMs(secondsOfLines()) > 0" class="small quiet"
        >total of the lines below: {{ clockOfMs(toMs(secondsOfLines())) }}</span
      >
      <TextField
        v-if="document.where !== 'alone'"
        label="Group"
        :model-value="document.group"
        :accept="(group) => accept('change group', { group: group.trim() })"
      />
    </div>
    <JournalHolds :holds="document.holds" :accept="(name, holds) => accept(name, { holds })" />
    <JournalBreaths :breaths="document.breaths" :accept="(name, breaths) => accept(name, { breaths })" />
    <div class="words">
      <div v-if="document.where !== 'alone'">
        <h2>Who was there</h2>
        <PresentFields :people="document.people" @change="(people) => accept('change attendance', { people })" />
      </div>
      <TextField
        label="Notes"
        :rows="4"
        :model-value="document.note"
        :accept="(note) => accept('change notes', { note })"
      />
    </div>
  </DocumentPage>
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: end;
  padding-bottom: 12px;
}
.words {
  display: grid;
  gap: 14px;
  max-width: 760px;
  padding-top: 16px;
}
h2 {
  margin-bottom: 6px;
  font-size: 19px;
  line-height: 22px;
}
</style>
