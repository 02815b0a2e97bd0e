<script setup lang="ts">
import { computed, ref } from 'vue';
import { groupClient } from '../../client/documents';
import SelectField from '../../ui/fields/SelectField.vue';
import { usePeople } from '../../state/people';

/** The groups somebody is in; another can be chosen to add them to. */
const { id } = defineProps<{ id: string }>();

const people = usePeople();
/** So many other groups are one press away; more stand in a list. */
const FEW = 6;
const trouble = ref('');
const isIn = (members: readonly string[]): boolean => members.includes(id);
const groups = computed(() => (people.groups ?? []).filter(({ document }) => isIn(document.members)));
const others = computed(() =>
  (people.groups ?? [])
    .filter(({ document }) => !isIn(document.members))
    .map((group) => ({ value: group.id, label: group.document.name })),
);

/** Adds them, over the group as the server has it: somebody else may have changed it meanwhile. */
async function join(groupId: string): Promise<void> {
  trouble.value = '';
  try {
    const group = groupClient.at(groupId);
    const { revision, document } = await group.read();
    if (!isIn(document.members)) await group.save(revision, { ...document, members: [...document.members, id] });
    people.changed();
  } catch (error) {
    trouble.value = (error as Error).message;
  }
}
</script>

<template>
  <section aria-label="Groups">
    <h2>Groups</h2>
    <ul>
      <li v-for="group in groups" :key="group.id">
        <RouterLink :to="`/people/groups/${group.id}`">{{ group.document.name }}</RouterLink>
      </li>
    </ul>
    <p v-if="people.groups && groups.length === 0" class="small quiet">Not in a group yet.</p>
    <p v-if="others.length > 0 && others.length <= FEW" class="few small">
      <span class="quiet">Add to</span>
      <button v-for="{ value, label } in others" :key="value" type="button" class="link-button" @click="join(value)">
        {{ label }}
      </button>
    </p>
    <SelectField
      v-else-if="others.length > 0"
      hide-label
      label="Add to a group"
      placeholder="Add to a group"
      :options="others"
      :model-value="null"
      @update:model-value="join"
    />
    <RouterLink v-else-if="groups.length === 0" class="small" to="/people?view=groups">Create a group</RouterLink>
    <p v-if="trouble" class="caution small" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
h2 {
  font-size: 19px;
  line-height: 24px;
}
ul {
  padding-bottom: 6px;
}
.few {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
  align-items: baseline;
}
</style>
