<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, ref, useTemplateRef } from 'vue';
import { useRouter } from 'vue-router';
import { easyBreath } from '#core/breath';
import { searchable } from '#core/catalogue';
import { namesake, newPerson, readPersonFile, type Person } from '#core/people';
import { personClient } from '../../client/documents';
import AppIcon from '../../ui/AppIcon.vue';
import { shortDayOf } from '../../ui/dates';
import SortedTable from '../../ui/SortedTable.vue';
import { newId } from '../../client/new-id';
import { usePeople } from '../../state/people';

/** Everyone by name: in which groups, how much there is to know, how their breath was. */
const MAX_BYTES = 2_000_000;
const router = useRouter();
const people = usePeople();
const name = ref('');
const refused = ref('');
/** Someone of this name is here already. */
const same = ref<{ id: string; name: string }>();
const query = ref('');
const file = useTemplateRef<HTMLInputElement>('file');

const known = computed(() => (people.people ?? []).map(({ id, document }) => ({ id, name: document.name })));
const rows = computed(() => {
  const wanted = searchable(query.value);
  return (people.people ?? [])
    .filter(({ document }) => searchable(document.name).includes(wanted))
    .map(({ id, document }) => {
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
    });
});

type Row = (typeof rows.value)[number];
const COLUMNS = [
  { key: 'name', label: 'Name', of: ({ name: called }: Row) => called },
  { key: 'groups', label: 'Groups', of: ({ groups }: Row) => groups },
  { key: 'conditions', label: 'Told of', number: true, of: ({ conditions }: Row) => conditions },
  { key: 'screenedOn', label: 'Asked on', of: ({ screenedOn }: Row) => screenedOn },
  { key: 'breath', label: 'Easy breath, s', of: ({ breath }: Row) => breath },
];

async function make(person: Person): Promise<void> {
  try {
    const { id } = await personClient.create(newId(), person);
    people.changed();
    await router.push(`/people/${id}`);
  } catch (error) {
    refused.value = (error as Error).message;
  }
}
async function add(anyway = false): Promise<void> {
  same.value = undefined;
  refused.value = name.value.trim() === '' ? 'Type a name, or initials, first.' : '';
  if (refused.value) return;
  // Fast typing can come before the people have loaded.
  await people.ready();
  same.value = anyway ? undefined : namesake(name.value, known.value);
  if (!same.value) await make(newPerson(name.value.trim()));
}
async function takeIn(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const [chosen] = input.files ?? [];
  input.value = '';
  if (!chosen) return;
  same.value = undefined;
  if (chosen.size > MAX_BYTES) {
    refused.value = `“${chosen.name}” is larger than 2 MB; the file of a person is not.`;
    return;
  }
  let value: unknown;
  try {
    value = JSON.parse(await chosen.text());
  } catch {
    refused.value = `“${chosen.name}” is not the file of a person: it is no JSON.`;
    return;
  }
  const read = readPersonFile(value);
  if (!read.ok) {
    refused.value = `“${chosen.name}” cannot be taken in. ${read.issues.map(({ field, reason }) => `${field}: ${reason}`).join(' ')}`;
    return;
  }
  await people.ready();
  const there = namesake(read.value.name, known.value);
  if (there) {
    refused.value = `${there.name} is here already. Nothing was taken in.`;
    same.value = there;
  } else await make(read.value);
}
</script>

<template>
  <form class="add" @submit.prevent="add()">
    <InputText
      v-model="name"
      placeholder="A name, or initials"
      aria-label="Name of someone new"
      maxlength="80"
      :invalid="refused !== '' || same !== undefined"
    />
    <Button type="submit" label="Add" />
    <Button type="button" text label="From a file" @click="file?.click()"
      ><template #icon><AppIcon name="open" /></template
    ></Button>
    <input ref="file" class="sr-only" type="file" accept=".json" aria-label="File of a person" @change="takeIn" />
    <InputText
      v-if="rows.length > 8 || query"
      v-model="query"
      class="end"
      placeholder="Find"
      aria-label="Find someone"
    />
  </form>
  <p v-if="refused" class="caution" role="alert">{{ refused }}</p>
  <p v-if="same" class="caution" role="alert">
    <template v-if="!refused">{{ same.name }} is here already.</template>
    <RouterLink :to="`/people/${same.id}`">Open their page</RouterLink>
    <template v-if="!refused">
      or
      <button type="button" class="link-button" @click="add(true)">add another of this name</button></template
    >
  </p>
  <p v-if="people.people?.length === 0" class="empty">
    Nobody is here yet. Add someone by name or initials; tell what to be careful of, or let them fill in the screening
    form; measure how they breathe when it is easy. Then put people together in a group and choose it in a plan.
  </p>
  <p v-else-if="people.people && rows.length === 0" class="empty">Nobody of this name.</p>
  <SortedTable v-else-if="rows.length > 0" :columns="COLUMNS" :rows="rows">
    <template #name="{ row }">
      <RouterLink :to="`/people/${row.id}`">{{ row.name }}</RouterLink>
    </template>
    <template #screenedOn="{ row }">
      <template v-if="row.screenedOn">{{ shortDayOf(row.screenedOn) }}</template>
      <RouterLink v-else :to="`/people/${row.id}/form`" class="quiet">not yet: ask</RouterLink>
    </template>
  </SortedTable>
</template>

<style scoped>
.add {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  margin: 12px 0;
}
.end {
  margin-left: auto;
}
.empty {
  max-width: 640px;
  padding: 16px 0;
}
</style>
