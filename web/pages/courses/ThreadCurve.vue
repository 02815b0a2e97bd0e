<script setup lang="ts">
import { computed } from 'vue';
import { valueInWords, type Course, type ThreadWeeks } from '#core/course';
import { QUARTERS, type Ratio } from '#core/breath';
import { levelAt } from './words';

/** What grows as a small curve over the weeks: what was taught is filled, what is to come open. */
const { course, thread, taught } = defineProps<{ course: Course; thread: ThreadWeeks; taught: ReadonlySet<number> }>();

const [WIDTH, HEIGHT, TOP, SIDE] = [262, 62, 24, 16];
const sizeOf = (value: number | Ratio): number =>
  typeof value === 'number' ? value : QUARTERS.reduce((sum, quarter) => sum + value[quarter], 0);
const points = computed(() => {
  const weeks = [...thread.levels.keys()].sort((a, b) => a - b);
  const levels = weeks.flatMap((week) => {
    const value = levelAt(thread, week);
    return value === undefined ? [] : [{ week, value, size: sizeOf(value) }];
  });
  const sizes = levels.map(({ size }) => size);
  const [low, high] = [Math.min(...sizes), Math.max(...sizes)];
  const step = (WIDTH - 2 * SIDE) / Math.max(1, course.weeks - 1);
  return levels.map(({ week, value, size }, i) => {
    const words = valueInWords(thread.thread, value).replaceAll(' ', '');
    return {
      week,
      x: SIDE + (week - 1) * step,
      y: high === low ? HEIGHT - 14 : HEIGHT - 8 - ((size - low) / (high - low)) * (HEIGHT - 8 - TOP),
      isTaught: taught.has(week),
      words: typeof value === 'number' && thread.thread.kind !== 'length' ? String(value) : words,
      isChange: i === 0 || levels[i - 1]?.size !== size,
    };
  });
});
/** A value is written where it changes, and where the one before leaves room for it. */
const labels = computed(() => {
  let end = -Infinity;
  return points.value.filter(({ isChange, x, words }) => {
    const half = words.length * 3.2;
    if (!isChange || x - half < end + 4) return false;
    end = x + half;
    return true;
  });
});
const lines = computed(() =>
  points.value.slice(1).flatMap((to, i) => {
    const from = points.value[i];
    return from ? [{ from, to, isTaught: from.isTaught && to.isTaught }] : [];
  }),
);
const spoken = computed(() => points.value.map(({ week, words }) => `${course.unit} ${week}: ${words}`).join(', '));
</script>

<template>
  <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" :width="WIDTH" :height="HEIGHT" role="img" :aria-label="spoken">
    <line
      v-for="{ from, to, isTaught } in lines"
      :key="to.week"
      :x1="from.x"
      :y1="from.y"
      :x2="to.x"
      :y2="to.y"
      :class="{ done: isTaught }"
    />
    <circle v-for="one in points" :key="one.week" :cx="one.x" :cy="one.y" r="3" :class="{ done: one.isTaught }" />
    <text
      v-for="one in labels"
      :key="one.week"
      :x="one.x"
      :y="one.y - 8"
      :text-anchor="one.week === 1 ? 'start' : one.week === course.weeks ? 'end' : 'middle'"
      :dx="one.week === 1 ? -6 : one.week === course.weeks ? 6 : 0"
    >
      {{ one.words }}
    </text>
  </svg>
</template>

<style scoped>
svg {
  max-width: 100%;
  overflow: visible;
}
line {
  stroke: var(--ink-3);
  stroke-dasharray: 2 3;
}
line.done {
  stroke: var(--main);
  stroke-width: 1.8;
  stroke-dasharray: none;
}
circle {
  fill: var(--paper);
  stroke: var(--ink-3);
  stroke-width: 1.4;
}
circle.done {
  fill: var(--main);
  stroke: var(--main);
}
text {
  fill: var(--ink-2);
  font-size: 12px;
}
</style>
