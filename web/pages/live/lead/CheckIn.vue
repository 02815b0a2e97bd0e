<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import type { PersonCondition } from '#core/people';
import { newId } from '../../../client/new-id';
import { useKnowledge } from '../../../state/knowledge';
import type { TheClass } from '../../../state/use-class';
import ChipChoice from '../../../ui/fields/ChipChoice.vue';
import FieldReason from '../../../ui/fields/FieldReason.vue';
import TextField from '../../../ui/fields/TextField.vue';
import IconButton from '../../../ui/IconButton.vue';

/**
 * Before the first bell, in seconds: what is new today for those who are there, and who came without a record. It counts
 * today only; the record of a person is not changed.
 */
const { theClass, here } = defineProps<{ theClass: TheClass; here: readonly string[] }>();

const known = useKnowledge();
/** What is often new on a day. */
const OFTEN = ['cold', 'heavy-meal', 'menstruation', 'migraine', 'low-back', 'neck', 'shoulder', 'knee', 'vertigo'];
/** Three questions for whoever comes without a record; what is ticked is screened in the more careful way. */
const QUESTIONS: readonly { label: string; of: readonly string[] }[] = [
  { label: 'Pregnant, or gave birth lately?', of: ['pregnancy', 'after-birth'] },
  {
    label: 'Heart, blood pressure, eyes, dizziness, seizures?',
    of: ['heart', 'high-pressure', 'glaucoma', 'vertigo', 'epilepsy'],
  },
  {
    label: 'Anything sore, replaced or operated on?',
    of: [
      'low-back',
      'neck',
      'shoulder',
      'wrist',
      'knee',
      'hip-replaced',
      'knee-replaced',
      'operation-belly',
      'osteoporosis',
    ],
  },
];
const optionsOf = (ids: readonly string[]): { value: string; label: string }[] =>
  ids.flatMap((id) => {
    const condition = known.knowledge.conditions.find((one) => one.id === id);
    return condition ? [{ value: id, label: condition.name }] : [];
  });
const often = computed(() => optionsOf(OFTEN));
const questions = computed(() => QUESTIONS.map((one) => ({ ...one, options: optionsOf(one.of) })));
const idsOf = (conditions: readonly PersonCondition[] = []): string[] => conditions.map(({ condition }) => condition);
const newFor = (personId: string): string[] =>
  idsOf(theClass.checkIns.value.find((one) => one.personId === personId)?.conditions);

/** Whose answers are open: who was picked, and who has said something. */
const picked = ref<readonly string[]>([]);
const asking = computed(() => here.filter((id) => picked.value.includes(id) || newFor(id).length > 0));
/** Who is picked no more has nothing new. */
function ask(ids: readonly string[]): void {
  for (const id of asking.value.filter((one) => !ids.includes(one) && newFor(one).length > 0))
    show(theClass.say(id, []));
  picked.value = ids;
}

const name = ref('');
const refused = ref('');
const problem = ref('');
const show = (wrong: string | undefined): void => {
  problem.value = wrong ?? '';
};
function addGuest(): void {
  const first = name.value.trim();
  refused.value =
    first === '' ? 'A first name is enough.' : first.length > 40 ? 'A first name has at most 40 characters.' : '';
  if (refused.value) return;
  show(theClass.addGuest({ id: newId(), name: first }, []));
  if (!problem.value) name.value = '';
}
type Guest = TheClass['guests']['value'][number];
/** One question answered: what was ticked for the others stays. */
const answer = (guest: Guest, of: readonly string[], ticked: readonly string[]): void =>
  show(theClass.addGuest(guest, [...idsOf(guest.conditions).filter((id) => !of.includes(id)), ...ticked]));
function setName(typed: string): undefined {
  name.value = typed;
  refused.value = '';
}
</script>

<template>
  <div class="check-in">
    <p class="small quiet">Counts today only. Nothing ticked means nothing new.</p>
    <p v-if="here.length === 0" class="small quiet">Nobody is ticked above yet.</p>
    <div v-else class="question">
      <span class="small">Who has something new?</span>
      <ChipChoice
        label="Who has something new?"
        :options="here.map((id) => ({ value: id, label: theClass.shown(id) }))"
        :chosen="asking"
        @choose="ask"
      />
    </div>
    <div v-for="id in asking" :key="id" class="person">
      <strong>{{ theClass.shown(id) }}</strong>
      <ChipChoice
        :label="`New today for ${theClass.shown(id)}`"
        :options="often"
        :chosen="newFor(id)"
        @choose="show(theClass.say(id, $event))"
      />
    </div>
    <div v-for="guest in theClass.guests.value" :key="guest.id" class="guest">
      <p>
        <strong>{{ guest.name }}</strong> <span class="small quiet">guest</span>
        <IconButton icon="remove" :label="`Remove ${guest.name}`" @click="show(theClass.removeGuest(guest.id))" />
      </p>
      <div v-for="question in questions" :key="question.label" class="question">
        <span class="small">{{ question.label }}</span>
        <ChipChoice
          :label="`${guest.name}: ${question.label}`"
          :options="question.options"
          :chosen="idsOf(guest.conditions).filter((id) => question.of.includes(id))"
          @choose="answer(guest, question.of, $event)"
        />
      </div>
    </div>
    <form class="add" @submit.prevent="addGuest">
      <TextField label="Someone without a record" :model-value="name" :accept="setName" :problem="refused" />
      <Button type="submit" size="small" outlined label="Add a guest" />
    </form>
    <FieldReason v-if="problem" id="check-in-reason">{{ problem }}</FieldReason>
  </div>
</template>

<style scoped>
.check-in {
  display: flex;
  flex-direction: column;
  gap: 10px;
  width: min(860px, 100%);
  margin: 0 auto;
  text-align: left;
}
.person,
.question {
  display: grid;
  grid-template-columns: minmax(120px, 220px) minmax(0, 1fr);
  gap: 4px 12px;
  align-items: center;
}
.question {
  grid-template-columns: minmax(120px, 220px) minmax(0, 1fr);
}
.guest {
  display: flex;
  flex-direction: column;
  gap: 8px;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.guest p {
  display: flex;
  gap: 8px;
  align-items: center;
}
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
  padding-top: 6px;
  border-top: 1px solid var(--line);
}
@media (width < 640px) {
  .person,
  .question {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
