<script setup lang="ts">
import Button from 'primevue/button';
import { shallowRef, watch } from 'vue';
import { useRouter } from 'vue-router';
import { CONSENT, screeningQuestions } from '#core/caution';
import NotAdvice from '../../../widgets/cautions/NotAdvice.vue';
import BackLink from '../../../ui/BackLink.vue';
import DocumentStatus from '../../../widgets/documents/DocumentStatus.vue';
import { shortDayOf } from '../../../ui/dates';
import { today } from '../../../state/days';
import { newId } from '../../../client/new-id';
import { useKnowledge } from '../../../state/knowledge';
import { usePerson } from '../use-person';
import { answersOf, asAnswer, conditionsAfter, CONSENT_FIELD, screeningShape } from './answers';
import CheckField from '../../../ui/fields/CheckField.vue';
import FormValue from '../../../ui/forms/FormValue.vue';
import SentForm from '../../../ui/forms/SentForm.vue';
import ScreeningQuestion from './ScreeningQuestion.vue';

/**
 * The screening form at the screen, for one person: only what a rule uses is asked, and nothing is kept without
 * consent.
 */
const { id } = defineProps<{ id: string }>();

const router = useRouter();
const known = useKnowledge();
const { document: person, isLoaded, trouble, isMissing, conflict, load, save, resolve, settled, put } = usePerson(id);
const groups = screeningQuestions(known.knowledge);
const questions = groups.flatMap((group) => group.questions);
/** What is known already; what is typed over it stays, whatever comes from elsewhere meanwhile. */
const initial = shallowRef<Record<string, unknown>>();
watch(
  isLoaded,
  (is) => {
    if (!is) return;
    const answers = answersOf(person.value, questions, today());
    initial.value = { ...answers, [CONSENT_FIELD]: person.value.consentOn !== null };
  },
  { immediate: true },
);
const isTicked = (field: unknown): boolean =>
  typeof field === 'object' && field !== null && 'value' in field && asAnswer(field.value).yes;
const ticked = (fields: Readonly<Record<string, unknown>>): string => {
  const count = questions.filter((question) => isTicked(fields[question.id])).length;
  return count === 0 ? 'nothing ticked' : `${count} ticked`;
};

async function keep(values: Record<string, unknown>): Promise<void> {
  const day = today();
  const answers = Object.fromEntries(questions.map((question) => [question.id, asAnswer(values[question.id])]));
  const wrong = put('ask by the form', {
    conditions: conditionsAfter(person.value, answers, questions, day, newId),
    askedOn: day,
    consentOn: person.value.consentOn ?? day,
  });
  if (wrong !== undefined) throw new Error(wrong);
  await settled();
  if (trouble.value || conflict.value) return;
  await router.push(`/people/${id}`);
}
</script>

<template>
  <main v-if="initial" class="form">
    <BackLink :to="`/people/${id}`" :label="person.name" />
    <h1>Before the first class</h1>
    <p class="quiet">
      For {{ person.name }}.
      {{ person.askedOn ? `Screened on ${shortDayOf(person.askedOn)}; the answers are below.` : '' }} Tick all that
      apply. Anyone who ticks something should ask a doctor or licensed practitioner whether this practice suits them.
    </p>
    <SentForm
      v-slot="{ busy, fields }"
      class="questions"
      :schema="screeningShape(questions, today())"
      :initial="initial"
      :send="keep"
    >
      <fieldset v-for="group in groups" :key="group.area">
        <legend>{{ group.title }}</legend>
        <div v-for="question in group.questions" :key="question.id" class="question">
          <ScreeningQuestion :question="question" />
        </div>
      </fieldset>
      <div class="consent">
        <FormValue v-slot="{ value, set, problem }" :name="CONSENT_FIELD">
          <CheckField :model-value="value === true" :label="CONSENT" :problem="problem" @update:model-value="set" />
        </FormValue>
      </div>
      <div class="end">
        <DocumentStatus noun="person" :trouble="trouble" :conflict="conflict" :resolve="resolve" @save="save" />
      </div>
      <p class="end">
        <Button type="submit" label="Save the answers" :disabled="busy" />
        <span class="quiet">{{ ticked(fields) }}</span>
      </p>
    </SentForm>
    <NotAdvice />
  </main>
  <main v-else class="form">
    <p v-if="isMissing">This person could not be found. <RouterLink to="/people">Back to people</RouterLink>.</p>
    <p v-else-if="trouble" class="caution strong" role="alert">
      {{ trouble }} <button type="button" class="link-button" @click="load">Try again</button>
    </p>
  </main>
</template>

<style scoped>
.form {
  display: flex;
  flex-direction: column;
  gap: 10px;
  max-width: 980px;
  padding: 10px 32px 40px;
}
h1 {
  font-size: 27px;
  line-height: 34px;
}
.questions {
  display: block;
  columns: 2;
  column-gap: 40px;
}
fieldset {
  break-inside: avoid;
  margin: 0 0 12px;
  padding: 0;
  border: 0;
}
legend {
  padding: 0;
  font: 600 17px/22px var(--head);
}
.question {
  padding: 4px 0;
  border-top: 1px solid var(--line);
}
.consent,
.end {
  break-inside: avoid;
  column-span: all;
}
.consent {
  padding: 12px 0;
  border-top: 1px solid var(--line-strong);
}
.end {
  display: flex;
  gap: 14px;
  align-items: center;
}
@media (width < 760px) {
  .questions {
    columns: 1;
  }
  .form {
    padding: 10px 16px 32px;
  }
}
</style>
