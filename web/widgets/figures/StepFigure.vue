<script setup lang="ts">
import { computed } from 'vue';
import { positionOfStage, setUpOfStage, type HoldStep } from '#core/plan';
import PositionFigure from './PositionFigure.vue';
import { useLibrary } from '../../state/library';

/** A hold of a plan with its own set-up, for the side that is held. Nothing where the library has no such position. */
const {
  step,
  side = 'left',
  label = '',
  stage = 0,
} = defineProps<{
  step: HoldStep;
  side?: 'left' | 'right' | 'both';
  label?: string;
  least?: number;
  /** Which stage of the hold it is, from 0: its position and props, where it has its own. */
  stage?: number;
}>();
const library = useLibrary();

const position = computed(() => library.all.position(positionOfStage(step, stage)));
const mirrored = computed(() => side === 'right' || (step.sides.kind === 'one' && step.sides.side === 'right'));
const setUp = computed(() => setUpOfStage(step, stage));
</script>

<template>
  <PositionFigure
    v-if="position"
    :position="position"
    :set-up="setUp"
    :label="label"
    :mirrored="mirrored"
    :least="least"
  />
</template>
