<script setup lang="ts">
import Button from 'primevue/button';
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import type { z } from 'zod';
import { Group, namesake, newGroup } from '#core/people';
import { groupClient } from '../../client/documents';
import FormText from '../../ui/forms/FormText.vue';
import SentForm from '../../ui/forms/SentForm.vue';
import { Refusal } from '../../ui/forms/refusals';
import RecordTable from '../../ui/RecordTable.vue';
import { newId } from '../../client/new-id';
import { usePeople } from '../../state/people';

/** The groups people come in. */
const router = useRouter();
const people = usePeople();
const rows = computed(() =>
  (people.groups ?? []).map(({ id, document: { name: called, members, note } }) => {
    const here = people.of(members);
    return {
      id,
      name: called,
      note,
      people: members.length,
      conditions: here.filter(({ person }) => person.conditions.length > 0).length,
      unasked: here.filter(({ person }) => person.askedOn === null).length,
    };
  }),
);
type Row = (typeof rows.value)[number];
const COLUMNS = [
  { key: 'name', label: 'Group', of: ({ name: called }: Row) => called },
  { key: 'people', label: 'People', number: true, of: ({ people: many }: Row) => many },
  { key: 'conditions', label: 'With conditions', number: true, of: ({ conditions }: Row) => conditions },
  { key: 'unasked', label: 'Not screened', number: true, of: ({ unasked }: Row) => unasked },
  { key: 'note', label: 'Note', of: ({ note }: Row) => note },
];
const NewGroup = Group.pick({ name: true });
async function add({ name }: z.infer<typeof NewGroup>): Promise<void> {
  // Fast typing can come before the groups have loaded.
  await people.ready();
  const there = namesake(name, rows.value);
  if (there) throw new Refusal('name', `There is a group “${there.name}” already.`);
  const { id } = await groupClient.create(newId(), newGroup(name));
  people.changed();
  await router.push(`/people/groups/${id}`);
}
</script>

<template>
  <SentForm :schema="NewGroup" :initial="{ name: '' }" :send="add" class="add">
    <FormText name="name" label="Name of a new group" placeholder="A group" />
    <Button type="submit" label="Add" />
  </SentForm>
  <RecordTable
    v-if="people.groups || !people.trouble"
    name="groups"
    label="Groups"
    :columns="COLUMNS"
    :rows="rows"
    :loading="!people.groups"
  >
    <template #empty>
      <p class="empty">
        No groups yet. A group is the people who practise together: choose it in a plan, and every step is checked for
        everyone in it.
      </p>
    </template>
    <template #name="{ row }">
      <RouterLink :to="`/people/groups/${row.id}`">{{ row.name }}</RouterLink>
    </template>
  </RecordTable>
</template>

<style scoped>
.add {
  display: flex;
  gap: 10px;
  margin: 12px 0;
}
.empty {
  max-width: 620px;
  padding: 16px 0;
}
</style>
