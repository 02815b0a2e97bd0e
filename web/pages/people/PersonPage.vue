<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { BreathMeasure } from '#core/breath';
import { restore } from '../../client/bin';
import { personClient } from '../../client/documents';
import NotAdvice from '../../widgets/cautions/NotAdvice.vue';
import DocumentPage from '../../widgets/documents/DocumentPage.vue';
import { shortDayOf } from '../../ui/dates';
import TextField from '../../ui/fields/TextField.vue';
import { usePeople } from '../../state/people';
import BreathSection from './BreathSection.vue';
import Attendance from './Attendance.vue';
import ConditionRows from './ConditionRows.vue';
import DatedNotes from './DatedNotes.vue';
import KeepInMind from './KeepInMind.vue';
import MeasureDialog from './MeasureDialog.vue';
import PersonFields from './PersonFields.vue';
import TheirData from './TheirData.vue';
import { usePerson } from './use-person';
import { useDeletedToast } from '../../widgets/documents/use-deleted-toast';

/** One person: conditions, reminders, notes, the body, the breath, and the classes they attended. */
const { id } = defineProps<{ id: string }>();

const router = useRouter();
const deleted = useDeletedToast();
const people = usePeople();
const synced = usePerson(id);
const { document: person, trouble, load, put, forget } = synced;
const measuring = ref(false);
const groups = computed(() => (people.groups ?? []).filter(({ document }) => document.members.includes(id)));

const rename = (name: string): string | undefined => put('rename', { name: name.trim() });
const setNote = (note: string): string | undefined => put('change note', { note });
const addMeasure = (measure: BreathMeasure): string | undefined =>
  put('measure the breath', { breaths: [...person.value.breaths, measure] });
const dropMeasure = (measureId: string): string | undefined =>
  put('remove a measurement', { breaths: person.value.breaths.filter((one) => one.id !== measureId) });
async function remove(): Promise<void> {
  try {
    await personClient.remove(id);
    people.changed();
    deleted(person.value.name, { kind: 'person', id }, people.changed);
    await router.push('/people');
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
async function bringBack(): Promise<void> {
  await restore({ kind: 'person', id }).then(load, (error: Error) => (trouble.value = error.message));
  people.changed();
}
</script>

<template>
  <DocumentPage
    class="person"
    :synced="synced"
    :name="person.name"
    :rename="rename"
    back-to="/people"
    back-label="People"
    noun="person"
    @remove="remove"
    @bring-back="bringBack"
  >
    <template #head>
      <Button label="Measure the breath" @click="measuring = true" />
      <RouterLink :to="`/people/${id}/form`" class="link-button">
        {{ person.askedOn ? `Screened on ${shortDayOf(person.askedOn)}` : 'Screening form' }}
      </RouterLink>
    </template>
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
        <ConditionRows
          :conditions="person.conditions"
          @change="(conditions) => put('change what was told', { conditions })"
        />
        <NotAdvice />
      </div>
      <div>
        <PersonFields :person="person" @change="(patch) => put('change a field', patch)" />
        <DatedNotes :notes="person.notes" @change="(notes) => put('change the notes', { notes })" />
      </div>
    </div>
    <KeepInMind
      :reminders="person.keepInMind"
      @change="(keepInMind) => put('change what to keep in mind', { keepInMind })"
    />
    <Attendance :person-id="id" />
    <BreathSection :breaths="person.breaths" @drop="dropMeasure" />
    <TheirData :id="id" :name="person.name" @forgotten="forget" />
    <MeasureDialog v-model:visible="measuring" :name="person.name" :save="addMeasure" />
  </DocumentPage>
</template>

<style scoped>
.person {
  gap: 10px;
  max-width: 1120px;
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
</style>
