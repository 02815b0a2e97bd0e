<script setup lang="ts">
import type { WantedSounds } from '#core/exchange';
import CheckField from '../../../ui/fields/CheckField.vue';
import RadioField from '../../../ui/fields/RadioField.vue';
import type { SoundFormat } from './use-sound';

/** Which sounds go into a sound file, and how it is written. */
const wanted = defineModel<WantedSounds>('wanted', { required: true });
const format = defineModel<SoundFormat>('format', { required: true });
const put = (patch: Partial<WantedSounds>): void => void (wanted.value = { ...wanted.value, ...patch });
</script>

<template>
  <div class="options">
    <CheckField label="Bells" :model-value="wanted.bells" @update:model-value="(bells) => put({ bells })" />
    <CheckField
      label="Tones of the breath"
      :model-value="wanted.tones"
      @update:model-value="(tones) => put({ tones })"
    />
    <CheckField
      label="A tick for every count"
      :model-value="wanted.counts"
      @update:model-value="(counts) => put({ counts })"
    />
    <RadioField
      v-model="format"
      label="Kind of file"
      :options="[
        { value: 'ogg', label: 'Ogg, small' },
        { value: 'wav', label: 'WAV, up to 15 minutes' },
      ]"
    />
  </div>
</template>

<style scoped>
.options {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
</style>
