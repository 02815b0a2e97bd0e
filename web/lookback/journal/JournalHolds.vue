<script setup lang="ts">
import { computed } from 'vue';
import type { JournalHold } from '#core/journal';
import IconButton from '../../shared/IconButton.vue';
import TimeField from '../../shared/fields/TimeField.vue';
import { newId } from '../../stores/browser';
import { useLibrary } from '../../stores/library';
import StrengthScale from '../StrengthScale.vue';
import AddLine from './AddLine.vue';

/** The holds of an entry: which, how long on each side, and how strong. */
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
  <section aria-labelledby="holds-title">
    <h2 id="holds-title">Holds</h2>
    <ul>
      <li v-for="hold in holds" :key="hold.id">
        <strong>{{ hold.name }}</strong>
        <TimeField
          v-for="side in sidesOf(hold)"
          :key="side"
          :label="LABELS[side]"
          :model-value="hold[side]"
          :accept="(seconds) => changed(hold.id, { [side]: seconds ?? 0 })"
        />
        <span class="strength"
          ><span class="small quiet">how strong</span>
          <StrengthScale
            side="both"
            :label="`How strong was ${hold.name}`"
            :model-value="hold.strength"
            @update:model-value="changed(hold.id, { strength: $event })"
          />
        </span>
        <IconButton
          icon="remove"
          :label="`Take out ${hold.name}`"
          @click="
            accept(
              'take out a hold',
              holds.filter(({ id }) => id !== hold.id),
            )
          "
        />
      </li>
    </ul>
    <AddLine label="A position" button="Add a hold" :entries="entries" :add="add" />
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
  width: 96px;
}
.strength {
  display: flex;
  flex-direction: column;
}
h2 {
  margin-bottom: 4px;
  font-size: 19px;
  line-height: 24px;
}
</style>
