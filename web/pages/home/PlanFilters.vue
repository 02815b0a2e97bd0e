<script setup lang="ts">
import { computed } from 'vue';
import type { PlanOrder, PlanTagsResponse } from '#api';
import SelectField from '../../ui/fields/SelectField.vue';

/** Which plans are listed, and in what order. */
const { tags, tag, archived } = defineProps<{ tags: PlanTagsResponse; tag: string; archived: boolean }>();
const sort = defineModel<PlanOrder>('sort', { required: true });
const emit = defineEmits<{ show: [what: { tag?: string; archived?: boolean }] }>();

/** The archive and the tags in one list: `archived`, or a tag after `tag:`. */
const shown = computed(() => (archived ? 'archived' : tag === '' ? '' : `tag:${tag}`));
const choices = computed(() => [
  { value: '', label: 'All plans' },
  ...tags.items.map(({ tag: name, plans }) => ({ value: `tag:${name}`, label: `${name} (${plans})` })),
  ...(tag !== '' && !tags.items.some((one) => `tag:${one.tag}` === shown.value)
    ? [{ value: `tag:${tag}`, label: `${tag} (0)` }]
    : []),
  ...(archived || tags.archived > 0 ? [{ value: 'archived', label: `Archived (${tags.archived})` }] : []),
]);
const choose = (value: string): void =>
  emit('show', value === 'archived' ? { archived: true } : { tag: value.slice('tag:'.length) });
const ORDERS: readonly { value: PlanOrder; label: string }[] = [
  { value: 'changed', label: 'Last changed' },
  { value: 'taught', label: 'Last taught' },
  { value: 'date', label: 'Date of the class' },
  { value: 'title', label: 'Title' },
  { value: 'length', label: 'Class length' },
];
</script>

<template>
  <div class="filters">
    <SelectField
      v-if="choices.length > 1"
      label="Show"
      :options="choices"
      :model-value="shown"
      @update:model-value="choose"
    />
    <SelectField v-model="sort" label="Sort by" :options="ORDERS" />
  </div>
</template>

<style scoped>
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  justify-content: space-between;
  padding: 8px 0;
}
</style>
