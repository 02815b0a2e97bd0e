<script setup lang="ts">
import Button from 'primevue/button';
import { CAUTION_TRAIT_WORDS } from '#core/caution';
import { STEP_TRAITS, type KeptInMind } from '#core/people';
import IconButton from '../../ui/IconButton.vue';
import TextField from '../../ui/fields/TextField.vue';
import ChipChoice from '../../ui/fields/ChipChoice.vue';
import { newId } from '../../client/new-id';

/**
 * What the teacher keeps in mind for somebody, and at which steps it is shown while teaching: by what they ask of the
 * body.
 */
const { reminders } = defineProps<{ reminders: readonly KeptInMind[] }>();
const emit = defineEmits<{ change: [reminders: KeptInMind[]] }>();

const options = STEP_TRAITS.map((value) => ({ value, label: CAUTION_TRAIT_WORDS[value] }));
const changed = (id: string, patch: Partial<KeptInMind>): void =>
  emit(
    'change',
    reminders.map((one) => (one.id === id ? { ...one, ...patch } : one)),
  );
function setWords(id: string, words: string): string | undefined {
  if (words.trim() === '') return 'Write in a few words what to keep in mind.';
  changed(id, { words: words.trim() });
  return undefined;
}
const add = (): void => emit('change', [...reminders, { id: newId(), words: 'go gently', asks: ['longUnmovingHold'] }]);
</script>

<template>
  <section>
    <h2>Keep in mind</h2>
    <p class="quiet small">
      Your own reminders, shown with initials while you teach a step that puts demand on one of these areas. Nothing is
      concluded from them; anyone with a condition should ask a doctor or licensed practitioner first.
    </p>
    <ul>
      <li v-for="one in reminders" :key="one.id">
        <TextField label="In a few words" :model-value="one.words" :accept="(words) => setWords(one.id, words)" />
        <ChipChoice
          label="Where it matters"
          :options="options"
          :chosen="one.asks"
          @choose="(asks) => asks.length > 0 && changed(one.id, { asks })"
        />
        <IconButton
          icon="remove"
          :label="`Remove: ${one.words}`"
          @click="
            emit(
              'change',
              reminders.filter(({ id }) => id !== one.id),
            )
          "
        />
      </li>
    </ul>
    <Button outlined label="Add a reminder" @click="add" />
  </section>
</template>

<style scoped>
h2 {
  font-size: 19px;
  line-height: 24px;
}
li {
  display: grid;
  grid-template-columns: minmax(160px, 260px) minmax(0, 1fr) auto;
  gap: 8px 20px;
  align-items: start;
  padding: 10px 0;
  border-top: 1px solid var(--line);
}
section > p {
  padding: 2px 0 8px;
}
@media (width < 700px) {
  li {
    grid-template-columns: minmax(0, 1fr) auto;
  }
}
</style>
