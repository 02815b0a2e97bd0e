<script setup lang="ts">
import Button from 'primevue/button';
import { onMounted, ref } from 'vue';
import { loadSample, readSample, removeSample } from '../../client/sample';
import { usePeople } from '../../state/people';
import { usePlaces } from '../../state/places';

/** Loads the sample house to look around in, or removes it again. */
const emit = defineEmits<{ changed: [] }>();
const [people, places] = [usePeople(), usePlaces()];
const loaded = ref<boolean>();
const busy = ref(false);
const trouble = ref('');
const done = ref('');

async function look(): Promise<void> {
  try {
    ({ loaded: loaded.value } = await readSample());
    trouble.value = '';
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
async function change(): Promise<void> {
  if (busy.value) return;
  busy.value = true;
  try {
    await (loaded.value ? removeSample() : loadSample());
    done.value = loaded.value
      ? 'The sample house was removed. It stays in the bin for 30 days.'
      : 'The sample house is here: plans, sessions, people, places and a journal.';
    await look();
    people.changed();
    places.changed();
    emit('changed');
  } catch (error) {
    trouble.value = (error as Error).message;
  } finally {
    busy.value = false;
  }
}
onMounted(look);
</script>

<template>
  <Button
    v-if="loaded !== undefined"
    outlined
    :loading="busy"
    :label="loaded ? 'Remove the sample house' : 'Load the sample house'"
    @click="change"
  />
  <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
  <p v-else-if="done" class="small" role="status">{{ done }}</p>
</template>
