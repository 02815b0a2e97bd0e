<script setup lang="ts">
import { computed } from 'vue';
import type { Position, Variation } from '#core/catalogue';
import TextField from '../../../ui/fields/TextField.vue';
import { useLibrary } from '../../../state/library';
import { useEntryField } from './use-entry';

/** An easier or a stronger way, in words, and the set-up or the position that shows it. */
const { path, title, entry } = defineProps<{ path: 'easier' | 'stronger'; title: string; entry: Position }>();

const library = useLibrary();
const { set, problem } = useEntryField();
const variation = computed(() => entry[path]);
const shown = computed(() => {
  const { setUp, position } = variation.value;
  return setUp !== undefined ? `set-up ${setUp}` : position !== undefined ? `position ${position}` : '';
});
const others = computed(() => library.positions.filter(({ id }) => id !== entry.id));

function show(event: Event): void {
  const [kind, ...id] = (event.target as HTMLSelectElement).value.split(' ');
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
    <label class="small quiet"
      >shown by
      <select :value="shown" @change="show">
        <option value="">nothing</option>
        <optgroup label="A set-up">
          <option v-for="setUp in entry.setUps" :key="setUp.id" :value="`set-up ${setUp.id}`">{{ setUp.name }}</option>
        </optgroup>
        <optgroup label="Another position">
          <option v-for="other in others" :key="other.id" :value="`position ${other.id}`">
            {{ other.names.english }}
          </option>
        </optgroup>
      </select></label
    >
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
