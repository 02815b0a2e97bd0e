<script setup lang="ts">
import { computed } from 'vue';
import { EVERYTHING } from '#core/review';
import ChoiceField from '../../../ui/fields/ChoiceField.vue';
import SelectField from '../../../ui/fields/SelectField.vue';
import { usePeople } from '../../../state/people';
import { SPANS, type useWeeks } from './use-trends';
import DayField from '../../../ui/fields/DayField.vue';

/** The period, and what of it is shown: by plan, group, person and position. */
const { weeks } = defineProps<{ weeks: ReturnType<typeof useWeeks> }>();
const { span, fromDay, untilDay, range, filter } = weeks;

const store = usePeople();
void store.ready();
type Field = 'planId' | 'group' | 'person' | 'position';
const any = (label: string) => ({ value: '', label });
const people = computed(() => weeks.people.value.map((id) => ({ value: id, label: store.shown(id) })));
const picks = computed(() => [
  { field: 'planId' as Field, label: 'Plan', options: [any('all plans'), ...weeks.plans.value] },
  { field: 'group' as Field, label: 'Group', options: [any('all groups'), ...weeks.groups.value] },
  { field: 'person' as Field, label: 'Person', options: [any('everyone'), ...people.value] },
  { field: 'position' as Field, label: 'Position', options: [any('all positions'), ...weeks.positions.value] },
]);
const filtered = computed(() => picks.value.some(({ field }) => filter.value[field] !== null));
function pick(field: Field, value: string): void {
  filter.value = { ...filter.value, [field]: value || null };
}
function setDay(which: 'from' | 'until', day: string): string | undefined {
  if (day === '') return 'A day is needed.';
  (which === 'from' ? fromDay : untilDay).value = day;
  return undefined;
}
</script>

<template>
  <form class="filters" aria-label="Filters" @submit.prevent>
    <ChoiceField v-model="span" label="Period" :options="SPANS" />
    <span v-if="span === 'own'" class="days">
      <DayField label="from" :above="false" :model-value="fromDay" :accept="(day) => setDay('from', day)" />
      <DayField label="to" :above="false" :model-value="untilDay" :accept="(day) => setDay('until', day)" />
      <span v-if="range.wrong" class="caution small" role="alert">{{ range.wrong }}</span>
    </span>
    <SelectField
      v-for="{ field, label, options } in picks"
      :key="field"
      hide-label
      :label="label"
      :options="options"
      :model-value="filter[field] ?? ''"
      @update:model-value="pick(field, $event)"
    />
    <button v-if="filtered" type="button" class="link-button" @click="filter = { ...EVERYTHING }">Show all</button>
  </form>
</template>

<style scoped>
.filters {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  padding: 10px 0;
}
.days {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
form :deep(.p-select) {
  max-width: min(240px, 80vw);
}
</style>
