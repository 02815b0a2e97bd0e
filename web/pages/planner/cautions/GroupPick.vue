<script setup lang="ts">
import { computed } from 'vue';
import { setDetails, type Plan } from '#core/plan';
import SelectField from '../../../ui/fields/SelectField.vue';
import { useEditor } from '../../../state/editor';
import { usePeople } from '../../../state/people';

/** Which group of people comes to the open plan; its name and number come with it. */
const { plan, label = 'for' } = defineProps<{ plan: Plan; label?: string }>();

const editor = useEditor();
const people = usePeople();
void people.ready();
const options = computed(() => [
  { value: '', label: 'no group chosen' },
  ...(people.groups ?? []).map(({ id, document }) => ({
    value: id,
    label: `${document.name}, ${document.members.length}`,
  })),
  // A group that was deleted, or has not loaded yet, stays selected.
  ...(plan.groupId !== null && !people.group(plan.groupId)
    ? [{ value: plan.groupId, label: people.groups ? `${plan.group || 'a group'}, could not be found` : plan.group }]
    : []),
]);
const chosen = computed({
  get: () => plan.groupId ?? '',
  set(id) {
    const group = people.group(id);
    if (id === '' || !group) editor.edit(setDetails({ groupId: id === '' ? null : id }));
    else {
      const count = group.members.length;
      editor.edit(setDetails({ groupId: id, group: group.name, ...(count > 0 && { groupSize: count }) }));
    }
  },
});
</script>

<template>
  <p v-if="people.trouble" class="caution small" role="alert">{{ people.trouble }}</p>
  <SelectField v-else-if="options.length > 1" v-model="chosen" :label="label" :options="options" />
  <RouterLink v-else to="/people?view=groups" class="small">Create a group</RouterLink>
</template>
