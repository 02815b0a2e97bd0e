<script setup lang="ts">
import { parse } from 'date-fns';
import { clockTime } from '../dates';
import { readClock } from '../typed-dates';
import TextField from './TextField.vue';

/** A time of day, `18:30`, typed and shown on the clock people use here. */
const {
  modelValue,
  label,
  accept,
  hideLabel = false,
} = defineProps<{
  modelValue: string;
  label: string;
  accept: (time: string) => string | undefined;
  hideLabel?: boolean;
}>();
const shownAs = (time: string): string => (time === '' ? '' : clockTime(parse(time, 'HH:mm', 0).getTime()));

function take(text: string): string | undefined {
  const time = readClock(text);
  return time === undefined ? `Type a time of day like ${shownAs('19:05')}.` : accept(time);
}
</script>

<template>
  <TextField :label="label" :hide-label="hideLabel" :model-value="shownAs(modelValue)" :accept="take" />
</template>
