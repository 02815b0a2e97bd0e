<script setup lang="ts">
import RadioButton from 'primevue/radiobutton';
import { useId } from 'vue';

/** One of a few, written out below each other. */
const { label, options } = defineProps<{ label: string; options: readonly { value: string; label: string }[] }>();
const chosen = defineModel<string>({ required: true });
const id = useId();
</script>

<template>
  <span role="radiogroup" :aria-label="label" class="radios">
    <span v-for="(option, i) in options" :key="option.value" class="radio">
      <RadioButton v-model="chosen" size="small" :input-id="`${id}-${i}`" :name="id" :value="option.value" />
      <label :for="`${id}-${i}`">{{ option.label }}</label>
    </span>
  </span>
</template>

<style scoped>
.radios {
  display: flex;
  flex-direction: column;
}
.radio {
  display: flex;
  gap: 7px;
  align-items: center;
  min-height: 24px;
}
label {
  cursor: pointer;
}
@media (pointer: coarse) {
  .radio {
    min-height: 44px;
  }
}
</style>
