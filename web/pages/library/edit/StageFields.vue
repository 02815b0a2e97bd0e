<script setup lang="ts">
import type { Position } from '#core/catalogue';
import IconButton from '../../../ui/IconButton.vue';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import TextField from '../../../ui/fields/TextField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import { useEntryField } from './use-entry';

/** Parts of one hold, each of a length of its own or sharing the remainder. */
const { entry } = defineProps<{ entry: Position }>();

const { set, problem } = useEntryField();
const MOST = 8;
const add = () =>
  set('stages')([
    ...entry.stages,
    { name: entry.stages.length === 0 ? 'first' : 'then', length: { kind: 'share', weight: 1 } },
  ]);
const setLength = (i: number) => (seconds: number | null) =>
  set(`stages.${i}.length`)(seconds === null ? { kind: 'share', weight: 1 } : { kind: 'fixed', seconds });
</script>

<template>
  <FieldGroup
    title="Stages"
    :says="entry.stages.length === 0 ? 'no stages' : ''"
    :add="entry.stages.length < MOST ? 'Add a stage' : ''"
    @add="add"
  >
    <ol>
      <li v-for="(stage, i) in entry.stages" :key="i">
        <span class="quiet">{{ i + 1 }}</span>
        <TextField
          hide-label
          :label="`Name of stage ${i + 1}`"
          :model-value="stage.name"
          :accept="set(`stages.${i}.name`)"
          :problem="problem(`stages.${i}.name`)"
        />
        <TimeField
          hide-label
          :label="`Length of stage ${i + 1}`"
          usual="share"
          :model-value="stage.length.kind === 'fixed' ? stage.length.seconds : null"
          :accept="setLength(i)"
          :problem="problem(`stages.${i}.length.seconds`)"
        />
        <IconButton
          icon="remove"
          :label="`Remove stage ${i + 1}`"
          :size="14"
          @click="set('stages')(entry.stages.filter((_, other) => other !== i))"
        />
      </li>
    </ol>
  </FieldGroup>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 14px minmax(0, 1fr) 72px 26px;
  gap: 8px;
  align-items: center;
  padding: 1px 0;
}
.icon-button {
  width: 26px;
  height: 26px;
}
</style>
