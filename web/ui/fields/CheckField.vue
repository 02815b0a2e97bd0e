<script setup lang="ts">
import Checkbox from 'primevue/checkbox';
import { useId } from 'vue';

/** Yes or no, with its words beside the box. */
const {
  label = '',
  disabled = false,
  describedBy,
} = defineProps<{ label?: string; disabled?: boolean; describedBy?: string | undefined }>();
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
      :pt="describedBy ? { input: { 'aria-describedby': describedBy } } : undefined"
    />
    <label :for="id"
      ><slot>{{ label }}</slot></label
    >
  </span>
</template>

<style scoped>
.check {
  display: inline-flex;
  gap: 7px;
  align-items: start;
  min-height: 24px;
  padding: 2px 0;
}
label {
  cursor: pointer;
}
@media (pointer: coarse) {
  .check {
    min-height: 44px;
  }
}
</style>
