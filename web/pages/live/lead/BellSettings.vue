<script setup lang="ts">
import Slider from 'primevue/slider';
import ToggleSwitch from 'primevue/toggleswitch';
import { computed } from 'vue';
import type { BellKind } from '#core/timeline';
import ChoiceField from '../../../ui/fields/ChoiceField.vue';
import IconButton from '../../../ui/IconButton.vue';
import type { BellSort } from '../../../state/bell-sound';
import ToneSwitches from '../../../widgets/sound/ToneSwitches.vue';
import { useDeviceSettings } from '../../../state/device-settings';
import { useVoice } from './use-spoken';

/** How loud, which bells, what is struck, how high and how long; each can be tried. */
const emit = defineEmits<{ ring: [BellKind] }>();

const settings = useDeviceSettings();
const percent = computed({
  get: () => Math.round(settings.volume * 100),
  set: (value: number) => (settings.volume = value / 100),
});
const KINDS: readonly { kind: BellKind; label: string }[] = [
  { kind: 'start', label: 'when a hold begins' },
  { kind: 'half', label: 'half-way, softly' },
  { kind: 'soon', label: 'shortly before the end' },
  { kind: 'switch', label: 'to change sides, twice' },
  { kind: 'end', label: 'when it ends' },
  { kind: 'props', label: 'when props are moved, three times' },
];
const SORTS: readonly { value: BellSort; label: string }[] = [
  { value: 'bowl', label: 'Bowl' },
  { value: 'wood', label: 'Wood' },
  { value: 'soft', label: 'Soft tone' },
];
const sort = computed({
  get: () => settings.bellSound.sort,
  set: (value) => (settings.bellSound = { ...settings.bellSound, sort: value }),
});
const SHAPES = [
  { key: 'pitch' as const, label: 'Pitch', least: 50, most: 200 },
  { key: 'length' as const, label: 'Length', least: 25, most: 200 },
];
const share = (key: 'pitch' | 'length'): number => Math.round(settings.bellSound[key] * 100);
function setShare(key: 'pitch' | 'length', value: number | number[]): void {
  settings.bellSound = { ...settings.bellSound, [key]: Number(value) / 100 };
}
const canShake = 'vibrate' in navigator;
const hasVoice = useVoice();
/** No bell and no tone: the light pulses at the edge of the screen, and a phone shakes where it can. */
const silent = computed({
  get: () => settings.volume === 0,
  set: (on: boolean) => (settings.volume = on ? 0 : USUAL_VOLUME),
});
const USUAL_VOLUME = 0.6;
</script>

<template>
  <div class="bells">
    <h3>Bell</h3>
    <label><ToggleSwitch v-model="silent" aria-label="Silent mode" /> silent: the screen pulses</label>
    <div class="slider">
      <span id="volume-label">{{ percent === 0 ? 'Silent' : `Volume ${percent} %` }}</span>
      <Slider v-model="percent" aria-labelledby="volume-label" />
    </div>
    <ChoiceField v-model="sort" label="Sound of the bell" :options="SORTS" />
    <div v-for="{ key, label, least, most } in SHAPES" :key="key" class="slider">
      <span :id="`${key}-of-bell`">{{ label }} {{ share(key) }} %</span>
      <Slider
        :model-value="share(key)"
        :min="least"
        :max="most"
        :step="5"
        :aria-labelledby="`${key}-of-bell`"
        @update:model-value="setShare(key, $event)"
      />
    </div>
    <div v-for="{ kind, label } in KINDS" :key="kind" class="kind">
      <label><ToggleSwitch v-model="settings.bells[kind]" :aria-label="`Bell ${label}`" /> {{ label }}</label>
      <IconButton icon="play" :size="14" :label="`Try the bell ${label}`" @click="emit('ring', kind)" />
    </div>
    <label v-if="canShake"
      ><ToggleSwitch v-model="settings.shakes" aria-label="Vibrate with every bell" /> vibrate with every bell</label
    >
    <label
      ><ToggleSwitch v-model="settings.speaks" :disabled="!hasVoice" aria-label="Speak the prompts" /> speak the
      prompts</label
    >
    <p v-if="!hasVoice" class="small quiet">This computer has no voice; prompts are shown on the screen.</p>
    <h3>Breath tones</h3>
    <ToneSwitches />
  </div>
</template>

<style scoped>
.bells {
  display: grid;
  gap: 10px;
  width: 300px;
  max-height: min(80vh, 640px);
  overflow: auto;
}
.slider {
  display: grid;
  gap: 10px;
  padding-right: 10px;
}
label {
  display: flex;
  flex: 1;
  gap: 10px;
  align-items: center;
}
.bells > .choices {
  justify-self: start;
}
.kind {
  display: flex;
  align-items: center;
}
.icon-button {
  width: 28px;
  height: 28px;
}
</style>
