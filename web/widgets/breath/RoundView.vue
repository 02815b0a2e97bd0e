<script setup lang="ts">
import { computed } from 'vue';
import { breathProgram, partInWords, type BreathPhase, type BreathSet, type Through } from '#core/breath';
import type { Seconds } from '#core/numbers';
import { breathHill, breathWay, type QuarterPhase } from './hill';

/**
 * One round, part after part. A breath climbs from the side of its nostril, and the mark at its foot shows which one is
 * open: the left drop or the right one filled, both for the nose, a ring for the mouth.
 */
const { set, countSeconds } = defineProps<{ set: BreathSet; countSeconds: Seconds }>();

const FRAME = { width: 112, height: 30 };
const isCounted = (phase: BreathPhase): phase is Extract<BreathPhase, { counts: number }> => 'counts' in phase;

const parts = computed(() => {
  const once = { countSeconds, sets: [{ ...set, rounds: 1, ramp: null, restSeconds: 0 }] };
  const program = breathProgram(once);
  return set.parts.map((part, i) => {
    const phases = program.filter((phase) => phase.part === i);
    const [first] = phases;
    const cycle: QuarterPhase[] = phases.filter(isCounted);
    const lengthMs = first ? first.endMs - first.startMs : 0;
    const hill = cycle.length > 0 ? breathHill(cycle, FRAME) : first && breathWay(first, lengthMs, FRAME);
    const marks: { through: Through; x: number; word: string }[] =
      part.kind === 'cycle' && hill
        ? [
            { through: part.inThrough, x: hill.xAt(0), word: 'in' },
            { through: part.outThrough, x: hill.xAt(hill.totalMs), word: 'out' },
          ]
        : [];
    return { i, hill, marks, quiet: part.kind === 'recover', words: partInWords(part) };
  });
});
const open = (through: Through, side: 'left' | 'right'): boolean => through === side || through === 'nose';
</script>

<template>
  <ol class="round" aria-label="One round">
    <li v-for="{ i, hill, marks, quiet, words } in parts" :key="i">
      <svg
        :width="FRAME.width"
        :height="FRAME.height + 26"
        :viewBox="`0 -6 ${FRAME.width} ${FRAME.height + 26}`"
        aria-hidden="true"
      >
        <path class="ground" :d="`M0 ${FRAME.height}H${FRAME.width}`" />
        <template v-if="hill">
          <path class="fill" :d="hill.path" />
          <path class="line" :class="{ quiet }" :d="hill.path" />
          <path
            v-for="(stone, n) in hill.marks === 'ticks' ? hill.stones : []"
            :key="n"
            class="line thin"
            :d="`M${stone.x} ${stone.y}v-16`"
          />
        </template>
        <g v-for="{ through, x, word } in marks" :key="word" :transform="`translate(${x} ${FRAME.height + 10})`">
          <ellipse v-if="through === 'mouth'" class="open" rx="6" ry="3.5" />
          <template v-else>
            <path
              class="drop"
              :class="{ open: open(through, 'left') }"
              d="M-1.5 -5C-6 -1 -6 4 -3.5 4C-1.5 4 -1.5 0 -1.5 -5Z"
            />
            <path
              class="drop"
              :class="{ open: open(through, 'right') }"
              d="M1.5 -5C6 -1 6 4 3.5 4C1.5 4 1.5 0 1.5 -5Z"
            />
          </template>
        </g>
      </svg>
      <span class="small quiet">{{ words }}</span>
    </li>
  </ol>
</template>

<style scoped>
.round {
  margin: 0;
  padding: 0;
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
}
li {
  max-width: 132px;
}
.ground {
  stroke: var(--line-strong);
}
.fill {
  fill: var(--breath-soft);
}
.line {
  fill: none;
  stroke: var(--breath);
  stroke-width: 2;
}
.line.quiet {
  stroke-dasharray: 2 4;
}
.thin {
  stroke-width: 1;
}
.drop,
ellipse {
  fill: none;
  stroke: var(--ink-2);
  stroke-width: 1;
}
.drop.open {
  fill: var(--ink);
  stroke: var(--ink);
}
ellipse {
  stroke: var(--ink);
  stroke-width: 1.6;
}
</style>
