<script setup lang="ts">
import { useTimeoutFn } from '@vueuse/core';
import InputText from 'primevue/inputtext';
import { computed, ref } from 'vue';
import type { Seconds } from '#core/numbers';
import { editableClock, inBreaths, parseBreaths, parseDuration, type BareUnit } from '#core/time';
import FieldReason from './FieldReason.vue';
import { useTyped } from './use-typed';

/**
 * A length typed as people write it. Gives seconds when what is typed can be read and is accepted; otherwise says why
 * under the field and keeps what was typed. `usual` is what counts while the field is empty: a length, or a word for
 * it.
 */
const {
  modelValue,
  label,
  accept,
  usual,
  breath = null,
  bare = 'seconds',
  large = false,
  hideLabel = false,
  problem = '',
} = defineProps<{
  modelValue: Seconds | null;
  label: string;
  /** Takes the length; returns the reason if it is refused. */
  accept: (seconds: Seconds | null) => string | undefined;
  usual?: Seconds | string;
  /** Where lengths are measured in breaths: the seconds of one. */
  breath?: Seconds | null;
  /** What a small number alone counts: minutes in a hold, or of a class. */
  bare?: BareUnit;
  large?: boolean;
  hideLabel?: boolean;
  /** What is wrong with the value that stands here, where it was taken all the same. */
  problem?: string;
}>();

/** How a number alone was understood: `5 → 5:00`. */
const understood = ref('');
const UNDERSTOOD_MS = 6000;
const { start: forgetLater } = useTimeoutFn(() => (understood.value = ''), UNDERSTOOD_MS, { immediate: false });
const placeholder = computed(() => (typeof usual === 'number' ? editableClock(usual) : (usual ?? '')));
const shown = computed(() => {
  if (modelValue === null) return '';
  return (breath === null ? undefined : inBreaths(modelValue, breath)) ?? editableClock(modelValue);
});
const {
  id,
  typed,
  reason,
  problem: shownProblem,
  aria,
  reasonId,
} = useTyped(
  () => shown.value,
  () => problem,
);

function read(text: string): ReturnType<typeof parseDuration> {
  const seconds = breath === null ? undefined : parseBreaths(text, breath);
  return seconds === undefined ? parseDuration(text, bare) : { ok: true, seconds };
}

function commit(): void {
  understood.value = '';
  if (typed.value === shown.value) {
    reason.value = '';
    return;
  }
  if (usual !== undefined && typed.value.trim() === '') {
    reason.value = accept(null) ?? '';
    return;
  }
  const parsed = read(typed.value);
  reason.value = (parsed.ok ? accept(parsed.seconds) : parsed.reason) ?? '';
  if (reason.value !== '') return;
  const text = typed.value.trim();
  if (parsed.ok && breath === null && bare !== 'seconds' && /^[\d.,]+$/.test(text)) {
    understood.value = `${text} → ${editableClock(parsed.seconds)}`;
    forgetLater();
  }
  typed.value = shown.value;
}

function nudge(by: number): void {
  const parsed = read(typed.value || (typeof usual === 'number' ? editableClock(usual) : '0'));
  if (!parsed.ok) return;
  const seconds = Math.max(0, parsed.seconds + (breath === null ? by : Math.sign(by) * breath));
  typed.value = editableClock(seconds);
  commit();
}
// One listener: several would be a new list of them, and so a new field, each time.
function onKey(event: KeyboardEvent): void {
  if (event.key === 'Enter') commit();
  const way = { ArrowUp: 1, ArrowDown: -1 }[event.key];
  if (way === undefined) return;
  event.preventDefault();
  nudge(way * (event.shiftKey ? 60 : 15));
}
</script>

<template>
  <span class="field" :class="{ large }">
    <label :for="id" :class="{ 'sr-only': hideLabel }">{{ label }}</label>
    <InputText
      :id="id"
      v-model="typed"
      size="small"
      inputmode="text"
      autocomplete="off"
      :placeholder="placeholder"
      :invalid="shownProblem !== ''"
      :aria-invalid="aria['aria-invalid']"
      :aria-describedby="aria['aria-describedby']"
      @change="commit"
      @keydown="onKey"
    />
    <span v-if="shownProblem === '' && understood !== ''" class="understood" role="status">{{ understood }}</span>
    <FieldReason v-if="shownProblem !== ''" :id="reasonId" floating>{{ shownProblem }}</FieldReason>
  </span>
</template>

<style scoped>
.field {
  display: inline-flex;
  position: relative;
  gap: 8px;
  align-items: center;
}
label {
  color: var(--ink-2);
}
input {
  width: 72px;
  height: 28px;
  padding: 0 6px;
  border-color: transparent;
  border-bottom-color: var(--line-strong);
  border-radius: 3px;
  background: none;
  font-variant-numeric: tabular-nums;
}
.understood {
  color: var(--ink-2);
  font-size: 13px;
  line-height: 18px;
  white-space: nowrap;
}
input::placeholder {
  color: var(--ink-3);
  opacity: 1;
}
input:hover:not(.p-invalid) {
  border-color: var(--line-strong);
}
input.p-invalid {
  border-color: var(--caution);
}
.large {
  flex-direction: column;
  gap: 0;
  align-items: stretch;
}
.large input {
  width: 100%;
  height: 40px;
  font: 500 26px/34px var(--head);
  font-variant-numeric: tabular-nums;
}
.field-reason {
  right: 0;
}
@media (pointer: coarse) {
  input {
    height: 44px;
  }
}
</style>
