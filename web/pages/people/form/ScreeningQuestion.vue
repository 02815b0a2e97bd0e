<script setup lang="ts">
import type { Condition } from '#core/caution';
import CheckField from '../../../ui/fields/CheckField.vue';
import DayField from '../../../ui/fields/DayField.vue';
import RadioField from '../../../ui/fields/RadioField.vue';
import TextField from '../../../ui/fields/TextField.vue';
import FormValue from '../../../ui/forms/FormValue.vue';
import { asAnswer, type Answer } from './answers';

/** One question of the screening form, with what is asked after a yes. */
const { question } = defineProps<{ question: Condition }>();

/** Takes what was typed; what is wrong with it is shown when the answers are saved. */
const taking =
  (set: (answer: Answer) => void, value: unknown, key: 'weeks' | 'since' | 'note') =>
  (text: string): undefined => {
    set({ ...asAnswer(value), [key]: text });
  };
</script>

<template>
  <FormValue v-slot="{ value, set, problem }" :name="question.id">
    <CheckField
      :model-value="asAnswer(value).yes"
      :problem="problem"
      @update:model-value="(yes) => set({ ...asAnswer(value), yes })"
      >{{ question.question }} <span class="small quiet">{{ question.terms }}</span></CheckField
    >
    <div v-if="asAnswer(value).yes" class="more">
      <TextField
        v-if="question.since === 'weeks'"
        class="short"
        :label="`${question.name}: week`"
        :model-value="asAnswer(value).weeks"
        :accept="taking(set, value, 'weeks')"
      />
      <DayField
        v-if="question.since === 'day'"
        :label="`${question.name}: when`"
        :model-value="asAnswer(value).since"
        :accept="taking(set, value, 'since')"
      />
      <RadioField
        v-if="question.degrees.length > 0"
        class="small"
        :label="`${question.name}: how it is`"
        :options="question.degrees.map(({ id, words }) => ({ value: id, label: words }))"
        :model-value="asAnswer(value).degree"
        @update:model-value="(degree) => set({ ...asAnswer(value), degree })"
      />
      <TextField
        class="note"
        :label="`${question.name}: a note`"
        placeholder="which side, what helps"
        :model-value="asAnswer(value).note"
        :accept="taking(set, value, 'note')"
      />
    </div>
  </FormValue>
</template>

<style scoped>
.more {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 14px;
  align-items: center;
  padding: 4px 0 4px 26px;
}
.short {
  width: 140px;
}
.note {
  flex: 1;
  min-width: 150px;
}
</style>
