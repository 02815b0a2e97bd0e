<script setup lang="ts">
import Button from 'primevue/button';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { easyBreath } from '#core/breath';
import type { z } from 'zod';
import { namesake, newPerson, Person, readPersonFile } from '#core/people';
import { personClient } from '../../client/documents';
import { shortDayOf } from '../../ui/dates';
import FormText from '../../ui/forms/FormText.vue';
import SentForm from '../../ui/forms/SentForm.vue';
import RecordTable from '../../ui/RecordTable.vue';
import { newId } from '../../client/new-id';
import { usePeople } from '../../state/people';
import FileButton from '../../ui/fields/FileButton.vue';

/** Everyone by name: in which groups, how much there is to know, how their breath was. */
const MAX_BYTES = 2_000_000;
const router = useRouter();
const people = usePeople();
const refused = ref('');
/** Someone of this name is here already. */
const same = ref<{ id: string; name: string }>();

const known = computed(() => (people.people ?? []).map(({ id, document }) => ({ id, name: document.name })));
const rows = computed(() =>
  (people.people ?? []).map(({ id, document }) => {
    const last = document.breaths.at(-1);
    const easy = last && easyBreath(last);
    const groups = (people.groups ?? []).filter((group) => group.document.members.includes(id));
    return {
      id,
      name: document.name,
      groups: groups.map((group) => group.document.name).join(', '),
      conditions: document.conditions.length,
      screenedOn: document.askedOn ?? '',
      breath: easy ? `${easy.in.toFixed(1)} in, ${easy.out.toFixed(1)} out` : '',
    };
  }),
);

type Row = (typeof rows.value)[number];
const COLUMNS = [
  { key: 'name', label: 'Name', of: ({ name: called }: Row) => called },
  { key: 'groups', label: 'Groups', of: ({ groups }: Row) => groups },
  { key: 'conditions', label: 'Conditions', number: true, of: ({ conditions }: Row) => conditions },
  { key: 'screenedOn', label: 'Screened on', of: ({ screenedOn }: Row) => screenedOn },
  { key: 'breath', label: 'Easy breath, s', of: ({ breath }: Row) => breath },
];

async function make(person: Person): Promise<void> {
  try {
    const { id } = await personClient.create(newId(), person);
    people.changed();
    await router.push(`/people/${id}?new`);
  } catch (error) {
    refused.value = (error as Error).message;
  }
}
const NewPerson = Person.pick({ name: true });
/** What was typed for someone who may be here already. */
const typed = ref('');
async function add({ name }: z.infer<typeof NewPerson>): Promise<void> {
  [same.value, refused.value, typed.value] = [undefined, '', name];
  // Fast typing can come before the people have loaded.
  await people.ready();
  same.value = namesake(name, known.value);
  if (!same.value) await make(newPerson(name));
}
async function takeIn(chosen: File): Promise<void> {
  same.value = undefined;
  if (chosen.size > MAX_BYTES) {
    refused.value = `“${chosen.name}” is larger than 2 MB. A person’s file is smaller than that.`;
    return;
  }
  let value: unknown;
  try {
    value = JSON.parse(await chosen.text());
  } catch {
    refused.value = `“${chosen.name}” is not a person’s file: it is not JSON.`;
    return;
  }
  const read = readPersonFile(value);
  if (!read.ok) {
    refused.value = `“${chosen.name}” could not be added. ${read.issues.map(({ field, reason }) => `${field}: ${reason}`).join(' ')}`;
    return;
  }
  await people.ready();
  const there = namesake(read.value.name, known.value);
  if (there) {
    refused.value = `${there.name} is here already. Nothing was added.`;
    same.value = there;
  } else await make(read.value);
}
</script>

<template>
  <SentForm :schema="NewPerson" :initial="{ name: '' }" :send="add" class="add">
    <FormText name="name" label="Name of a new person" placeholder="A name, or initials" />
    <Button type="submit" label="Add" />
    <FileButton label="Open a person’s file" types=".json,application/json" @open="takeIn" />
  </SentForm>
  <p v-if="refused" class="caution" role="alert">{{ refused }}</p>
  <p v-if="same" class="caution" role="alert">
    <template v-if="!refused">{{ same.name }} is here already.</template>
    <RouterLink :to="`/people/${same.id}`">Open their page</RouterLink>
    <template v-if="!refused">
      or
      <button type="button" class="link-button" @click="make(newPerson(typed))">
        add another of this name
      </button></template
    >
  </p>
  <RecordTable
    v-if="people.people || !people.trouble"
    name="people"
    label="People"
    :columns="COLUMNS"
    :rows="rows"
    :loading="!people.people"
  >
    <template #empty>
      <p class="empty">
        Nobody here yet. Add someone by name or initials, note their conditions or let them fill in the screening form,
        and measure their easy breath. Then add people to a group and choose it in a plan.
      </p>
    </template>
    <template #name="{ row }">
      <RouterLink :to="`/people/${row.id}`">{{ row.name }}</RouterLink>
    </template>
    <template #screenedOn="{ row }">
      <template v-if="row.screenedOn">{{ shortDayOf(row.screenedOn) }}</template>
      <RouterLink v-else :to="`/people/${row.id}/form`" class="quiet">not screened</RouterLink>
    </template>
  </RecordTable>
</template>

<style scoped>
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 12px 0;
}
.empty {
  max-width: 640px;
  padding: 16px 0;
}
</style>
