<script setup lang="ts">
import { computed } from 'vue';
import type { HoldStep } from '#core/plan';
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
  /** Which stage of the hold it is, from 0: its props, where it has its own. */
  stage?: number;
}>();
const library = useLibrary();

const position = computed(() => library.all.position(step.position));
const mirrored = computed(() => side === 'right' || (step.sides.kind === 'one' && step.sides.side === 'right'));
/** A stage without props of its own keeps those that lie there. */
const setUp = computed(
  () => step.stages.slice(0, stage + 1).findLast((one) => one.setUp !== null)?.setUp ?? step.setUp,
);
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
