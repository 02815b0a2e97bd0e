<script setup lang="ts">
import { computed } from 'vue';
import type { Position, Variation } from '#core/catalogue';
import TextField from '../../../ui/fields/TextField.vue';
import { useLibrary } from '../../../state/library';
import { useEntryField } from './use-entry';
import SelectField from '../../../ui/fields/SelectField.vue';

/** An easier or a stronger way, in words, and the set-up or the position that shows it. */
const { path, title, entry } = defineProps<{ path: 'easier' | 'stronger'; title: string; entry: Position }>();

const library = useLibrary();
const { set, problem } = useEntryField();
const variation = computed(() => entry[path]);
const shown = computed(() => {
  const { setUp, position } = variation.value;
  return setUp !== undefined ? `set-up ${setUp}` : position !== undefined ? `position ${position}` : '';
});
const groups = computed(() => [
  { label: 'No picture', items: [{ value: '', label: 'nothing' }] },
  { label: 'A set-up', items: entry.setUps.map(({ id, name }) => ({ value: `set-up ${id}`, label: name })) },
  {
    label: 'Another position',
    items: library.positions
      .filter(({ id }) => id !== entry.id)
      .map(({ id, names }) => ({ value: `position ${id}`, label: names.english })),
  },
]);

function show(chosen: string): void {
  const [kind, ...id] = chosen.split(' ');
  const next: Variation = { words: variation.value.words };
  if (kind === 'set-up') next.setUp = id.join(' ');
  if (kind === 'position') next.position = id.join(' ');
  set(path)(next);
}
</script>

<template>
  <div class="variation">
    <TextField
      :label="title"
      :model-value="variation.words"
      :accept="set(`${path}.words`)"
      :problem="problem(`${path}.words`)"
    />
    <SelectField label="shown by" :groups="groups" :model-value="shown" @update:model-value="show" />
    <p v-if="problem(`${path}.setUp`)" class="caution small" role="alert">{{ problem(`${path}.setUp`) }}</p>
  </div>
</template>

<style scoped>
.variation {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(0, 1fr);
  gap: 6px 12px;
  align-items: end;
  padding: 2px 0;
}
label {
  display: flex;
  flex-direction: column;
  gap: 2px;
}
select {
  height: 30px;
}
p {
  grid-column: 1 / -1;
}
@media (width < 640px) {
  .variation {
    grid-template-columns: 1fr;
  }
}
</style>
