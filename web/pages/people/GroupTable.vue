<script setup lang="ts">
import Button from 'primevue/button';
import InputText from 'primevue/inputtext';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { namesake, newGroup } from '#core/people';
import { groupClient } from '../../client/documents';
import RecordTable from '../../ui/RecordTable.vue';
import { newId } from '../../client/new-id';
import { usePeople } from '../../state/people';

/** The groups people come in. */
const router = useRouter();
const people = usePeople();
const name = ref('');
const refused = ref('');
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
async function add(): Promise<void> {
  // Fast typing can come before the groups have loaded.
  await people.ready();
  const there = namesake(name.value, rows.value);
  refused.value =
    name.value.trim() === '' ? 'Type a name first.' : there ? `There is a group “${there.name}” already.` : '';
  if (refused.value) return;
  try {
    const { id } = await groupClient.create(newId(), newGroup(name.value.trim()));
    people.changed();
    await router.push(`/people/groups/${id}`);
  } catch (error) {
    refused.value = (error as Error).message;
  }
}
</script>

<template>
  <form class="add" @submit.prevent="add">
    <InputText
      v-model="name"
      placeholder="A group"
      aria-label="Name of a new group"
      maxlength="80"
      :invalid="refused !== ''"
    />
    <Button type="submit" label="Add" />
  </form>
  <p v-if="refused" class="caution" role="alert">{{ refused }}</p>
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
