<script setup lang="ts">
import { computed, ref } from 'vue';
import { VIEWS, type ViewName } from '#core/body';
import type { Position } from '#core/catalogue';
import type { HoldStep } from '#core/plan';
import FigureView from '../../figures/FigureView.vue';
import { requestFor, useDrawnFigure, usePositionFigure } from '../../figures/use-figure';

/** The figure of a hold with its set-up, from where it is best seen or from another side. */
const { step, position } = defineProps<{ step: HoldStep; position: Position }>();

const CHOICES: readonly { view: 'best' | ViewName; label: string }[] = [
  { view: 'best', label: 'Best' },
  { view: 'side', label: 'Side' },
  { view: 'above', label: 'Above' },
  { view: 'front', label: 'Front' },
];
const view = ref<(typeof CHOICES)[number]['view']>('best');
const second = ref(false);

const twoSided = computed(() => step.sides.kind === 'each' || step.sides.kind === 'crossing');
const mirrored = computed(() =>
  step.sides.kind === 'one' ? step.sides.side === 'right' : twoSided.value && second.value,
);
const best = usePositionFigure(() => ({ position, setUp: step.setUp }));
const { drawn } = useDrawnFigure(() =>
  view.value === 'best' ? undefined : requestFor({ position, setUp: step.setUp, view: VIEWS[view.value] }),
);
const figure = computed(() => (view.value === 'best' ? best.value : (drawn.value ?? best.value)));
</script>

<template>
  <div class="hold-figure">
    <div class="picture">
      <FigureView :figure="figure" :mirrored="mirrored" :label="`${step.name}${mirrored ? ', right side' : ''}`" />
    </div>
    <div class="views small" role="group" aria-label="Seen from">
      <button
        v-for="choice in CHOICES"
        :key="choice.view"
        type="button"
        class="plain-button"
        :aria-pressed="view === choice.view"
        @click="view = choice.view"
      >
        {{ choice.label }}
      </button>
      <button
        v-if="twoSided"
        type="button"
        class="plain-button second"
        :aria-pressed="second"
        @click="second = !second"
      >
        {{ second ? 'Right side' : 'Left side' }}
      </button>
      <RouterLink :to="`/library/${position.id}`" class="more">In the library</RouterLink>
    </div>
  </div>
</template>

<style scoped>
.picture {
  height: 132px;
}
.views {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  align-items: center;
  min-height: 26px;
  color: var(--ink-2);
}
.views button {
  min-height: 24px;
  border-bottom: 2px solid transparent;
}
.views [aria-pressed='true']:not(.second) {
  border-color: var(--ink);
  color: var(--ink);
  font-weight: 600;
}
.second {
  margin-left: 6px;
  text-decoration: underline;
}
.more {
  margin-left: auto;
}
</style>
