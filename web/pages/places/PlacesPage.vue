<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import { z } from 'zod';
import { newPlace, Place, SETTINGS, type Setting } from '#core/cupboard';
import { placeClient } from '../../client/documents';
import ChoiceField from '../../ui/fields/ChoiceField.vue';
import { newId } from '../../client/new-id';
import { usePlaces } from '../../state/places';
import { capacityInWords, piecesIn, SETTING_WORDS, wallInWords } from './words';
import FormText from '../../ui/forms/FormText.vue';
import FormValue from '../../ui/forms/FormValue.vue';
import SentForm from '../../ui/forms/SentForm.vue';
import RecordTable from '../../ui/RecordTable.vue';

/** The places where classes are held, each with its cupboard, its wall and its floor. */
const router = useRouter();
const store = usePlaces();
void store.ready();
const settings = SETTINGS.map((value) => ({ value, label: SETTING_WORDS[value] }));
const rows = computed(() =>
  (store.places ?? []).map(({ id, document }) => ({
    id,
    name: document.name,
    setting: SETTING_WORDS[document.setting],
    pieces: piecesIn(document),
    room: capacityInWords(document),
    wall: wallInWords(document),
  })),
);
const NewPlace = z.strictObject({ name: Place.shape.name, setting: Place.shape.setting });
async function add({ name, setting }: z.infer<typeof NewPlace>): Promise<void> {
  const { id } = await placeClient.create(newId(), newPlace(name, setting));
  store.changed();
  await router.push(`/places/${id}`);
}
type Row = (typeof rows.value)[number];
const COLUMNS = [
  { key: 'name', label: 'Place', of: ({ name: called }: Row) => called },
  { key: 'setting', label: 'Type', of: ({ setting: type }: Row) => type },
  { key: 'pieces', label: 'Pieces', number: true, of: ({ pieces }: Row) => pieces },
  { key: 'room', label: 'Capacity', of: ({ room }: Row) => room },
  { key: 'wall', label: 'Wall', of: ({ wall }: Row) => wall },
];
</script>

<template>
  <main class="room">
    <h1>Props & places</h1>
    <SentForm :schema="NewPlace" :initial="{ name: '', setting: 'hall' }" :send="add" class="add">
      <FormText name="name" label="Name of a new place" placeholder="A place" />
      <FormValue v-slot="{ value, set }" name="setting">
        <ChoiceField
          label="Type of place"
          :options="settings"
          :model-value="value as Setting"
          @update:model-value="set"
        />
      </FormValue>
      <Button type="submit" label="Add" />
    </SentForm>
    <p v-if="store.trouble" class="caution strong" role="alert">
      {{ store.trouble }} <button type="button" class="link-button" @click="store.load">Try again</button>
    </p>
    <RecordTable
      v-if="store.places || !store.trouble"
      name="places"
      label="Places"
      :columns="COLUMNS"
      :rows="rows"
      :loading="!store.places"
    >
      <template #empty>
        <p class="empty">
          No places yet. Add the room you teach in and count its props once: plans for that room are then checked
          against them, and a class elsewhere gets a packing list.
        </p>
      </template>
      <template #name="{ row }">
        <RouterLink :to="`/places/${row.id}`">{{ row.name }}</RouterLink>
      </template>
    </RecordTable>
  </main>
</template>

<style scoped>
.room {
  max-width: 980px;
  padding: 18px 32px;
}
h1 {
  font-size: 27px;
  line-height: 34px;
}
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  margin: 12px 0;
}
.empty {
  max-width: 620px;
  padding: 16px 0;
}
@media (width < 640px) {
  .room {
    padding: 12px 16px;
  }
}
</style>
