<script setup lang="ts">
import Checkbox from 'primevue/checkbox';
import { useId } from 'vue';
import FieldReason from './FieldReason.vue';

/** Yes or no, with its words beside the box. */
const {
  label = '',
  disabled = false,
  problem = '',
} = defineProps<{
  label?: string;
  disabled?: boolean;
  /** Why it cannot stay as it is. */
  problem?: string;
}>();
const checked = defineModel<boolean>({ required: true });
defineSlots<{ default?: () => unknown }>();
const id = useId();
</script>

<template>
  <span class="check">
    <Checkbox
      v-model="checked"
      binary
      size="small"
      :input-id="id"
      :disabled="disabled"
      :invalid="problem !== ''"
      :pt="{
        input: {
          'aria-invalid': problem === '' ? undefined : true,
          'aria-describedby': problem === '' ? undefined : `${id}-reason`,
        },
      }"
    />
    <label :for="id"
      ><slot>{{ label }}</slot></label
    >
    <FieldReason v-if="problem !== ''" :id="`${id}-reason`" class="reason">{{ problem }}</FieldReason>
  </span>
</template>

<style scoped>
.check {
  display: inline-grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 0 7px;
  align-items: start;
  min-height: 24px;
  padding: 2px 0;
}
label {
  cursor: pointer;
}
.reason {
  grid-column: 2;
}
@media (pointer: coarse) {
  .check {
    min-height: 44px;
  }
}
</style>
