<script setup lang="ts">
import { computed } from 'vue';
import { setDetails, type Plan } from '#core/plan';
import SelectField from '../../ui/fields/SelectField.vue';
import { useEditor } from '../../state/editor';
import { usePlaces } from '../../state/places';

/** Which place's cupboard and room a plan is compared with. */
const { plan, label = 'at' } = defineProps<{ plan: Plan; label?: string }>();

const editor = useEditor();
const places = usePlaces();
void places.ready();
const options = computed(() => [
  { value: '', label: 'no place chosen' },
  ...(places.places ?? []).map(({ id, document }) => ({ value: id, label: document.name })),
  // A place that was deleted, or has not loaded yet, stays selected.
  ...(plan.cupboard !== null && !places.place(plan.cupboard)
    ? [{ value: plan.cupboard, label: places.places ? `${plan.place || 'a place'}, could not be found` : plan.place }]
    : []),
]);
const chosen = computed({
  get: () => plan.cupboard ?? '',
  set(id) {
    const before = places.place(plan.cupboard)?.name ?? '';
    const name = places.place(id)?.name ?? '';
    // What was typed as the place stays, unless it is only the name of the place before.
    const place = plan.place === '' || plan.place === before ? name : plan.place;
    editor.edit(setDetails({ cupboard: id === '' ? null : id, place: id === '' ? plan.place : place }));
  },
});
</script>

<template>
  <SelectField v-if="options.length > 1" v-model="chosen" :label="label" :options="options" />
  <RouterLink v-else to="/places" class="small">Add a place with its props</RouterLink>
</template>
