<script setup lang="ts">
import Button from 'primevue/button';
import { useToast } from 'primevue/usetoast';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { Person } from '#core/people';
import { restore } from '../client/plans';
import { deletePerson } from '../client/people';
import NotAdvice from '../caution/NotAdvice.vue';
import BackLink from '../shared/BackLink.vue';
import { shortDayOf } from '../shared/dates';
import IconButton from '../shared/IconButton.vue';
import TextField from '../shared/fields/TextField.vue';
import { useUndoKeys } from '../shared/use-undo-keys';
import { usePeople } from '../stores/people';
import BreathSection from './BreathSection.vue';
import CameTo from './CameTo.vue';
import ConditionRows from './ConditionRows.vue';
import DatedNotes from './DatedNotes.vue';
import KeepInMind from './KeepInMind.vue';
import MeasureDialog from './MeasureDialog.vue';
import PersonFields from './PersonFields.vue';
import TheirData from './TheirData.vue';
import { usePerson } from './use-person';

/** One person: what they told of, what to keep in mind, notes, the body, the breath, and the classes they came to. */
const { id } = defineProps<{ id: string }>();

const router = useRouter();
const toast = useToast();
const people = usePeople();
void people.ready();
const { stored, trouble, missing, load, change, canUndo, undo, addMeasure } = usePerson(id);
const measuring = ref(false);
const person = computed(() => stored.value?.document);
const groups = computed(() => (people.groups ?? []).filter(({ document }) => document.members.includes(id)));

const wrong = ref('');
/** A change at a field: what is refused for its content is told there; what goes wrong later is told above. */
async function put(patch: Partial<Person>): Promise<void> {
  wrong.value = (await change((before) => ({ ...before, ...patch }))) ?? '';
  if (wrong.value === '') people.changed();
}
function setName(name: string): string | undefined {
  if (name.trim() === '') return 'A name, or initials, is needed.';
  if (name.trim().length > 80) return 'A name has at most 80 letters.';
  void put({ name: name.trim() });
  return undefined;
}
function setNote(note: string): string | undefined {
  if (note.length > 2000) return 'A note has at most 2,000 letters.';
  void put({ note });
  return undefined;
}
const dropMeasure = (measureId: string): Promise<void> =>
  put({ breaths: person.value?.breaths.filter((one) => one.id !== measureId) ?? [] });
async function takeBack(): Promise<void> {
  wrong.value = (await undo()) ?? '';
  people.changed();
}
useUndoKeys(
  () => void takeBack(),
  () => undefined,
);
async function remove(): Promise<void> {
  try {
    await deletePerson(id);
    people.changed();
    toast.add({ severity: 'secondary', summary: `${person.value?.name ?? ''} is in the bin for 30 days`, life: 8000 });
    await router.push('/people');
  } catch (error) {
    wrong.value = (error as Error).message;
  }
}
async function bringBack(): Promise<void> {
  await restore({ kind: 'person', id }).then(load, (error: Error) => (wrong.value = error.message));
  people.changed();
}
</script>

<template>
  <main v-if="person" class="room">
    <BackLink to="/people" label="People" />
    <header>
      <TextField class="heading-field" hide-label label="Name" :model-value="person.name" :accept="setName" />
      <Button label="Measure the breath" @click="measuring = true" />
      <RouterLink :to="`/people/${id}/form`" class="link-button">
        {{ person.askedOn ? `Asked on ${shortDayOf(person.askedOn)}` : 'Ask by the form' }}
      </RouterLink>
      <IconButton icon="undo" label="Undo" hint="Undo (Ctrl Z)" :disabled="!canUndo" @click="takeBack" />
      <IconButton icon="remove" label="Delete" hint="Into the bin for 30 days" @click="remove" />
    </header>
    <p v-if="wrong" class="caution strong" role="alert">{{ wrong }}</p>
    <p v-if="groups.length > 0" class="small quiet">
      In
      <template v-for="(group, i) in groups" :key="group.id">
        <template v-if="i > 0">, </template>
        <RouterLink :to="`/people/groups/${group.id}`">{{ group.document.name }}</RouterLink>
      </template>
    </p>
    <TextField hide-label label="Note" placeholder="A note" :rows="2" :model-value="person.note" :accept="setNote" />
    <div class="columns">
      <div>
        <ConditionRows :conditions="person.conditions" @change="(conditions) => put({ conditions })" />
        <NotAdvice />
      </div>
      <div>
        <PersonFields :person="person" @change="put" />
        <DatedNotes :notes="person.notes" @change="(notes) => put({ notes })" />
      </div>
    </div>
    <KeepInMind :kept="person.keepInMind" @change="(keepInMind) => put({ keepInMind })" />
    <CameTo :person-id="id" />
    <BreathSection :breaths="person.breaths" @drop="dropMeasure" />
    <TheirData :id="id" :name="person.name" />
    <MeasureDialog v-model:visible="measuring" :name="person.name" :save="addMeasure" />
  </main>
  <main v-else class="room">
    <h1>{{ missing ? 'Not here' : 'People' }}</h1>
    <p v-if="missing">
      This person is not here any more.
      <button type="button" class="link-button" @click="bringBack">Take back from the bin</button> or
      <RouterLink to="/people">back to people</RouterLink>.
    </p>
    <p v-else-if="trouble" class="caution strong" role="alert">
      {{ trouble }} <button type="button" class="link-button" @click="load">Try again</button>
    </p>
  </main>
</template>

<style scoped>
.room {
  display: flex;
  flex-direction: column;
  gap: 10px;
  max-width: 1120px;
  padding: 10px 32px 40px;
}
header {
  display: flex;
  gap: 12px;
  align-items: center;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 6fr) minmax(0, 5fr);
  gap: 40px;
}
.columns > div {
  display: flex;
  flex-direction: column;
  gap: 14px;
}
@media (width < 820px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
    gap: 14px;
  }
}
@media (width < 640px) {
  .room {
    padding: 10px 16px 32px;
  }
  header {
    flex-wrap: wrap;
  }
}
</style>
