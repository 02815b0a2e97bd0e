<script setup lang="ts">
import type { Position } from '#core/catalogue';
import type { SetUp } from '#core/props';
import FigureView from './FigureView.vue';
import { usePositionFigure } from './use-figure';

/** A position with its props, for the standard body. */
const { position, setUp, label, mirrored } = defineProps<{
  position: Position | undefined;
  setUp: SetUp;
  label: string;
  mirrored?: boolean;
  least?: number | undefined;
}>();

const figure = usePositionFigure(() => ({ position, setUp }));
</script>

<template>
  <FigureView :figure="figure" :label="label" :mirrored="mirrored" :least="least" />
</template>
