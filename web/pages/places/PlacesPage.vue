<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { newPlace, SETTINGS, type Setting } from '#core/cupboard';
import { placeClient } from '../../client/documents';
import ChoiceField from '../../ui/fields/ChoiceField.vue';
import { newId } from '../../client/new-id';
import { usePlaces } from '../../state/places';
import { capacityInWords, piecesIn, SETTING_WORDS, wallInWords } from './words';
import RecordTable from '../../ui/RecordTable.vue';

/** The places where classes are held, each with its cupboard, its wall and its floor. */
const router = useRouter();
const store = usePlaces();
void store.ready();
const name = ref('');
const setting = ref<Setting>('hall');
const refused = ref('');
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
async function add(): Promise<void> {
  refused.value = name.value.trim() === '' ? 'Type a name first.' : '';
  if (refused.value) return;
  try {
    const { id } = await placeClient.create(newId(), newPlace(name.value.trim(), setting.value));
    store.changed();
    await router.push(`/places/${id}`);
  } catch (error) {
    refused.value = (error as Error).message;
  }
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
    <form class="add" @submit.prevent="add">
      <InputText
        v-model="name"
        placeholder="A place"
        aria-label="Name of a new place"
        maxlength="80"
        :invalid="refused !== ''"
      />
      <ChoiceField v-model="setting" label="Type of place" :options="settings" />
      <Button type="submit" label="Add" />
    </form>
    <p v-if="refused" class="caution" role="alert">{{ refused }}</p>
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
