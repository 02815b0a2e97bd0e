<script setup lang="ts">
import Button from 'primevue/button';
import { computed, nextTick, ref, watch } from 'vue';
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
import { answersOf, conditionsAfter, refusals, type Answers } from './answers';
import CheckField from '../../../ui/fields/CheckField.vue';
import DayField from '../../../ui/fields/DayField.vue';
import FieldReason from '../../../ui/fields/FieldReason.vue';
import RadioField from '../../../ui/fields/RadioField.vue';
import TextField from '../../../ui/fields/TextField.vue';

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
const answers = ref<Answers>({});
const consent = ref(false);
const tried = ref(false);
const wrong = ref('');
watch(isLoaded, () => {
  answers.value = answersOf(person.value, questions, today());
  consent.value = person.value.consentOn !== null;
});
const refused = computed(() => refusals(answers.value, questions, today()));
const count = computed(() => Object.values(answers.value).filter(({ yes }) => yes).length);

/** Takes what was typed for a question; what is wrong with it is shown when the answers are saved. */
const answer =
  (question: string, key: 'weeks' | 'since' | 'note') =>
  (text: string): undefined => {
    const given = answers.value[question];
    if (given) given[key] = text;
  };

async function keep(): Promise<void> {
  tried.value = true;
  wrong.value = '';
  if (!consent.value || Object.keys(refused.value).length > 0) {
    await nextTick();
    document.querySelector<HTMLElement>('[role="alert"]')?.scrollIntoView({ block: 'center' });
    return;
  }
  const day = today();
  wrong.value =
    put('ask by the form', {
      conditions: conditionsAfter(person.value, answers.value, questions, day, newId),
      askedOn: day,
      consentOn: person.value.consentOn ?? day,
    }) ?? '';
  if (wrong.value) return;
  await settled();
  if (trouble.value || conflict.value) return;
  await router.push(`/people/${id}`);
}
</script>

<template>
  <main v-if="isLoaded" class="form">
    <BackLink :to="`/people/${id}`" :label="person.name" />
    <h1>Before the first class</h1>
    <p class="quiet">
      For {{ person.name }}.
      {{ person.askedOn ? `Screened on ${shortDayOf(person.askedOn)}; the answers are below.` : '' }} Tick all that
      apply. Anyone who ticks something should ask a doctor or licensed practitioner whether this practice suits them.
    </p>
    <form @submit.prevent="keep">
      <fieldset v-for="group in groups" :key="group.area">
        <legend>{{ group.title }}</legend>
        <div v-for="question in group.questions" :key="question.id" class="question">
          <template v-if="answers[question.id]">
            <CheckField
              v-model="answers[question.id]!.yes"
              :described-by="tried && refused[question.id] ? `${question.id}-reason` : undefined"
              >{{ question.question }} <span class="small quiet">{{ question.terms }}</span></CheckField
            >
            <div v-if="answers[question.id]!.yes" class="more">
              <TextField
                v-if="question.since === 'weeks'"
                class="short"
                :label="`${question.name}: week`"
                :model-value="answers[question.id]!.weeks"
                :accept="answer(question.id, 'weeks')"
              />
              <DayField
                v-if="question.since === 'day'"
                :label="`${question.name}: when`"
                :model-value="answers[question.id]!.since"
                :accept="answer(question.id, 'since')"
              />
              <RadioField
                v-if="question.degrees.length > 0"
                v-model="answers[question.id]!.degree"
                class="small"
                :label="`${question.name}: how it is`"
                :options="question.degrees.map(({ id: value, words }) => ({ value, label: words }))"
              />
              <TextField
                class="note"
                :label="`${question.name}: a note`"
                placeholder="which side, what helps"
                :model-value="answers[question.id]!.note"
                :accept="answer(question.id, 'note')"
              />
            </div>
            <FieldReason v-if="tried && refused[question.id]" :id="`${question.id}-reason`">{{
              refused[question.id]
            }}</FieldReason>
          </template>
        </div>
      </fieldset>
      <div class="consent">
        <CheckField
          v-model="consent"
          :label="CONSENT"
          :described-by="tried && !consent ? 'consent-reason' : undefined"
        />
        <FieldReason v-if="tried && !consent" id="consent-reason">Nothing is saved without consent.</FieldReason>
      </div>
      <p v-if="wrong" class="caution strong" role="alert">{{ wrong }}</p>
      <div class="end">
        <DocumentStatus noun="person" :trouble="trouble" :conflict="conflict" :resolve="resolve" @save="save" />
      </div>
      <p class="end">
        <Button type="submit" label="Save the answers" />
        <span class="quiet">{{ count === 0 ? 'nothing ticked' : `${count} ticked` }}</span>
      </p>
    </form>
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
form {
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
.consent,
.end,
form > p {
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
  form {
    columns: 1;
  }
  .form {
    padding: 10px 16px 32px;
  }
}
</style>
