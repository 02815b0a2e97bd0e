<script setup lang="ts">
import { AREAS, FAMILIES, familyLabel, SidesKind, type Position } from '#core/catalogue';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import TextField from '../../../ui/fields/TextField.vue';
import { capital, SIDES_WORDS } from '../words';
import ChipChoice from '../../../ui/fields/ChipChoice.vue';
import TitleFields from './TitleFields.vue';
import { useEntryField } from './use-entry';
import SelectField from '../../../ui/fields/SelectField.vue';

/** What it is called, where it is in the room, how it lies over the sides, what it works on. */
const { entry } = defineProps<{ entry: Position }>();

const { set, problem } = useEntryField();
const AREA_OPTIONS = AREAS.map((value) => ({ value, label: value }));
const FAMILY_OPTIONS = FAMILIES.map((value) => ({ value, label: capital(familyLabel(value)) }));
const SIDES_OPTIONS = SidesKind.options.map((value) => ({ value, label: SIDES_WORDS[value] }));

function setSides(sides: Position['sides']): void {
  set('sides')(sides);
  if (sides === 'together') set('leftMeans')('');
}
</script>

<template>
  <FieldGroup title="Names">
    <div class="grid">
      <TitleFields :entry="entry" />
      <TextField
        label="Name in yin"
        :model-value="entry.names.yin"
        :accept="set('names.yin')"
        :problem="problem('names.yin')"
      />
    </div>
    <TextField
      label="What it aims at"
      :rows="2"
      :model-value="entry.aims"
      :accept="set('aims')"
      :problem="problem('aims')"
    />
  </FieldGroup>
  <FieldGroup title="Place and sides">
    <div class="grid">
      <SelectField
        above
        label="In the room"
        :options="FAMILY_OPTIONS"
        :model-value="entry.family"
        @update:model-value="set('family')($event)"
      />
      <SelectField
        above
        label="Comes out into"
        :options="FAMILY_OPTIONS"
        :model-value="entry.comesOutInto"
        @update:model-value="set('comesOutInto')($event)"
      />
      <SelectField
        above
        label="Sides"
        :options="SIDES_OPTIONS"
        :model-value="entry.sides"
        @update:model-value="(sides) => setSides(sides)"
      />
      <TextField
        v-if="entry.sides !== 'together'"
        label="What “left” means"
        placeholder="the left leg is straight"
        :model-value="entry.leftMeans"
        :accept="set('leftMeans')"
        :problem="problem('leftMeans')"
      />
    </div>
  </FieldGroup>
  <FieldGroup title="Works on">
    <ChipChoice
      label="Works on"
      :options="AREA_OPTIONS"
      :chosen="entry.areas"
      :problem="problem('areas')"
      @choose="set('areas')($event)"
    />
  </FieldGroup>
</template>

<style scoped>
.grid {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 14px;
  margin-bottom: 6px;
}
label {
  display: flex;
  flex-direction: column;
  gap: 2px;
  color: var(--ink-2);
  font-size: 12.5px;
  line-height: 16px;
}
select {
  height: 30px;
}
@media (width < 640px) {
  .grid {
    grid-template-columns: 1fr;
  }
}
</style>
