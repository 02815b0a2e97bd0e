<script setup lang="ts">
import { ref, useId, watch } from 'vue';

/** A line (or, with `rows`, some lines) of text. Gives the reason under the field where it is refused; keeps what was typed. */
const {
  modelValue,
  label,
  accept,
  placeholder = '',
  rows = 1,
  hideLabel = false,
  type = 'text',
} = defineProps<{
  modelValue: string;
  label: string;
  accept: (text: string) => string | undefined;
  placeholder?: string;
  rows?: number;
  hideLabel?: boolean;
  type?: string;
}>();

const id = useId();
const typed = ref('');
const reason = ref('');
watch(
  () => modelValue,
  (text) => {
    typed.value = text;
    reason.value = '';
  },
  { immediate: true },
);
function commit(): void {
  reason.value = (typed.value === modelValue ? undefined : accept(typed.value)) ?? '';
}
</script>

<template>
  <span class="field" :class="{ bad: reason !== '' }">
    <label :for="id" :class="{ 'sr-only': hideLabel }">{{ label }}</label>
    <textarea
      v-if="rows > 1"
      :id="id"
      v-model="typed"
      :rows="rows"
      :placeholder="placeholder"
      :aria-invalid="reason !== ''"
      @change="commit"
    />
    <input
      v-else
      :id="id"
      v-model="typed"
      :type="type"
      :placeholder="placeholder"
      :aria-invalid="reason !== ''"
      autocomplete="off"
      @change="commit"
      @keydown.enter="commit"
    />
    <span v-if="reason !== ''" class="reason" role="alert">{{ reason }}</span>
  </span>
</template>

<style scoped>
.field {
  display: flex;
  flex-direction: column;
  gap: 2px;
  min-width: 0;
}
label {
  color: var(--ink-2);
  font-size: 12.5px;
  line-height: 16px;
}
input,
textarea {
  width: 100%;
  min-height: 30px;
  padding: 4px 8px;
  border: 1px solid var(--line-strong);
  border-radius: 4px;
  background: var(--sheet);
  color: var(--ink);
  font: inherit;
}
textarea {
  resize: vertical;
}
.bad input,
.bad textarea {
  border-color: var(--caution);
}
.reason {
  color: var(--caution);
  font-size: 13px;
  line-height: 17px;
}
</style>
