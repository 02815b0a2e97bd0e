<script setup lang="ts">
import { useToast } from 'primevue/usetoast';
import { computed, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { groupTooLarge, newPlace, Place, propNeeds, readPlace, SETTINGS } from '#core/cupboard';
import { compileTimeline } from '#core/timeline';
import type { StoredPlan } from '#api';
import { deletePlace, placeConflictOf, readPlaceById, savePlace } from '../client/places';
import { listPlans, restore } from '../client/plans';
import BackLink from '../shared/BackLink.vue';
import ChoiceField from '../shared/fields/ChoiceField.vue';
import PickField from '../shared/fields/PickField.vue';
import TextField from '../shared/fields/TextField.vue';
import IconButton from '../shared/IconButton.vue';
import KeptStatus from '../shared/KeptStatus.vue';
import { people } from '../shared/plan-words';
import { useUndoKeys } from '../shared/use-undo-keys';
import { keptDocument } from '../stores/kept-document';
import { useLibrary } from '../stores/library';
import { usePlaces } from '../stores/places';
import OwnKindRows from './OwnKindRows.vue';
import RoomFields from './RoomFields.vue';
import StockTable from './StockTable.vue';
import { piecesIn, SETTING_WORDS } from './words';

/** One place: what is in its cupboard, its mats, wall and floor, and what a plan needs of it. */
const { id } = defineProps<{ id: string }>();

const router = useRouter();
const toast = useToast();
const library = useLibrary();
const places = usePlaces();
const { document, here, trouble, missing, theirs, saving, ready, load, save, change, settle, ...history } =
  keptDocument<Place>({
    unsentKey: `zovrin.place.unsent.${id}`,
    start: newPlace('', 'hall'),
    schema: Place,
    read: readPlace,
    fetch: () => readPlaceById(id),
    send: (revision, place) => savePlace(id, revision, place),
    conflictOf: placeConflictOf,
    saved: places.changed,
  });
const { undo, redo, canUndo, canRedo } = history;
void ready();
useUndoKeys(undo, redo);

const accept = (name: string, patch: Partial<Place>): string | undefined =>
  change(name, { ...document.value, ...patch });
const settings = SETTINGS.map((value) => ({ value, label: SETTING_WORDS[value] }));

const plans = shallowRef<StoredPlan[]>([]);
/** Which plan is held against the cupboard. */
const planId = ref('');
const planTrouble = ref('');
listPlans('').then(
  ({ plans: found }) => {
    plans.value = found;
    planId.value = found.find(({ document: plan }) => plan.cupboard === id)?.id ?? '';
  },
  (error: Error) => (planTrouble.value = error.message),
);
const planChoices = computed(() => [
  { value: '', label: 'no plan' },
  ...plans.value.map(({ id: value, document: plan }) => ({ value, label: `${plan.title}, ${people(plan.groupSize)}` })),
]);
const plan = computed(() => plans.value.find((one) => one.id === planId.value)?.document);
const needs = computed(() => plan.value && propNeeds(compileTimeline(plan.value, library.all), plan.value.groupSize));
const tooMany = computed(() => (plan.value ? groupTooLarge(document.value, plan.value.groupSize) : ''));

async function remove(): Promise<void> {
  try {
    await deletePlace(id);
    places.changed();
    toast.add({ severity: 'secondary', summary: `${document.value.name} is in the bin for 30 days`, life: 8000 });
    await router.push('/cupboard');
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
async function bringBack(): Promise<void> {
  await restore({ kind: 'place', id }).then(load, (error: Error) => (trouble.value = error.message));
  places.changed();
}
</script>

<template>
  <main v-if="here" class="room">
    <BackLink to="/cupboard" label="Cupboard" />
    <header>
      <TextField
        class="heading-field"
        hide-label
        label="Name"
        :model-value="document.name"
        :accept="(name) => accept('rename', { name: name.trim() })"
      />
      <span class="small quiet" role="status">{{ saving ? 'Saving' : '' }}</span>
      <ChoiceField
        label="What sort of place"
        :options="settings"
        :model-value="document.setting"
        @update:model-value="(setting) => accept('change sort', { setting })"
      />
      <IconButton icon="undo" label="Undo" hint="Undo (Ctrl Z)" :disabled="!canUndo" @click="undo" />
      <IconButton icon="redo" label="Redo" hint="Redo (Ctrl Shift Z)" :disabled="!canRedo" @click="redo" />
      <IconButton icon="remove" label="Delete" hint="Into the bin for 30 days" @click="remove" />
    </header>
    <KeptStatus
      what="This place was"
      :trouble="trouble"
      :conflict="theirs !== undefined"
      @save="save"
      @settle="settle"
    />
    <TextField
      hide-label
      label="Note"
      placeholder="A note: the key, the light, what sticks"
      :model-value="document.note"
      :accept="(note) => accept('change note', { note })"
    />
    <div class="columns">
      <section aria-label="In the cupboard">
        <div class="against">
          <h2>
            In the cupboard <span class="small quiet">{{ piecesIn(document) }} pieces</span>
          </h2>
          <PickField v-if="plans.length > 1" v-model="planId" label="held against" :options="planChoices" />
        </div>
        <p v-if="planTrouble" class="caution small" role="alert">{{ planTrouble }}</p>
        <p v-if="plan" class="small">
          <RouterLink :to="`/plans/${planId}/props`">What “{{ plan.title }}” needs, step by step</RouterLink>
          <span v-if="tooMany" class="caution strong" role="alert"> · {{ tooMany }}</span>
        </p>
        <StockTable :place="document" :needs="needs" :accept="accept" />
        <OwnKindRows :place="document" :accept="accept" />
      </section>
      <section aria-label="The room">
        <RoomFields :place="document" :accept="accept" />
      </section>
    </div>
  </main>
  <main v-else class="room">
    <h1>{{ missing ? 'Not here' : 'Cupboard' }}</h1>
    <p v-if="missing">
      This place is not here any more.
      <button type="button" class="link-button" @click="bringBack">Take back from the bin</button> or
      <RouterLink to="/cupboard">back to the cupboard</RouterLink>.
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
  gap: 6px;
  padding: 8px 32px 40px;
}
header {
  display: flex;
  gap: 8px;
  align-items: center;
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 6fr) minmax(0, 5fr);
  gap: 40px;
  margin-top: 6px;
}
.against {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  justify-content: space-between;
}
.against :deep(select) {
  max-width: 250px;
}
h2 {
  font-size: 19px;
  line-height: 26px;
}
@media (width < 980px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
    gap: 12px;
  }
}
@media (width < 640px) {
  .room {
    padding: 8px 16px 32px;
  }
  header {
    flex-wrap: wrap;
  }
}
</style>
