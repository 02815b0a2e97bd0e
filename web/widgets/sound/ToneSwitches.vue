<script setup lang="ts">
import ToggleSwitch from 'primevue/toggleswitch';
import { computed } from 'vue';
import { useSettings } from '../../state/settings';
import { useDeviceSettings, type ToneGroup } from '../../state/device-settings';

/** Which tones of the breath are heard; each can be off. */
const settings = useDeviceSettings();
const house = useSettings();
void house.ready();
const ALL: readonly { tone: ToneGroup; label: string }[] = [
  { tone: 'in', label: 'in, rising' },
  { tone: 'out', label: 'out, falling' },
  { tone: 'hold', label: 'holds and quiet breathing, softly' },
  { tone: 'strokes', label: 'pumps and pulses' },
  { tone: 'counts', label: 'each count, a soft tick' },
];
/** Counts are heard where counting goes by a metronome. */
const shown = computed(() =>
  ALL.filter(({ tone }) => tone !== 'counts' || house.current.school.counting === 'metronome'),
);
</script>

<template>
  <label v-for="{ tone, label } in shown" :key="tone">
    <ToggleSwitch v-model="settings.tones[tone]" :aria-label="`Tone: ${label}`" /> {{ label }}
  </label>
</template>

<style scoped>
label {
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
