<script setup lang="ts">
import { computed } from 'vue';
import type { JournalBreath } from '#core/journal';
import TextField from '../../../ui/fields/TextField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { newId } from '../../../client/new-id';
import { useLibrary } from '../../../state/library';
import JournalLines from './JournalLines.vue';

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
  <JournalLines
    title="Breath"
    label="A technique"
    button="Add a breath"
    :lines="breaths"
    :entries="entries"
    :add="add"
    :take-out="(left) => accept('remove a breath', left)"
  >
    <template #default="{ line: breath }">
      <TimeField
        label="total"
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
    </template>
  </JournalLines>
</template>
