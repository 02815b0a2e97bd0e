<script setup lang="ts">
import { computed, ref, useId, watch } from 'vue';

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
  type = 'text',
  problem = '',
  autofocus = false,
} = defineProps<{
  modelValue: string;
  label: string;
  accept: (text: string) => string | undefined;
  placeholder?: string;
  rows?: number;
  hideLabel?: boolean;
  type?: string;
  /** What is wrong with the value that stands here, where it was taken all the same. */
  problem?: string;
  /** The field that a dialog puts the focus into when it opens. */
  autofocus?: boolean;
}>();

const id = useId();
const typed = ref('');
const reason = ref('');
const shownProblem = computed(() => reason.value || problem);
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
  <span class="field" :class="{ bad: shownProblem !== '' }">
    <label :for="id" :class="{ 'sr-only': hideLabel }">{{ label }}</label>
    <textarea
      v-if="rows > 1"
      :id="id"
      v-model="typed"
      :rows="rows"
      :placeholder="placeholder"
      :aria-invalid="shownProblem !== ''"
      @change="commit"
    />
    <input
      v-else
      :id="id"
      v-model="typed"
      :type="type"
      :autofocus="autofocus"
      :placeholder="placeholder"
      :aria-invalid="shownProblem !== ''"
      autocomplete="off"
      @change="commit"
      @keydown.enter="commit"
    />
    <span v-if="shownProblem !== ''" class="reason" role="alert">{{ shownProblem }}</span>
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
