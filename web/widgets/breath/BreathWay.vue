<script setup lang="ts">
import { computed, useId } from 'vue';
import { QUARTER_WORDS, type Quarter } from '#core/breath';
import type { Ms } from '#core/numbers';
import type { Hill } from './hill';

/** A breath as a way across the stage: stones light one by one while the path behind thickens. */
const {
  hill,
  atMs,
  height,
  width,
  now,
  labels = true,
} = defineProps<{
  hill: Hill;
  /** How far along it is, in milliseconds. */
  atMs: Ms;
  width: number;
  height: number;
  /** The quarter that is breathed, for its label. */
  now?: Quarter | undefined;
  labels?: boolean;
}>();

const id = useId();
const nowX = computed(() => hill.xAt(atMs));
const led = computed(() => {
  const startX = hill.xAt(0);
  return { x: Math.min(startX, nowX.value), width: Math.abs(nowX.value - startX) };
});
const TICK = 34;
</script>

<template>
  <svg class="way" :width="width" :height="height + 42" :viewBox="`0 -8 ${width} ${height + 42}`" aria-hidden="true">
    <clipPath :id="id"><rect :x="led.x" y="-20" :width="led.width" :height="height + 60" /></clipPath>
    <path class="fill" :d="`${hill.path}${hill.marks === 'stones' && hill.labels.length > 0 ? 'Z' : ''}`" />
    <path class="ground" :d="`M0 ${height}H${width}`" />
    <path class="path" :d="hill.path" />
    <path class="path thick" :d="hill.path" :clip-path="`url(#${id})`" />
    <template v-if="hill.marks === 'stones'">
      <circle
        v-for="(stone, i) in hill.stones"
        :key="i"
        class="stone"
        :class="{ on: atMs >= stone.atMs }"
        :cx="stone.x"
        :cy="stone.y"
        r="6"
      />
    </template>
    <template v-else>
      <path
        v-for="(stone, i) in hill.stones"
        :key="i"
        class="tick"
        :class="{ on: atMs >= stone.atMs }"
        :d="`M${stone.x} ${stone.y}v${-TICK}`"
      />
    </template>
    <template v-if="labels">
      <text
        v-for="label in hill.labels"
        :key="label.kind"
        class="label"
        :class="{ on: label.kind === now }"
        :x="label.x"
        :y="height + 24"
        text-anchor="middle"
      >
        {{ QUARTER_WORDS[label.kind] }} {{ label.counts }}
      </text>
    </template>
  </svg>
</template>

<style scoped>
.way {
  display: block;
  overflow: visible;
}
.fill {
  fill: var(--breath-soft);
}
.ground {
  stroke: var(--line-strong);
  stroke-width: 1.5;
}
.path {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 2;
}
.thick {
  stroke: var(--breath);
  stroke-width: 10;
  stroke-linejoin: round;
}
.stone {
  fill: var(--paper);
  stroke: var(--ink-2);
  stroke-width: 2;
}
.stone.on {
  fill: var(--now);
  stroke: var(--now);
}
.tick {
  stroke: var(--ink-3);
  stroke-width: 2;
}
.tick.on {
  stroke: var(--now);
  stroke-width: 4;
}
.label {
  fill: var(--ink-2);
  font: 400 20px var(--text);
}
.label.on {
  fill: var(--ink);
  font-weight: 600;
}
</style>
