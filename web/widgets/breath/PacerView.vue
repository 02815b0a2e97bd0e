<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import { computed, useTemplateRef } from 'vue';
import { stepOfBreath, type BreathPractice, type TonedPhase } from '#core/breath';
import type { Ms } from '#core/numbers';
import BreathWay from './BreathWay.vue';
import { breathHill, breathWay, type QuarterPhase } from './hill';
import { breathWord, paceDetail, paceHalf, paceNumber, paceWord, partOf, placeNow, throughWord } from './pace';
import PlaceFigure from './PlaceFigure.vue';

/**
 * A breath as it is led: its way across the stage, and in the nostril's half its count and its word; what comes next in
 * the other half.
 */
const {
  phases,
  at,
  intoMs,
  lengthMs,
  practice,
  cue = '',
  after: follows = '',
  paused = false,
  side,
} = defineProps<{
  /** The phases of the practice in order. */
  phases: readonly (TonedPhase & { startMs: Ms; endMs: Ms })[];
  /** Which of them is under way. */
  at: number;
  intoMs: Ms;
  /** How long it is by now. */
  lengthMs: Ms;
  practice: BreathPractice;
  /** What the body does meanwhile. */
  cue?: string;
  /** What follows it where that is no breath, in words. */
  after?: string;
  paused?: boolean;
  /** The side of the body that is moved, which is lit as in a hold; without one the nostril’s half is. */
  side?: 'left' | 'right' | undefined;
}>();

const box = useTemplateRef('box');
const { width, height } = useElementSize(box, { width: 1280, height: 460 });
const phase = computed(() => phases[at]);
const cycle = computed((): QuarterPhase[] => {
  const here = phase.value;
  if (!here || !('counts' in here)) return [];
  const same = (i: number): QuarterPhase[] => {
    const other = phases[i];
    return other && 'counts' in other && other.cycle === here.cycle ? [other] : [];
  };
  // A cycle has at most four quarters.
  return [-3, -2, -1, 0, 1, 2, 3].flatMap((by) => same(at + by));
});
const SIDE_MARGIN = 80;
const frame = computed(() => ({
  width: Math.max(280, width.value - SIDE_MARGIN),
  height: Math.max(60, Math.min(220, height.value * 0.42)),
}));
const hill = computed(() => {
  if (cycle.value.length > 0) return breathHill(cycle.value, frame.value);
  return phase.value && breathWay(phase.value, lengthMs, frame.value);
});
const intoWayMs = computed(() => {
  const here = phase.value;
  const [first] = cycle.value;
  return here && first ? here.startMs - first.startMs + intoMs : intoMs;
});
const part = computed(() => phase.value && partOf(practice, phase.value));
const half = computed(() => side ?? (phase.value && hill.value ? paceHalf(phase.value, hill.value.direction) : 'none'));
const word = computed(() => (paused ? 'Paused' : phase.value ? paceWord(phase.value, intoMs) : ''));
const detail = computed(() =>
  phase.value ? [cue, paceDetail(phase.value, part.value)].filter(Boolean).join(', ') : '',
);
const number = computed(() => (phase.value ? paceNumber(phase.value, intoMs, lengthMs) : ''));
const next = computed(() => {
  if (follows) return follows;
  const after = phases[at + 1];
  if (!after) return 'the last of this practice';
  const counts = 'counts' in after ? [String(after.counts)] : [];
  const label = after.set === phase.value?.set ? '' : practice.sets[after.set]?.label;
  if (label) return label;
  return [breathWord(after), throughWord(after), ...counts].filter(Boolean).join(', ');
});
const moved = computed(() =>
  phase.value && 'counts' in phase.value
    ? stepOfBreath(phase.value, intoMs).moved
    : lengthMs > 0
      ? intoMs / lengthMs
      : 0,
);
/** A wave keeps its figure while it is nowhere, so that nothing comes and goes on the stage. */
const places = computed(() => {
  const here = phase.value ? placeNow(part.value, phase.value, moved.value) : null;
  const isWave = part.value?.kind === 'cycle' && part.value.wave !== undefined;
  return here ? [here] : isWave ? [] : null;
});
const spoken = computed(() => `${word.value} ${detail.value}`);
</script>

<template>
  <div ref="box" class="pacer" :class="[`half-${half}`, { paused }]">
    <div class="lit" />
    <div v-if="hill && phase" class="way">
      <BreathWay
        :hill="hill"
        :at-ms="intoWayMs"
        :width="frame.width"
        :height="frame.height"
        :now="'counts' in phase ? phase.kind : undefined"
      />
    </div>
    <div class="now">
      <p class="count numeral" :class="{ long: number.length > 2 }" role="timer">{{ number }}</p>
      <div>
        <p class="word">{{ word }}</p>
        <p class="quiet detail">{{ detail }}</p>
      </div>
    </div>
    <div class="then">
      <PlaceFigure v-if="places" :place="places" class="place" />
      <div>
        <p class="quiet">then</p>
        <p class="next">{{ next }}</p>
      </div>
    </div>
    <p class="sr-only" aria-live="polite">{{ spoken }}</p>
  </div>
</template>

<style scoped>
.pacer {
  position: relative;
  min-height: 0;
  overflow: hidden;
}
.lit {
  position: absolute;
  inset: 0;
  background: var(--lit);
}
.half-left .lit {
  right: 50%;
}
.half-right .lit {
  left: 50%;
}
.way {
  position: relative;
  padding: 10px 40px 0;
}
.now,
.then {
  position: absolute;
  bottom: 8px;
  width: 45%;
}
.now {
  display: flex;
  right: 32px;
  gap: 24px;
  align-items: flex-end;
  min-width: 0;
}
.then {
  display: flex;
  left: 48px;
  gap: 20px;
  align-items: flex-end;
  width: 44%;
  padding-bottom: 24px;
}
.half-left .now {
  right: auto;
  left: 48px;
}
.half-left .then {
  right: 0;
  left: auto;
}
.count {
  font-size: min(190px, 26vh);
  line-height: 0.95;
}
.count.long {
  font-size: min(120px, 18vh);
}
.word {
  font: 600 min(60px, 8.5vw) / 1.1 var(--head);
}
.detail {
  min-height: 34px;
  font-size: 24px;
  line-height: 30px;
}
.next {
  font: 600 30px/36px var(--head);
}
.place {
  flex: none;
  width: 96px;
  height: 104px;
}
.paused .count {
  opacity: 0.55;
}
@media (width < 900px) {
  .way {
    padding: 6px 12px 0;
  }
  .now,
  .half-left .now {
    right: 16px;
    left: 16px;
    width: auto;
    gap: 16px;
  }
  .count {
    font-size: min(110px, 14vh);
  }
  .count.long {
    font-size: min(72px, 10vh);
  }
  .detail {
    font-size: 19px;
    line-height: 24px;
  }
  .then {
    display: none;
  }
}
</style>
