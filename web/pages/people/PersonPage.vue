<script setup lang="ts">
import Button from 'primevue/button';
import { ref, shallowRef } from 'vue';
import { useRoute } from 'vue-router';
import type { BreathMeasure } from '#core/breath';
import type { Practised } from '#core/review';
import { personClient } from '../../client/documents';
import { listPractised } from '../../client/practised';
import NotAdvice from '../../widgets/cautions/NotAdvice.vue';
import DocumentPage from '../../widgets/documents/DocumentPage.vue';
import { shortDayOf } from '../../ui/dates';
import TextField from '../../ui/fields/TextField.vue';
import { usePeople } from '../../state/people';
import BreathSection from './BreathSection.vue';
import BodyFields from './BodyFields.vue';
import Attendance from './Attendance.vue';
import ConditionRows from './ConditionRows.vue';
import DatedNotes from './DatedNotes.vue';
import KeepInMind from './KeepInMind.vue';
import MeasureDialog from './MeasureDialog.vue';
import PersonFields from './PersonFields.vue';
import TheirGroups from './TheirGroups.vue';
import TheirData from './TheirData.vue';
import { usePerson } from './use-person';
import { useBinning } from '../../widgets/documents/use-binning';

/** One person: conditions, reminders, notes, the body, the breath, and the classes they attended. */
const { id } = defineProps<{ id: string }>();

const people = usePeople();
const synced = usePerson(id);
const { document: person, put, forget } = synced;
const measuring = ref(false);
/** What they attended; undefined until it has loaded. */
const sessions = shallowRef<readonly Practised[]>();
const notLoaded = ref('');
listPractised(0, Date.now()).then(
  (found) => (sessions.value = found.filter((session) => session.people.includes(id))),
  (error: Error) => (notLoaded.value = error.message),
);
/** They were added a moment ago, and nothing is known of them yet. */
const isNew = useRoute().query.new !== undefined;

const rename = (name: string): string | undefined => put('rename', { name: name.trim() });
const setNote = (note: string): string | undefined => put('change note', { note });
const addMeasure = (measure: BreathMeasure): string | undefined =>
  put('measure the breath', { breaths: [...person.value.breaths, measure] });
const dropMeasure = (measureId: string): string | undefined =>
  put('remove a measurement', { breaths: person.value.breaths.filter((one) => one.id !== measureId) });
const { remove, bringBack } = useBinning(
  { kind: 'person', id },
  {
    synced,
    remove: personClient.remove,
    name: () => person.value.name,
    changed: people.changed,
    listPath: '/people',
  },
);
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
    <div class="columns">
      <div class="main">
        <ConditionRows
          :conditions="person.conditions"
          :is-new="isNew"
          @change="(conditions) => put('change what was told', { conditions })"
        />
        <NotAdvice />
        <KeepInMind
          :reminders="person.keepInMind"
          @change="(keepInMind) => put('change what to keep in mind', { keepInMind })"
        />
        <BodyFields :person="person" @change="(patch) => put('change a field', patch)" />
        <BreathSection :breaths="person.breaths" :sessions="sessions" :person-id="id" @drop="dropMeasure" />
        <Attendance :sessions="sessions" :trouble="notLoaded" />
      </div>
      <div class="aside">
        <TextField label="Note" placeholder="A note" :rows="2" :model-value="person.note" :accept="setNote" />
        <TheirGroups :id="id" />
        <PersonFields :person="person" @change="(patch) => put('change a field', patch)" />
        <DatedNotes :notes="person.notes" @change="(notes) => put('change the notes', { notes })" />
        <TheirData :id="id" :name="person.name" @forgotten="forget" />
      </div>
    </div>
    <MeasureDialog v-model:visible="measuring" :name="person.name" :save="addMeasure" />
  </DocumentPage>
</template>

<style scoped>
.person {
  gap: 10px;
  max-width: 1180px;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
  gap: 40px;
}
.columns > div {
  display: flex;
  flex-direction: column;
  gap: 20px;
}
.aside {
  padding-left: 24px;
  border-left: 1px solid var(--line);
}
@media (width < 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
    gap: 20px;
  }
  .aside {
    padding-left: 0;
    border-left: 0;
  }
}
</style>
