<script setup lang="ts">
import { computed } from 'vue';
import type { Measures } from '#core/body';
import { lengthInWords } from '../../ui/lengths';

/** What the figure says about heights: gaps that a prop could fill, and head and hips against the heart. */
const { measures, mirrored } = defineProps<{ measures: Measures; mirrored: boolean }>();

const SMALL_CM = 1;
const over = (what: string, value: number): string =>
  Math.abs(value) < SMALL_CM
    ? `${what} level with the heart`
    : `${what} ${lengthInWords(Math.abs(value))} ${value > 0 ? 'above' : 'below'} the heart`;

const gaps = computed(() => {
  const { head, chest, sacrum, leftKnee, rightKnee, leftHand, rightHand } = measures.gaps;
  const [kneeL, kneeR] = mirrored ? [rightKnee, leftKnee] : [leftKnee, rightKnee];
  const [handL, handR] = mirrored ? [rightHand, leftHand] : [leftHand, rightHand];
  return [
    { place: 'head', value: head },
    { place: 'chest', value: chest },
    { place: 'sacrum', value: sacrum },
    { place: 'left knee', value: kneeL },
    { place: 'right knee', value: kneeR },
    { place: 'left hand', value: handL },
    { place: 'right hand', value: handR },
  ].filter(({ value }) => value >= SMALL_CM);
});
</script>

<template>
  <div class="measured">
    <p>{{ over('Head', measures.headOverHeart) }}; {{ over('hips', measures.pelvisOverHeart) }}.</p>
    <p v-if="gaps.length > 0" class="quiet">
      Free under
      <template v-for="({ place, value }, i) in gaps" :key="place"
        >{{ i > 0 ? ', ' : '' }}{{ place }} <strong>{{ lengthInWords(value) }}</strong></template
      >.
    </p>
    <p v-else class="quiet">Head, chest, hips, knees and hands are all supported.</p>
  </div>
</template>

<style scoped>
.measured {
  margin-top: 12px;
  padding-top: 10px;
  border-top: 1px solid var(--line);
}
</style>
