<script setup lang="ts">
import { computed } from 'vue';
import { propKind } from '#core/props';
import { propShelf, type Timeline } from '#core/timeline';
import { xOf, type RibbonScale } from './shapes';

/** Which props lie where and when: a quiet band for each kind, thicker for more pieces each. */
const { timeline, scale, groupSize, y, width } = defineProps<{
  timeline: Timeline;
  scale: RibbonScale;
  groupSize: number;
  y: number;
  width: number;
}>();

const ROW = 14;
const MOST_ROWS = 5;
const rows = computed(() => propShelf(timeline));
/** More kinds than the shelf has room for are told in words on its last row. */
const shown = computed(() => rows.value.slice(0, rows.value.length > MOST_ROWS ? MOST_ROWS - 1 : MOST_ROWS));
const more = computed(() =>
  rows.value.slice(shown.value.length).map(({ kind, most }) => `${propKind(kind).label} ${most * groupSize}`),
);
const thickness = (count: number): number => [4, 7, 10][Math.min(count, 3) - 1] ?? 4;
</script>

<template>
  <g :transform="`translate(0 ${y})`">
    <g v-for="(row, i) in shown" :key="row.kind" :transform="`translate(0 ${i * ROW})`">
      <title>{{ propKind(row.kind).label }}: {{ row.most }} each, {{ row.most * groupSize }} for {{ groupSize }}</title>
      <text class="r-label" x="0" y="4">{{ propKind(row.kind).label }}</text>
      <text class="r-label" :x="scale.x0 - 12" y="4" text-anchor="end">{{ row.most * groupSize }}</text>
      <path class="rule" :d="`M${scale.x0} 0H${width}`" />
      <template v-for="(band, j) in row.bands" :key="j">
        <rect
          class="band"
          :x="xOf(scale, band.startMs)"
          :y="-thickness(band.count) / 2"
          :width="Math.max(1, xOf(scale, band.endMs) - xOf(scale, band.startMs))"
          :height="thickness(band.count)"
          rx="2"
        />
        <text
          v-if="band.count > 1 && row.bands[j - 1]?.count !== band.count"
          class="count"
          :x="xOf(scale, band.startMs) - 3"
          y="4"
          text-anchor="end"
          >{{ band.count }}</text
        >
      </template>
    </g>
    <text v-if="more.length > 0" class="r-label" x="0" :y="shown.length * ROW + 4">and {{ more.join(', ') }}</text>
    <text v-if="rows.length === 0" class="r-label" x="0" y="4">no props</text>
  </g>
</template>

<style scoped>
.rule {
  stroke: var(--line);
}
.band {
  fill: var(--shelf);
}
.count {
  fill: var(--ink-2);
  font: 600 11.5px var(--text);
}
</style>
