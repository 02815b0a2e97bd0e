<script setup lang="ts">
import { computed } from 'vue';
import { MAX_WAYS, TRAIT_WORDS, type Position } from '#core/catalogue';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import PromptRows from '../../../widgets/steps/PromptRows.vue';
import TextField from '../../../ui/fields/TextField.vue';
import TimeField from '../../../ui/fields/TimeField.vue';
import CautionFields from './CautionFields.vue';
import CounterposeFields from './CounterposeFields.vue';
import LineList from './LineList.vue';
import StageFields from './StageFields.vue';
import VariationFields from './VariationFields.vue';
import TeachingFields from './TeachingFields.vue';
import { useEntryField } from './use-entry';
import SelectField from '../../../ui/fields/SelectField.vue';

/** How it is taught: getting in and coming out, what to say, other ways, what comes after, and what to look out for. */
const { entry } = defineProps<{ entry: Position }>();

const { set, problem } = useEntryField();
const MAX_PROMPTS = 12;
const REBOUNDS: { value: Position['rebound']['when']; label: string }[] = [
  { value: 'none', label: 'no rest' },
  { value: 'afterEach', label: 'a rest after each side' },
  { value: 'afterBoth', label: 'a rest after both sides' },
];
const promptProblem = computed(() => (i: number) => problem(`prompts.${i}.text`));
function addPrompt(): void {
  if (entry.prompts.length < MAX_PROMPTS) set('prompts')([...entry.prompts, { at: { kind: 'half' }, text: '' }]);
}
</script>

<template>
  <LineList title="Getting in" path="waysIn" one="Getting in" :lines="entry.waysIn" :most="MAX_WAYS" />
  <PromptRows :prompts="entry.prompts" :accept="set('prompts')" :problem="promptProblem" @add="addPrompt" />
  <LineList title="Coming out" path="waysOut" one="Coming out" :lines="entry.waysOut" :most="MAX_WAYS" />
  <StageFields :entry="entry" />
  <FieldGroup title="Variations">
    <VariationFields path="easier" title="Easier" :entry="entry" />
    <VariationFields path="stronger" title="Stronger" :entry="entry" />
  </FieldGroup>
  <FieldGroup title="After">
    <div class="after">
      <SelectField
        hide-label
        label="Rest after it"
        :options="REBOUNDS"
        :model-value="entry.rebound.when"
        @update:model-value="set('rebound.when')($event)"
      />
      <TimeField
        v-if="entry.rebound.when !== 'none'"
        label="for"
        :model-value="entry.rebound.seconds"
        :accept="(seconds) => set('rebound.seconds')(seconds ?? 0)"
        :problem="problem('rebound.seconds')"
      />
    </div>
    <TextField label="Release" :model-value="entry.loosen" :accept="set('loosen')" :problem="problem('loosen')" />
    <TextField label="Counterpose" :model-value="entry.answer" :accept="set('answer')" :problem="problem('answer')" />
    <CounterposeFields :entry="entry" />
  </FieldGroup>
  <FieldGroup title="Teaching it">
    <TeachingFields :mistakes="entry.mistakes" :watch="entry.watch" />
  </FieldGroup>
  <FieldGroup title="Look out for">
    <CautionFields
      label="Caution, and the easier way"
      :caution="entry.caution"
      :traits="entry.traits"
      :words="TRAIT_WORDS"
    />
  </FieldGroup>
</template>

<style scoped>
.after {
  display: flex;
  gap: 12px;
  align-items: center;
}
</style>
