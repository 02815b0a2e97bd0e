<script setup lang="ts">
import InputText from 'primevue/inputtext';
import Textarea from 'primevue/textarea';
import FieldReason from './FieldReason.vue';
import { useTyped } from './use-typed';

/**
 * A line (or, with `rows`, some lines) of text. Shows the reason under the field if it is refused; keeps what was
 * typed.
 */
const {
  modelValue,
  label,
  accept,
  placeholder = '',
  rows = 1,
  hideLabel = false,
  problem = '',
  autofocus = false,
} = defineProps<{
  modelValue: string;
  label: string;
  accept: (text: string) => string | undefined;
  placeholder?: string;
  rows?: number;
  hideLabel?: boolean;
  /** What is wrong with the value that stands here, where it was taken all the same. */
  problem?: string;
  /** The field that a dialog puts the focus into when it opens. */
  autofocus?: boolean;
}>();

const {
  id,
  typed,
  reason,
  problem: shown,
  aria,
  reasonId,
} = useTyped(
  () => modelValue,
  () => problem,
);
function commit(): void {
  reason.value = (typed.value === modelValue ? undefined : accept(typed.value)) ?? '';
}
</script>

<template>
  <span class="field labelled">
    <label :for="id" :class="{ 'sr-only': hideLabel }">{{ label }}</label>
    <Textarea
      v-if="rows > 1"
      :id="id"
      v-model="typed"
      size="small"
      :rows="rows"
      :placeholder="placeholder"
      :invalid="shown !== ''"
      v-bind="aria"
      @change="commit"
    />
    <InputText
      v-else
      :id="id"
      v-model="typed"
      size="small"
      :autofocus="autofocus"
      :placeholder="placeholder"
      :invalid="shown !== ''"
      autocomplete="off"
      v-bind="aria"
      @change="commit"
      @keydown.enter="commit"
    />
    <FieldReason v-if="shown !== ''" :id="reasonId">{{ shown }}</FieldReason>
  </span>
</template>

<style scoped>
.field {
  display: flex;
}
input,
textarea {
  width: 100%;
}
textarea {
  resize: vertical;
}
</style>
