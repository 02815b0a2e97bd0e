<script setup lang="ts">
import { computed } from 'vue';
import type { Position } from '#core/catalogue';
import { PROP_PLACES, type PropPlace, type SetUp } from '#core/props';
import FieldGroup from '../../../ui/fields/FieldGroup.vue';
import LengthField from '../../../ui/fields/LengthField.vue';
import { useEntryField } from './use-entry';

/** Where props lie a little elsewhere than by rule: moved along the mat, up, and to the right, in centimetres. */
const { entry, items } = defineProps<{ entry: Position; items: SetUp }>();

const { set } = useEntryField();
const FARTHEST = 150;
const WAYS = ['towards the feet or the front', 'up', 'to the right'] as const;
const places = computed(() => [...new Set(items.map(({ place }) => place))]);
const shiftOf = (place: PropPlace) => entry.figure.shifts[place] ?? [0, 0, 0];
const setShift = (place: PropPlace, axis: number) => (cm: number) => {
  if (Math.abs(cm) > FARTHEST) return `At most ${FARTHEST} cm.`;
  const shift = shiftOf(place).map((value, i) => (i === axis ? cm : value));
  const others = Object.fromEntries(Object.entries(entry.figure.shifts).filter(([other]) => other !== place));
  return set('figure.shifts')(shift.every((value) => value === 0) ? others : { ...others, [place]: shift });
};
</script>

<template>
  <FieldGroup v-if="places.length > 0" title="Moved from their places" says="along, up, to the right">
    <ul>
      <li v-for="place in places" :key="place">
        <span>{{ PROP_PLACES[place] }}</span>
        <LengthField
          v-for="(way, axis) in WAYS"
          :key="way"
          hide-label
          :label="`${PROP_PLACES[place]}: ${way}`"
          :model-value="shiftOf(place)[axis] ?? 0"
          :accept="setShift(place, axis)"
        />
      </li>
    </ul>
  </FieldGroup>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) repeat(3, auto);
  gap: 8px;
  align-items: center;
  padding: 1px 0;
}
li :deep(input) {
  height: 26px;
}
</style>
