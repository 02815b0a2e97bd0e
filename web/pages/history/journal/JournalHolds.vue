<script setup lang="ts">
import { computed } from 'vue';
import type { JournalHold } from '#core/journal';
import TimeField from '../../../ui/fields/TimeField.vue';
import { newId } from '../../../client/new-id';
import { useLibrary } from '../../../state/library';
import IntensityScale from '../IntensityScale.vue';
import JournalLines from './JournalLines.vue';

/** The holds of an entry: which, how long on each side, and how intense. */
const { holds, accept } = defineProps<{
  holds: readonly JournalHold[];
  accept: (name: string, holds: JournalHold[]) => string | undefined;
}>();

const library = useLibrary();
const entries = computed(() => library.positions.map(({ id, names }) => ({ id, name: names.english })));
const changed = (id: string, patch: Partial<JournalHold>): string | undefined =>
  accept(
    'change a hold',
    holds.map((hold) => (hold.id === id ? { ...hold, ...patch } : hold)),
  );
function add(entry: { id: string | null; name: string }): string | undefined {
  const hold = { position: entry.id, name: entry.name, left: 0, right: 0, both: 0, strength: null };
  return accept('add a hold', [...holds, { id: newId(), ...hold }]);
}
/** A position that is done together has one length; one of two sides has two; of an unknown one all three are asked. */
const sidesOf = ({ position }: JournalHold): readonly ('left' | 'right' | 'both')[] => {
  const sides = library.all.position(position ?? '')?.sides;
  if (sides === undefined) return ['left', 'right', 'both'];
  return sides === 'together' ? ['both'] : ['left', 'right'];
};
const LABELS = { left: 'left', right: 'right', both: 'both sides' };
</script>

<template>
  <JournalLines
    title="Holds"
    label="A position"
    button="Add a hold"
    :lines="holds"
    :entries="entries"
    :add="add"
    :take-out="(left) => accept('remove a hold', left)"
  >
    <template #default="{ line: hold }">
      <TimeField
        v-for="side in sidesOf(hold)"
        :key="side"
        bare="minutes"
        :label="LABELS[side]"
        :model-value="hold[side]"
        :accept="(seconds) => changed(hold.id, { [side]: seconds ?? 0 })"
      />
      <span class="strength"
        ><span class="small quiet">intensity</span>
        <IntensityScale
          side="both"
          :label="`Intensity of ${hold.name}`"
          :model-value="hold.strength"
          @update:model-value="changed(hold.id, { strength: $event })"
        />
      </span>
    </template>
  </JournalLines>
</template>

<style scoped>
.strength {
  display: flex;
  flex-direction: column;
}
</style>
