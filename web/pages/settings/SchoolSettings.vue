<script setup lang="ts">
import type { Settings } from '#core/settings';
import { DEFAULT_SETTINGS } from '#core/settings';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import SelectField from '../../ui/fields/SelectField.vue';

/** How this house teaches: sides, what follows each side, how still and how strong, and how long changes take. */
type School = Settings['school'];
type Rules = Settings['usual']['rules'];
const { settings, accept } = defineProps<{
  settings: Settings;
  /** Takes the changed settings under a name; returns the reason if they are refused. */
  accept: (name: string, settings: Settings) => string | undefined;
}>();

const setSchool = (patch: Partial<School>) =>
  accept('how you teach', { ...settings, school: { ...settings.school, ...patch } });
const setRules = (patch: Partial<Rules>) =>
  accept('times of changes', {
    ...settings,
    usual: { ...settings.usual, rules: { ...settings.usual.rules, ...patch } },
  });
const NOT_SAID = '';
const ROLL = [
  { value: NOT_SAID, label: 'either side' },
  { value: 'left', label: 'the left side' },
  { value: 'right', label: 'the right side' },
] as const;
const AFTER = [
  { value: 'library', label: 'as the library has it' },
  { value: 'none', label: 'nothing' },
  { value: 'rest', label: 'a still rest' },
  { value: 'release', label: 'a release' },
] as const;
const MOVEMENT = [
  { value: NOT_SAID, label: 'say nothing about it' },
  { value: 'still', label: 'stillness' },
  { value: 'small', label: 'small movements' },
] as const;
const COUNTING = [
  { value: 'seconds', label: 'by seconds' },
  { value: 'breath', label: 'by their own breath' },
  { value: 'metronome', label: 'by a metronome' },
] as const;
const COUNTING_WORDS: Record<School['counting'], string> = {
  seconds: 'The pacer shows each count; only the breath is heard.',
  breath: 'A new hold is measured in breaths, and a new breath without retention goes at each person’s own pace.',
  metronome: 'Each count is heard as a soft tick, on the stage and where you try a breath.',
};
const BODY_MAP = [
  { value: 'areas', label: 'parts of the body' },
  { value: 'lines', label: 'energy lines' },
  { value: 'both', label: 'both' },
] as const;
const LOUDNESS = [
  { value: 'soft', label: 'soft' },
  { value: 'loud', label: 'loud' },
] as const;
</script>

<template>
  <FieldGroup title="In a hold" says="what a new hold begins with; the holds you have stay as they are">
    <div class="fields">
      <SelectField
        above
        label="After each side"
        :options="AFTER"
        :model-value="settings.school.afterSide"
        @update:model-value="setSchool({ afterSide: $event })"
      />
      <SelectField
        above
        label="Cues ask for"
        :options="MOVEMENT"
        :model-value="settings.school.movement ?? NOT_SAID"
        @update:model-value="setSchool({ movement: $event === NOT_SAID ? null : $event })"
      />
      <NumberField
        label="Highest intensity"
        unit="of 10"
        :model-value="settings.school.maxIntensity"
        :accept="(maxIntensity) => setSchool({ maxIntensity })"
      />
    </div>
  </FieldGroup>
  <FieldGroup
    title="In a breath"
    says="whether breaths are held at all stands under Breath: longest hold 0 s means never"
  >
    <div class="fields">
      <SelectField
        above
        label="Counting"
        :options="COUNTING"
        :model-value="settings.school.counting"
        @update:model-value="setSchool({ counting: $event })"
      />
      <NumberField
        v-if="settings.school.counting === 'breath'"
        label="One breath"
        unit="s"
        :model-value="settings.school.breathSeconds"
        :accept="(breathSeconds) => setSchool({ breathSeconds })"
      />
      <SelectField
        above
        label="Throat sound"
        :options="LOUDNESS"
        :model-value="settings.school.throat"
        @update:model-value="setSchool({ throat: $event })"
      />
    </div>
    <p class="small quiet">{{ COUNTING_WORDS[settings.school.counting] }}</p>
  </FieldGroup>
  <FieldGroup title="What a position works on" says="in the library, its search and filters, and the trends">
    <div class="fields">
      <SelectField
        above
        label="Shown as"
        :options="BODY_MAP"
        :model-value="settings.school.bodyMap"
        @update:model-value="setSchool({ bodyMap: $event })"
      />
    </div>
    <p class="small quiet">
      Energy lines are those of Chinese tradition: a traditional map, not anatomy. You can add your tags on the page of
      a position.
    </p>
  </FieldGroup>
  <FieldGroup title="Sides and changes" says="what a new plan takes along; a plan you have keeps its own">
    <template #head>
      <button type="button" class="link-button small" @click="setRules(DEFAULT_SETTINGS.usual.rules)">
        Reset to defaults
      </button>
    </template>
    <div class="fields">
      <SelectField
        above
        label="Side to roll to"
        :options="ROLL"
        :model-value="settings.usual.rules.rollTo ?? NOT_SAID"
        @update:model-value="setRules({ rollTo: $event === NOT_SAID ? null : $event })"
      />
      <NumberField
        label="Setting up"
        unit="s"
        :model-value="settings.usual.rules.setupBaseSeconds"
        :accept="(setupBaseSeconds) => setRules({ setupBaseSeconds })"
      />
      <NumberField
        label="and for each prop moved"
        unit="s"
        :model-value="settings.usual.rules.setupPerMoveSeconds"
        :accept="(setupPerMoveSeconds) => setRules({ setupPerMoveSeconds })"
      />
      <NumberField
        label="Getting in, coming out, changing sides"
        unit="% of the library’s times"
        :step="10"
        :model-value="settings.usual.rules.changesPercent"
        :accept="(changesPercent) => setRules({ changesPercent })"
      />
    </div>
    <p class="small quiet">
      The side to roll to is said wherever the library says “roll to the side”. For a person whose caution names a side,
      the caution counts.
    </p>
  </FieldGroup>
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  align-items: flex-end;
  padding: 4px 0 8px;
}
</style>
