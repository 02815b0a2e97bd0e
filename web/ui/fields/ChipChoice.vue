<script setup lang="ts" generic="T extends string">
import SelectButton from 'primevue/selectbutton';
import { useId } from 'vue';
import FieldReason from './FieldReason.vue';

/** Several of a closed list, each on or off. */
const {
  label,
  options,
  chosen,
  problem = '',
} = defineProps<{
  label: string;
  options: readonly { value: T; label: string }[];
  chosen: readonly T[];
  problem?: string;
}>();
const emit = defineEmits<{ choose: [chosen: T[]] }>();
const id = useId();

/** In the order of the list, whatever the order of choosing. */
function choose(values: readonly T[]): void {
  emit(
    'choose',
    options.map(({ value }) => value).filter((value) => values.includes(value)),
  );
}
</script>

<template>
  <div class="several">
    <span :id="id" class="sr-only">{{ label }}</span>
    <SelectButton
      multiple
      :model-value="[...chosen]"
      :options="[...options]"
      option-value="value"
      option-label="label"
      data-key="value"
      size="small"
      :aria-labelledby="id"
      :aria-describedby="problem ? `${id}-reason` : undefined"
      @update:model-value="choose"
    />
    <FieldReason v-if="problem" :id="`${id}-reason`">{{ problem }}</FieldReason>
  </div>
</template>

<style scoped>
.several :deep(.p-selectbutton) {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.several :deep(.p-togglebutton) {
  border: 1px solid var(--line-strong);
  border-radius: 4px;
}
</style>
