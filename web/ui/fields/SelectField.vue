<script setup lang="ts" generic="T extends string | number">
import Select from 'primevue/select';
import { computed, nextTick, shallowRef, useId, watch } from 'vue';
import { overlays } from '../overlays';

/** A group of choices in a list, under its own heading. */
interface Group {
  label: string;
  items: readonly Choice[];
}
interface Choice {
  value: T;
  label: string;
  disabled?: boolean;
}

/** One of a list, which opens. Long lists can be searched. */
const {
  modelValue,
  label,
  options,
  groups,
  hideLabel = false,
  above = false,
  disabled = false,
  placeholder = '',
} = defineProps<{
  /** What is chosen; null while nothing is. */
  modelValue: T | null;
  label: string;
  options?: readonly Choice[];
  /** In place of `options`: the choices in groups. */
  groups?: readonly Group[];
  hideLabel?: boolean;
  /** The label stands above the list and not beside it. */
  above?: boolean;
  disabled?: boolean;
  /** What stands there while nothing of the list is chosen. */
  placeholder?: string;
}>();
const emit = defineEmits<{ 'update:modelValue': [value: T] }>();

/**
 * The choices by their place in the list: the list itself takes an empty text for nothing chosen, and here it is a
 * choice such as “all plans”.
 */
const all = computed(() => options ?? groups?.flatMap(({ items }) => items) ?? []);
const placeOf = (value: T | null): number | null => {
  const at = all.value.findIndex((one) => one.value === value);
  return at < 0 ? null : at;
};
/** What the list shows: after each choice what the document has, also where it took none of it. */
const shown = shallowRef(placeOf(modelValue));
watch([() => modelValue, all], () => (shown.value = placeOf(modelValue)));
function choose(at: number | null): void {
  const choice = at === null ? undefined : all.value[at];
  if (!choice) return;
  shown.value = at;
  emit('update:modelValue', choice.value);
  void nextTick(() => (shown.value = placeOf(modelValue)));
}

const LONG = 12;
const id = useId();
const placed = ({ value, label: text, disabled: off = false }: Choice) => ({ at: placeOf(value), label: text, off });
const list = computed(() =>
  groups ? groups.map((one) => ({ label: one.label, items: one.items.map(placed) })) : all.value.map(placed),
);
/** The list's own turning points of the focus are reached by it alone, and by no Tab key. */
const TURNS = { hiddenFirstFocusableEl: { tabindex: -1 }, hiddenLastFocusableEl: { tabindex: -1 } };
/** Without these the list takes no options out of groups. */
const grouping = computed(() => (groups ? { optionGroupLabel: 'label', optionGroupChildren: 'items' } : {}));
</script>

<template>
  <span class="select" :class="{ above }">
    <label :id="id" :class="{ 'sr-only': hideLabel }">{{ label }}</label>
    <Select
      :append-to="overlays()"
      :model-value="shown"
      :options="list"
      option-value="at"
      option-label="label"
      option-disabled="off"
      v-bind="grouping"
      :pt="TURNS"
      size="small"
      :aria-labelledby="id"
      :disabled="disabled"
      :placeholder="placeholder"
      :filter="all.length > LONG"
      auto-filter-focus
      reset-filter-on-hide
      filter-placeholder="Search"
      empty-filter-message="No matches"
      scroll-height="320px"
      @update:model-value="choose"
    />
  </span>
</template>

<style scoped>
.select {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-width: 0;
}
.above {
  flex-direction: column;
  gap: 2px;
  align-items: stretch;
}
label {
  color: var(--ink-2);
  font-size: 13.5px;
}
.above label {
  font-size: 12.5px;
  line-height: 16px;
}
.select,
.select :deep(.p-select) {
  min-width: 0;
  max-width: 100%;
}
</style>
