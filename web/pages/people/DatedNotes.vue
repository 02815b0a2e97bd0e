<script setup lang="ts">
import Button from 'primevue/button';
import Textarea from 'primevue/textarea';
import { computed, ref } from 'vue';
import type { DatedNote } from '#core/people';
import IconButton from '../../ui/IconButton.vue';
import TextField from '../../ui/fields/TextField.vue';
import { shortDayOf } from '../../ui/dates';
import { today } from '../../state/days';
import { newId } from '../../client/new-id';
import FieldReason from '../../ui/fields/FieldReason.vue';

/** Notes with their days, the newest first. */
const { notes } = defineProps<{ notes: readonly DatedNote[] }>();
const emit = defineEmits<{ change: [notes: DatedNote[]] }>();

const typed = ref('');
const refused = ref('');
const newestFirst = computed(() => [...notes].reverse());
function add(): void {
  const words = typed.value.trim();
  refused.value = words === '' ? 'Write something first.' : words.length > 2000 ? 'At most 2,000 characters.' : '';
  if (refused.value) return;
  emit('change', [...notes, { id: newId(), on: today(), words }]);
  typed.value = '';
}
function setWords(id: string, words: string): string | undefined {
  if (words.trim() === '') return 'A note cannot be empty. Remove it instead.';
  if (words.length > 2000) return 'At most 2,000 characters.';
  emit(
    'change',
    notes.map((one) => (one.id === id ? { ...one, words } : one)),
  );
  return undefined;
}
</script>

<template>
  <section aria-label="Notes">
    <h2>Notes</h2>
    <form @submit.prevent="add">
      <Textarea
        v-model="typed"
        size="small"
        rows="2"
        placeholder="What you noticed today"
        aria-label="Today’s note"
        :invalid="refused !== ''"
        :aria-describedby="refused === '' ? undefined : 'note-reason'"
      />
      <Button type="submit" size="small" outlined label="Add note" />
    </form>
    <FieldReason v-if="refused" id="note-reason">{{ refused }}</FieldReason>
    <ul>
      <li v-for="note in newestFirst" :key="note.id">
        <span class="quiet">{{ shortDayOf(note.on) }}</span>
        <TextField
          hide-label
          :label="`Note of ${shortDayOf(note.on)}`"
          :rows="2"
          :model-value="note.words"
          :accept="(words) => setWords(note.id, words)"
        />
        <IconButton
          icon="remove"
          :size="14"
          :label="`Remove the note of ${shortDayOf(note.on)}`"
          @click="
            emit(
              'change',
              notes.filter(({ id }) => id !== note.id),
            )
          "
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
h2 {
  font-size: 19px;
  line-height: 24px;
}
form {
  display: flex;
  gap: 8px;
  align-items: flex-start;
  padding: 4px 0;
}
textarea {
  flex: 1;
}
li {
  display: grid;
  grid-template-columns: 52px minmax(0, 1fr) auto;
  gap: 8px;
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
</style>
