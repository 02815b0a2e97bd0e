<script setup lang="ts">
import Checkbox from 'primevue/checkbox';
import { computed, ref } from 'vue';
import { countOptions, type EntryWords, type Position } from '#core/catalogue';
import SelectField from '../../ui/fields/SelectField.vue';
import { useFilters } from './use-filters';
import { chosenOf, type ChosenValues } from './words';

/** The filters of the library, each with how many entries it would leave. */
const { query, words, entries, groups, groupSays } = defineProps<{
  query: string;
  words: EntryWords;
  /** The positions that are filtered. */
  entries: readonly Position[];
  /** The groups that it can be asked for whether an entry suits them. */
  groups: readonly { id: string; name: string }[];
  /** What is to be known of the comparison with the group that is chosen. */
  groupSays: string;
}>();
const chosen = defineModel<ChosenValues>({ required: true });
/** The group it should suit; empty for everyone. */
const group = defineModel<string>('group', { required: true });

const groupOptions = computed(() => [
  { value: '', label: 'Everyone' },
  ...groups.map(({ id, name }) => ({ value: id, label: name })),
]);
const filters = useFilters();
const folded = ref(true);
const shown = computed(() =>
  filters.value.map((filter) => {
    const counts = countOptions(
      entries,
      query,
      chosenOf(chosen.value, filters.value),
      filter.group,
      filter.options.map(({ value }) => value),
      words,
    );
    return {
      ...filter,
      options: filter.options.map((option) => ({ ...option, count: counts.get(option.value) ?? 0 })),
    };
  }),
);
</script>

<template>
  <button type="button" class="link-button fold" :aria-expanded="!folded" @click="folded = !folded">
    {{ folded ? 'Show filters' : 'Hide filters' }}
  </button>
  <aside :class="{ folded }" aria-label="Filters">
    <fieldset v-if="groups.length > 0" class="suits">
      <SelectField v-model="group" above label="Suits" :options="groupOptions" />
      <p v-if="groupSays" class="small quiet" role="status">{{ groupSays }}</p>
    </fieldset>
    <fieldset v-for="{ group: name, title, options } in shown" :key="name">
      <legend>{{ title }}</legend>
      <label v-for="{ value, label, count } in options" :key="value" :class="{ none: count === 0 }">
        <Checkbox v-model="chosen[name]" :value="value" />
        <span>{{ label }}</span>
        <span class="count">{{ count }}</span>
      </label>
    </fieldset>
  </aside>
</template>

<style scoped>
.fold {
  display: none;
}
aside {
  padding: 14px 16px 24px 32px;
  border-right: 1px solid var(--line-strong);
}
fieldset {
  margin: 0 0 14px;
  padding: 0;
  border: 0;
}
legend {
  padding: 0;
  font-weight: 600;
}
label {
  display: flex;
  gap: 8px;
  align-items: center;
  min-height: 25px;
  cursor: pointer;
}
.count {
  margin-left: auto;
  color: var(--ink-2);
}
.none {
  color: var(--ink-3);
}
@media (width < 1000px) {
  .fold {
    display: block;
    justify-self: start;
    margin: 4px 32px;
    min-height: 44px;
  }
  aside {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(180px, 1fr));
    gap: 0 24px;
    border-right: 0;
    border-bottom: 1px solid var(--line-strong);
  }
  aside.folded {
    display: none;
  }
  label {
    min-height: 32px;
  }
}
</style>
