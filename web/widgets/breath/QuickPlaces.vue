<script setup lang="ts">
import Button from 'primevue/button';
import { ref } from 'vue';
import {
  BREATH_PLACES,
  PLACE_WORDS,
  setsAtPlaces,
  type BreathPlace,
  type BreathPractice,
  type BreathSet,
} from '#core/breath';
import { newId } from '../../client/new-id';
import CheckField from '../../ui/fields/CheckField.vue';
import ChipChoice from '../../ui/fields/ChipChoice.vue';
import NumberField from '../../ui/fields/NumberField.vue';
import SelectField from '../../ui/fields/SelectField.vue';
import { EYES_OPTIONS } from './options';
import { wholeBreaths } from './quick';

/** A set for each place of the breath, with the hands there: belly, sides, back. */
const { practice, accept } = defineProps<{
  practice: BreathPractice;
  /** Takes new sets, in the place of all others or after them; returns the reason if they are refused. */
  accept: (sets: BreathSet[], instead: boolean) => string | undefined;
}>();

const PLACES = BREATH_PLACES.map((value) => ({ value, label: PLACE_WORDS[value] }));
const places = ref<BreathPlace[]>(['belly', 'sideRibs', 'backRibs']);
const breaths = ref(3);
const hands = ref(true);
const eyes = ref<BreathSet['eyes']>('open');
const reason = ref('');
function make(instead: boolean): void {
  const wanted = { breaths: breaths.value, hands: hands.value, eyes: eyes.value };
  reason.value =
    places.value.length === 0
      ? 'Choose at least one place.'
      : (accept(setsAtPlaces(practice, places.value, wanted, newId), instead) ?? '');
}
</script>

<template>
  <div class="quick" role="group" aria-label="Places">
    <span class="strong">Places</span>
    <ChipChoice label="Places of the breath" :options="PLACES" :chosen="places" @choose="places = $event" />
    <NumberField
      label="breaths in each place"
      :model-value="breaths"
      :accept="wholeBreaths((count) => (breaths = count))"
    />
    <CheckField v-model="hands" class="small" label="hands there" />
    <SelectField v-model="eyes" hide-label label="Eyes in the places" :options="EYES_OPTIONS" />
    <span class="buttons">
      <Button size="small" outlined label="Add the places" @click="make(false)" />
      <Button size="small" text label="Only these" title="In place of all other sets" @click="make(true)" />
    </span>
    <p v-if="reason" class="small caution" role="alert">{{ reason }}</p>
  </div>
</template>
