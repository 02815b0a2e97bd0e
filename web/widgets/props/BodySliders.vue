<script setup lang="ts">
import Slider from 'primevue/slider';
import { MAX_HEIGHT_CM, MIN_HEIGHT_CM, ORDINARY, REFERENCE_HEIGHT_CM, type Flexibility } from '#core/body';
import { heightInWords } from '../../ui/lengths';

/** The body a figure is drawn for: height and three measures of flexibility. */
const statureCm = defineModel<number>('statureCm', { required: true });
const flexibility = defineModel<Flexibility>('flexibility', { required: true });
const emit = defineEmits<{ moving: [boolean] }>();

const MEASURES = [
  { key: 'hipFold', label: 'Hip fold', least: 80, most: 140, says: 'straight leg raised, from the floor' },
  { key: 'kneeOpening', label: 'Knee opening', least: 40, most: 90, says: 'knee falling out, from upright' },
  { key: 'shoulder', label: 'Shoulder', least: 110, most: 180, says: 'arm lifted overhead' },
] as const;

function setHeight(value: number | number[]): void {
  emit('moving', true);
  statureCm.value = Number(value);
}
function setMeasure(key: keyof Flexibility, value: number | number[]): void {
  emit('moving', true);
  flexibility.value = { ...flexibility.value, [key]: Number(value) };
}
function reset(): void {
  statureCm.value = REFERENCE_HEIGHT_CM;
  flexibility.value = { ...ORDINARY };
}
</script>

<template>
  <div class="sliders">
    <div class="slider">
      <span id="height-label">Height</span>
      <Slider
        :model-value="statureCm"
        :min="MIN_HEIGHT_CM"
        :max="MAX_HEIGHT_CM"
        aria-labelledby="height-label"
        @update:model-value="setHeight"
        @slideend="emit('moving', false)"
      />
      <strong>{{ heightInWords(statureCm) }}</strong>
    </div>
    <div v-for="{ key, label, least, most, says } in MEASURES" :key="key" class="slider" :title="says">
      <span :id="`${key}-label`">{{ label }}</span>
      <Slider
        :model-value="flexibility[key]"
        :min="least"
        :max="most"
        :aria-labelledby="`${key}-label`"
        @update:model-value="setMeasure(key, $event)"
        @slideend="emit('moving', false)"
      />
      <strong>{{ flexibility[key] }}°</strong>
    </div>
    <button type="button" class="link-button" @click="reset">Usual body</button>
  </div>
</template>

<style scoped>
.sliders {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(250px, 1fr));
  gap: 6px 28px;
  align-items: center;
}
.slider {
  display: grid;
  grid-template-columns: 96px 1fr 54px;
  gap: 14px;
  align-items: center;
  min-height: 32px;
}
.slider strong {
  text-align: right;
}
.link-button {
  justify-self: start;
}
</style>
