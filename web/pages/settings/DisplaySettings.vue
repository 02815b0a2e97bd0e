<script setup lang="ts">
import { computed } from 'vue';
import { useDeviceSettings } from '../../state/device-settings';
import { clockTime, longDayOf, shortDayOf } from '../../ui/dates';
import CheckField from '../../ui/fields/CheckField.vue';
import FieldGroup from '../../ui/fields/FieldGroup.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import { heightInWords, lengthInWords } from '../../ui/lengths';
import { typedDay } from '../../ui/typed-dates';

/** How this browser shows things: theme, dates, clock, week, lengths, and which keys it listens to. */
const settings = useDeviceSettings();

const device = <T extends string>(value: T) => ({ value, label: 'as this device' });
const THEMES = [device('system'), { value: 'light', label: 'light' }, { value: 'night', label: 'night' }] as const;
const DATES = [
  device('device'),
  { value: 'dayFirst', label: 'day first: 26 Nov' },
  { value: 'monthFirst', label: 'month first: Nov 26' },
  { value: 'yearFirst', label: 'year first: 2026-11-26' },
] as const;
const CLOCKS = [
  device('device'),
  { value: '24', label: '24 hours: 18:30' },
  { value: '12', label: '12 hours: 6:30 pm' },
] as const;
const WEEKS = [
  device('device'),
  { value: 'monday', label: 'Monday' },
  { value: 'sunday', label: 'Sunday' },
  { value: 'saturday', label: 'Saturday' },
] as const;
const LENGTHS = [
  device('device'),
  { value: 'cm', label: 'centimetres' },
  { value: 'in', label: 'feet and inches' },
] as const;

const EXAMPLE = new Date(2026, 10, 26, 18, 30).getTime();
const example = computed(
  () =>
    `${longDayOf(EXAMPLE)}, ${clockTime(EXAMPLE)} · ${shortDayOf(EXAMPLE)} · typed as ${typedDay('2026-11-26')} · a block is ${lengthInWords(23)} long, somebody ${heightInWords(168)} tall`,
);
</script>

<template>
  <FieldGroup title="Display" says="for this browser only">
    <div class="fields">
      <SelectField v-model="settings.theme" above label="Theme" :options="THEMES" />
      <SelectField v-model="settings.dates" above label="Dates" :options="DATES" />
      <SelectField v-model="settings.clock" above label="Clock" :options="CLOCKS" />
      <SelectField v-model="settings.weekStart" above label="First day of the week" :options="WEEKS" />
      <SelectField v-model="settings.lengths" above label="Lengths" :options="LENGTHS" />
    </div>
    <p class="small quiet" role="status">{{ example }}</p>
  </FieldGroup>
  <FieldGroup title="Keyboard" says="for this browser only">
    <CheckField v-model="settings.singleKeys" label="Single-key shortcuts, such as A for “add a step”" />
    <p class="small quiet">
      Switch them off if you use speech input or often press keys by accident. Arrow keys and shortcuts with Ctrl or Alt
      keep working. The list of shortcuts is under the key with the question mark, at the top of each page.
    </p>
  </FieldGroup>
</template>

<style scoped>
.fields {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 24px;
  padding: 4px 0 8px;
}
</style>
