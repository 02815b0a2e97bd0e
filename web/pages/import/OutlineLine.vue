<script setup lang="ts">
import { computed } from 'vue';
import type { ReadLine } from '#core/exchange';
import type { HoldStep, Plan } from '#core/plan';
import StepFigure from '../../widgets/figures/StepFigure.vue';
import ChoiceField from '../../ui/fields/ChoiceField.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import { withDates } from './words';

/** A line as it was typed, and beside it what was understood, with the choices where that is not sure. */
const { line, plan } = defineProps<{ line: ReadLine; plan: Plan | undefined }>();
const emit = defineEmits<{ decide: [question: string, value: string] }>();

const FEW = 3;
/** The line in pieces: what was understood, what was guessed, and what was neither. */
const pieces = computed(() => {
  const marks = [...line.marks].sort((a, b) => a.from - b.from);
  const found: { text: string; kind: 'plain' | 'sure' | 'guess' }[] = [];
  let at = 0;
  for (const { from, to, sure } of marks) {
    if (from > at) found.push({ text: line.typed.slice(at, from), kind: 'plain' });
    if (to > Math.max(at, from))
      found.push({ text: line.typed.slice(Math.max(at, from), to), kind: sure ? 'sure' : 'guess' });
    at = Math.max(at, to);
  }
  return [...found, { text: line.typed.slice(at), kind: 'plain' as const }];
});
const questions = computed(() =>
  line.questions.map((question) => ({
    ...question,
    choices: question.choices.map(({ value, label }) => ({ value, label: withDates(label) })),
  })),
);
const hold = computed((): HoldStep | undefined => {
  const step = plan?.steps.find(({ id }) => line.steps.includes(id));
  return step?.kind === 'hold' ? step : undefined;
});
</script>

<template>
  <li :class="line.kind">
    <span class="number small quiet" aria-hidden="true">{{ line.line + 1 }}</span>
    <p class="typed">
      <template v-for="(piece, i) in pieces" :key="i"
        ><mark v-if="piece.kind !== 'plain'" :class="piece.kind">{{ piece.text }}</mark
        ><template v-else>{{ piece.text }}</template></template
      >
    </p>
    <div class="figure"><StepFigure v-if="hold" :step="hold" :least="0" /></div>
    <div class="understood">
      <p class="says">{{ withDates(line.says) }}</p>
      <p v-if="line.also" class="small quiet">{{ line.also }}</p>
      <div v-for="question in questions" :key="question.id" class="question">
        <span class="small">{{ question.about }}</span>
        <ChoiceField
          v-if="question.choices.length <= FEW"
          :label="question.about"
          :options="question.choices"
          :model-value="question.chosen"
          @update:model-value="emit('decide', question.id, $event)"
        />
        <SelectField
          v-else
          hide-label
          :label="question.about"
          :options="question.choices"
          :model-value="question.chosen"
          @update:model-value="emit('decide', question.id, $event)"
        />
      </div>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 28px minmax(0, 1fr) 64px minmax(0, 1.15fr);
  gap: 0 12px;
  align-items: center;
  min-height: 46px;
  border-bottom: 1px solid var(--line);
}
.number {
  text-align: right;
}
.typed {
  overflow-wrap: anywhere;
  white-space: pre-wrap;
}
mark {
  border-radius: 2px;
  color: inherit;
}
mark.sure {
  background: var(--well);
}
mark.guess {
  border-bottom: 2px solid var(--caution);
  background: var(--caution-soft);
}
.figure {
  height: 42px;
}
.figure :deep(svg) {
  width: 64px;
  height: 42px;
}
.understood {
  min-width: 0;
  padding: 5px 0;
}
.says {
  font-weight: 600;
  overflow-wrap: anywhere;
}
.note .says,
.detail .says {
  color: var(--ink-2);
  font-weight: 400;
}
.question {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 8px;
  align-items: center;
  padding-top: 3px;
}
@media (width < 700px) {
  li {
    grid-template-columns: 22px minmax(0, 1fr) 56px;
    padding: 6px 0;
  }
  .understood {
    grid-column: 2;
    grid-row: 2;
  }
  .figure {
    grid-column: 3;
    grid-row: 2;
  }
  .figure :deep(svg) {
    width: 56px;
  }
}
</style>
