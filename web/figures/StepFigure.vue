<script setup lang="ts">
import { computed } from 'vue';
import type { HoldStep } from '#core/plan';
import PositionFigure from './PositionFigure.vue';
import { useLibrary } from '../stores/library';

/** A hold of a plan with its own set-up, for the side that is held. Nothing where the library has no such position. */
const {
  step,
  side = 'left',
  label = '',
} = defineProps<{ step: HoldStep; side?: 'left' | 'right' | 'both'; label?: string; least?: number }>();
const library = useLibrary();

const position = computed(() => library.all.position(step.position));
const mirrored = computed(() => side === 'right' || (step.sides.kind === 'one' && step.sides.side === 'right'));
</script>

<template>
  <PositionFigure
    v-if="position"
    :position="position"
    :set-up="step.setUp"
    :label="label"
    :mirrored="mirrored"
    :least="least"
  />
</template>
