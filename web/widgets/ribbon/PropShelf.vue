<script setup lang="ts">
import { computed, useId } from 'vue';
import { momentsOf, propNeeds, type KindNeed } from '#core/cupboard';
import { propKind, type Available, type PropKind } from '#core/props';
import { propShelf, type Timeline } from '#core/timeline';
import { xOf, type RibbonScale } from './shapes';

/**
 * Which props lie where and when: a quiet band for each kind, thicker for more pieces each. Where the group needs more
 * than the place has, the band is hatched, outlined and given in words.
 */
const { timeline, scale, groupSize, stock, y, width } = defineProps<{
  timeline: Timeline;
  scale: RibbonScale;
  groupSize: number;
  /** What the place has; undefined if no place is chosen. */
  stock: Available | undefined;
  y: number;
  width: number;
}>();
const emit = defineEmits<{ select: [stepIndex: number] }>();

const ROW = 14;
const MAX_ROWS = 5;
const LONGEST_NAME = 15;
const hatch = useId();
const needs = computed(() => new Map(propNeeds(timeline, groupSize).map((need) => [need.kind, need])));
const moments = computed(() => (stock ? momentsOf(timeline, groupSize) : []));
const there = (kind: PropKind): number => stock?.[kind] ?? 0;
const shortOf = ({ kind, group }: KindNeed): number => (stock ? Math.max(0, group - there(kind)) : 0);

const rows = computed(() =>
  propShelf(timeline).flatMap(({ kind, bands }) => {
    const need = needs.value.get(kind);
    if (!need) return [];
    const { label } = propKind(kind);
    const count = stock ? `${need.group} of ${there(kind)}` : String(need.group);
    const short = shortOf(need);
    const step = `most in step ${need.stepIndex + 1}`;
    const says = `${label}: ${need.each} each, ${need.group} for ${groupSize}${stock ? ` of ${there(kind)} there` : ''}${short > 0 ? `, ${short} short` : ''}, ${step}`;
    return [{ kind, label, bands, need, count, short, says, shorts: shortStretches(kind) }];
  }),
);
/** From when to when the group needs more of a kind than there is. */
function shortStretches(kind: PropKind): { startMs: number; endMs: number; pieces: number }[] {
  return moments.value.flatMap(({ wants, startMs, endMs }) => {
    const pieces = wants.reduce((sum, want) => sum + (want.kind === kind ? want.pieces : 0), 0) - there(kind);
    return pieces > 0 ? [{ startMs, endMs, pieces }] : [];
  });
}
/** More kinds than the shelf has room for are given in words on its last row. */
const shown = computed(() => rows.value.slice(0, rows.value.length > MAX_ROWS ? MAX_ROWS - 1 : MAX_ROWS));
const more = computed(() =>
  rows.value
    .slice(shown.value.length)
    .map(({ label, count, short }) => ({ says: `${label} ${count}${short > 0 ? `, ${short} short` : ''}`, short })),
);
const thickness = (count: number): number => [4, 7, 10][Math.min(count, 3) - 1] ?? 4;
const shortened = (label: string): string =>
  label.length > LONGEST_NAME ? `${label.slice(0, LONGEST_NAME - 1)}…` : label;
const widthOf = (band: { startMs: number; endMs: number }): number =>
  Math.max(1, xOf(scale, band.endMs) - xOf(scale, band.startMs));
/** A band with rounded ends, about y = 0. */
function bandShape(band: { startMs: number; endMs: number; count: number }): string {
  const [x, long, height] = [xOf(scale, band.startMs), widthOf(band), thickness(band.count)];
  const corner = Math.min(2, long / 2);
  const round = (dx: number, dy: number): string => `a${corner} ${corner} 0 0 1 ${dx} ${dy}`;
  const [across, down] = [long - 2 * corner, height - 2 * corner];
  return (
    `M${x + corner} ${-height / 2}h${across}${round(corner, corner)}v${down}${round(-corner, corner)}` +
    `h${-across}${round(-corner, -corner)}v${-down}${round(corner, -corner)}z`
  );
}
/** Where the words of a shortage stand: after the first stretch of the most pieces, or before it at the right edge. */
function shortageLabel(row: (typeof rows.value)[number]) {
  const most = row.shorts.reduce((a, b) => (b.pieces > a.pieces ? b : a));
  const text = `${row.need.each} each, ${most.pieces} short`;
  const after = xOf(scale, most.endMs) + 5;
  const fits = after + text.length * 6 < width;
  return { text, x: fits ? after : xOf(scale, most.startMs) - 5, anchor: fits ? ('start' as const) : ('end' as const) };
}
/** What lies under the words of a shortage, so that no band runs through them. */
function groundOf({ text, x, anchor }: ReturnType<typeof shortageLabel>) {
  const wide = text.length * 5.7 + 6;
  return { x: anchor === 'start' ? x - 3 : x - wide + 3, y: -6, width: wide, height: 12 };
}
</script>

<template>
  <g :transform="`translate(0 ${y})`">
    <defs>
      <pattern :id="hatch" width="4" height="4" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect class="hatch-ground" width="4" height="4" />
        <path class="hatch" d="M0 0V4" />
      </pattern>
    </defs>
    <g v-for="(row, i) in shown" :key="row.kind" :transform="`translate(0 ${i * ROW})`">
      <title>{{ row.says }}</title>
      <g
        role="button"
        tabindex="0"
        class="name"
        :aria-label="row.says"
        @click.stop="emit('select', row.need.stepIndex)"
        @keydown.enter.stop="emit('select', row.need.stepIndex)"
      >
        <rect x="0" :y="-ROW / 2" :width="scale.x0 - 8" :height="ROW" fill="transparent" />
        <text class="r-label" x="0" y="4">{{ shortened(row.label) }}</text>
        <text class="r-label count-of" :class="{ short: row.short > 0 }" :x="scale.x0 - 12" y="4" text-anchor="end">
          {{ row.count }}
        </text>
      </g>
      <path class="rule" :d="`M${scale.x0} 0H${width}`" />
      <path class="band" :d="row.bands.map(bandShape).join('')" />
      <template v-for="(band, j) in row.bands" :key="j">
        <text
          v-if="band.count > 1 && row.bands[j - 1]?.count !== band.count"
          class="count"
          :x="xOf(scale, band.startMs) - 3"
          y="4"
          text-anchor="end"
          >{{ band.count }}</text
        >
      </template>
      <rect
        v-for="(short, j) in row.shorts"
        :key="`s${j}`"
        class="shortage"
        :fill="`url(#${hatch})`"
        :x="xOf(scale, short.startMs)"
        y="-5"
        :width="widthOf(short)"
        height="10"
        rx="2"
      />
      <rect v-if="row.shorts.length > 0" class="ground" v-bind="groundOf(shortageLabel(row))" />
      <text
        v-if="row.shorts.length > 0"
        class="told"
        :x="shortageLabel(row).x"
        y="4"
        :text-anchor="shortageLabel(row).anchor"
        >{{ shortageLabel(row).text }}</text
      >
    </g>
    <text v-if="more.length > 0" class="r-label" x="0" :y="shown.length * ROW + 4"
      >and
      <tspan v-for="({ says, short }, i) in more" :key="says" :class="{ short: short > 0 }"
        >{{ i > 0 ? ', ' : '' }}{{ says }}</tspan
      ></text
    >
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
.name {
  cursor: pointer;
}
.short {
  fill: var(--caution);
  font-weight: 600;
}
.hatch-ground {
  fill: var(--caution-soft);
}
.hatch {
  stroke: var(--caution);
  stroke-width: 2.4;
}
.shortage {
  stroke: var(--caution);
}
.ground {
  fill: var(--paper);
}
.told {
  fill: var(--caution);
  font: 600 11.5px var(--text);
}
</style>
