<script setup lang="ts">
import Slider from 'primevue/slider';
import ToggleSwitch from 'primevue/toggleswitch';
import { computed } from 'vue';
import type { BellKind } from '#core/timeline';
import ToneSwitches from '../shared/sound/ToneSwitches.vue';
import { useSettings } from '../stores/settings';

const settings = useSettings();
const percent = computed({
  get: () => Math.round(settings.volume * 100),
  set: (value: number) => (settings.volume = value / 100),
});
const KINDS: readonly { kind: BellKind; label: string }[] = [
  { kind: 'start', label: 'when a hold begins' },
  { kind: 'half', label: 'half-way, softly' },
  { kind: 'switch', label: 'to change sides, twice' },
  { kind: 'end', label: 'when it ends' },
];
</script>

<template>
  <div class="bells">
    <h3>Bell</h3>
    <div class="volume">
      <span id="volume-label">Volume {{ percent }} %</span>
      <Slider v-model="percent" aria-labelledby="volume-label" />
    </div>
    <label v-for="{ kind, label } in KINDS" :key="kind">
      <ToggleSwitch v-model="settings.bells[kind]" :aria-label="`Bell ${label}`" /> {{ label }}
    </label>
    <h3>Tones of the breath</h3>
    <ToneSwitches />
  </div>
</template>

<style scoped>
.bells {
  display: grid;
  gap: 12px;
  width: 260px;
}
.volume {
  display: grid;
  gap: 10px;
  padding-right: 10px;
}
label {
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
