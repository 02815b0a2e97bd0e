<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import { easyBreath } from '#core/breath';
import { newPerson } from '#core/people';
import type { StoredPerson } from '#api';
import { createPerson, listPeople } from '../client/people';
import { dayOf } from '../shared/dates';
import { newId } from '../stores/browser';

/** The people who are taught: by name, with how their breath was when it was last measured. */
const router = useRouter();
const people = shallowRef<StoredPerson[]>();
const trouble = ref('');
const name = ref('');

const seconds = (value: number | undefined): string => (value === undefined ? '' : value.toFixed(1));
const rows = computed(() =>
  (people.value ?? []).map(({ id, document }) => {
    const last = document.breaths.at(-1);
    const easy = last && easyBreath(last);
    return {
      id,
      name: document.name,
      measured: last ? dayOf(new Date(last.measuredAt).getTime()) : 'not measured yet',
      values: easy ? [easy.in, easy.out, easy.holdFull, easy.holdEmpty].map(seconds) : [],
    };
  }),
);
async function load(): Promise<void> {
  try {
    people.value = await listPeople();
    trouble.value = '';
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
async function add(): Promise<void> {
  if (name.value.trim() === '') {
    trouble.value = 'Type a name first.';
    return;
  }
  try {
    const { id } = await createPerson(newId(), newPerson(name.value.trim()));
    await router.push(`/people/${id}`);
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
void load();
</script>

<template>
  <main class="room">
    <h1>People</h1>
    <form class="add" @submit.prevent="add">
      <InputText v-model="name" placeholder="A name" aria-label="Name of someone new" maxlength="80" />
      <Button type="submit" label="Add" />
    </form>
    <p v-if="trouble" class="caution strong" role="alert">
      {{ trouble }} <button v-if="!people" type="button" class="link-button" @click="load">Try again</button>
    </p>
    <p v-if="people?.length === 0" class="empty">
      Nobody is here yet. Add someone, measure how they breathe when it is easy, and see which ratios that would suit.
    </p>
    <table v-else-if="rows.length > 0" class="figures">
      <thead>
        <tr>
          <th scope="col">Name</th>
          <th scope="col">Breath measured</th>
          <th v-for="title in ['In, s', 'Out, s', 'Full, s', 'Empty, s']" :key="title" scope="col" class="number">
            {{ title }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <th scope="row">
            <RouterLink :to="`/people/${row.id}`">{{ row.name }}</RouterLink>
          </th>
          <td class="quiet">{{ row.measured }}</td>
          <td v-for="i in 4" :key="i" class="number">{{ row.values[i - 1] ?? '' }}</td>
        </tr>
      </tbody>
    </table>
  </main>
</template>

<style scoped>
.room {
  max-width: 900px;
  padding: 18px 32px;
}
h1 {
  font-size: 27px;
  line-height: 34px;
}
.add {
  display: flex;
  gap: 10px;
  margin: 12px 0;
}
.empty {
  padding: 16px 0;
}
@media (width < 640px) {
  .room {
    padding: 12px 16px;
  }
}
</style>
