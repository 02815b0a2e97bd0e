<script setup lang="ts">
import { computed } from 'vue';
import type { JournalBreath } from '#core/journal';
import IconButton from '../../shared/IconButton.vue';
import TextField from '../../shared/fields/TextField.vue';
import TimeField from '../../shared/fields/TimeField.vue';
import { newId } from '../../stores/browser';
import { useLibrary } from '../../stores/library';
import AddLine from './AddLine.vue';

/** The breaths of an entry: which, how long, and what was counted of it, where something was. */
const { breaths, accept } = defineProps<{
  breaths: readonly JournalBreath[];
  accept: (name: string, breaths: JournalBreath[]) => string | undefined;
}>();

const library = useLibrary();
const entries = computed(() => library.techniques.map(({ id, names }) => ({ id, name: names.english })));
const changed = (id: string, patch: Partial<JournalBreath>): string | undefined =>
  accept(
    'change a breath',
    breaths.map((breath) => (breath.id === id ? { ...breath, ...patch } : breath)),
  );
function add(entry: { id: string | null; name: string }): string | undefined {
  const breath = { technique: entry.id, name: entry.name, seconds: 0 };
  return accept('add a breath', [
    ...breaths,
    { id: newId(), ...breath, rounds: null, breathsPerMinute: null, longestRetention: null },
  ]);
}
/** A number that may be left out. */
function numbered(text: string, take: (value: number | null) => string | undefined): string | undefined {
  if (text.trim() === '') return take(null);
  const value = Number(text.replace(',', '.'));
  return Number.isNaN(value) ? 'A number, or nothing.' : take(value);
}
</script>

<template>
  <section aria-labelledby="breaths-title">
    <h2 id="breaths-title">Breath</h2>
    <ul>
      <li v-for="breath in breaths" :key="breath.id">
        <strong>{{ breath.name }}</strong>
        <TimeField
          label="in all"
          :model-value="breath.seconds"
          :accept="(seconds) => changed(breath.id, { seconds: seconds ?? 0 })"
        />
        <TextField
          label="rounds"
          :model-value="breath.rounds === null ? '' : String(breath.rounds)"
          :accept="(text) => numbered(text, (rounds) => changed(breath.id, { rounds }))"
        />
        <TextField
          label="breaths a minute"
          :model-value="breath.breathsPerMinute === null ? '' : String(breath.breathsPerMinute)"
          :accept="(text) => numbered(text, (breathsPerMinute) => changed(breath.id, { breathsPerMinute }))"
        />
        <TimeField
          label="longest retention"
          :model-value="breath.longestRetention"
          :accept="(longestRetention) => changed(breath.id, { longestRetention })"
        />
        <IconButton
          icon="remove"
          :label="`Take out ${breath.name}`"
          @click="
            accept(
              'take out a breath',
              breaths.filter(({ id }) => id !== breath.id),
            )
          "
        />
      </li>
    </ul>
    <AddLine label="A technique" button="Add a breath" :entries="entries" :add="add" />
  </section>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 20px;
  align-items: end;
  padding: 8px 0;
  border-top: 1px solid var(--line);
}
li strong {
  flex: 1 1 180px;
  align-self: center;
  font-weight: 600;
  overflow-wrap: anywhere;
}
li :deep(.field) {
  width: 120px;
}
h2 {
  margin: 12px 0 4px;
  font-size: 19px;
  line-height: 24px;
}
</style>
