<script setup lang="ts">
import ToggleSwitch from 'primevue/toggleswitch';
import { useDeviceSettings, type ToneGroup } from '../../state/device-settings';

/** Which tones of the breath are heard; each can be off. */
const settings = useDeviceSettings();
const TONES: readonly { tone: ToneGroup; label: string }[] = [
  { tone: 'in', label: 'in, rising' },
  { tone: 'out', label: 'out, falling' },
  { tone: 'hold', label: 'holds and quiet breathing, softly' },
  { tone: 'strokes', label: 'pumps and pulses' },
];
</script>

<template>
  <label v-for="{ tone, label } in TONES" :key="tone">
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
