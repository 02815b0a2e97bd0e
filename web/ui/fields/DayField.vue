<script setup lang="ts">
import DatePicker from 'primevue/datepicker';
import { format, parseISO } from 'date-fns';
import { computed, nextTick, useTemplateRef } from 'vue';
import { dateStyle } from '../dates';
import { pickerPattern, readDay, readMoment, typedDay, typedMoment, typedPattern } from '../typed-dates';
import FieldReason from './FieldReason.vue';
import { useTyped } from './use-typed';
import { overlays } from '../overlays';

/**
 * A day of the calendar, `2026-11-26`, or with `time` a moment on the clock of this place, `2026-11-26T18:30`; empty is
 * none. It is typed as people here write it, or picked from a calendar. What cannot be read, or is refused, stays typed
 * with the reason under it.
 */
const {
  modelValue,
  label,
  accept,
  time = false,
  hideLabel = false,
  above = true,
  problem = '',
} = defineProps<{
  modelValue: string;
  label: string;
  accept: (when: string) => string | undefined;
  time?: boolean;
  hideLabel?: boolean;
  above?: boolean;
  problem?: string;
}>();

const shownText = computed(() => (time ? typedMoment(modelValue) : typedDay(modelValue)));
const {
  id,
  typed,
  reason,
  problem: shown,
  aria,
  reasonId,
} = useTyped(
  () => shownText.value,
  () => problem,
);
const picked = computed(() => (modelValue === '' ? null : parseISO(modelValue)));
const example = computed(() => (time ? typedMoment('2026-11-26T18:30') : typedDay('2026-11-26')));
const pattern = computed(() => (time ? `${typedPattern()} hh:mm` : typedPattern()).toLowerCase());
const field = useTemplateRef<{ $el: HTMLElement }>('field');

function take(when: string): void {
  reason.value = (when === modelValue ? undefined : accept(when)) ?? '';
}
function commit(): void {
  const text = typed.value.trim();
  if (text === shownText.value) return void (reason.value = '');
  const when = text === '' ? '' : time ? readMoment(text) : readDay(text);
  if (when === undefined) reason.value = `Type a date${time ? ' and a time' : ''} like ${example.value}.`;
  else take(when);
  // The calendar puts its own text back; what was refused is to stay.
  if (reason.value !== '') void nextTick(show);
}
function show(): void {
  const input = field.value?.$el.querySelector('input');
  if (input) input.value = typed.value;
}
function pick(day: unknown): void {
  if (!(day instanceof Date)) return;
  const when = format(day, time ? "yyyy-MM-dd'T'HH:mm" : 'yyyy-MM-dd');
  // As if it had been typed: where it is refused, it stays with its reason.
  typed.value = time ? typedMoment(when) : typedDay(when);
  take(when);
}
function onInput(event: Event): void {
  typed.value = (event.target as HTMLInputElement).value;
}

interface Day {
  context: { selected: boolean };
}
/** A day of the calendar is no option of a list: the chosen one is the current one. */
const parts = computed(() => ({
  pcInputText: { root: { inputmode: 'text', ...aria.value } },
  dropdown: { 'aria-label': 'Open the calendar' },
  day: ({ context: { selected } }: Day) => ({ 'aria-selected': null, 'aria-current': selected ? 'date' : null }),
}));
</script>

<template>
  <span class="field" :class="{ above }">
    <label :for="id" :class="{ 'sr-only': hideLabel }">{{ label }}</label>
    <DatePicker
      ref="field"
      :append-to="overlays()"
      :model-value="picked"
      :input-id="id"
      :show-time="time"
      :hour-format="dateStyle().hour12 ? '12' : '24'"
      :date-format="pickerPattern()"
      :step-minute="5"
      :show-on-focus="false"
      show-icon
      icon-display="button"
      select-other-months
      size="small"
      :placeholder="pattern"
      :invalid="shown !== ''"
      :pt="parts"
      @input="onInput"
      @blur="commit"
      @keydown="commit"
      @date-select="pick"
    />
    <FieldReason v-if="shown !== ''" :id="reasonId">{{ shown }}</FieldReason>
  </span>
</template>

<style scoped>
.field {
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
  font-size: 12.5px;
  line-height: 16px;
}
</style>
