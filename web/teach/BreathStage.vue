<script setup lang="ts">
import { useElementSize, useRafFn } from '@vueuse/core';
import { computed, ref, useTemplateRef } from 'vue';
import { THROUGH_WORDS } from '#core/breath';
import { stateAt } from '#core/run';
import type { CountedBreathPhase } from '#core/timeline';
import ComingPanel from './ComingPanel.vue';
import { breathHill } from './hill';
import RoundHills from './RoundHills.vue';
import type { Session } from './use-session';
import { countdown, phaseWord } from './words';

/** The stage of a breath practice: the hill, the count and the phase in the nostril's half, and the rounds. */
const { session } = defineProps<{ session: Session }>();

const box = useTemplateRef('box');
const { width, height } = useElementSize(box, { width: 1280, height: 500 });
const clock = ref(Date.now());
useRafFn(() => {
  clock.value = Date.now();
});
const state = computed(() => stateAt(session.timeline, session.run.value, Math.max(clock.value, session.now.value)));
const phase = computed(() => state.value.phase);
const counted = computed(() => (phase.value && 'counts' in phase.value ? phase.value : undefined));
const quarters = computed(() => {
  const here = counted.value;
  if (!here) return [];
  const span = session.timeline.steps[here.stepIndex];
  return session.timeline.phases
    .slice(span?.firstPhase, span?.endPhase)
    .filter((other): other is CountedBreathPhase => 'counts' in other && other.cycle === here.cycle);
});
const frame = computed(() => ({
  width: Math.max(300, width.value - 80),
  height: Math.max(80, Math.min(220, height.value * 0.4)),
}));
const hill = computed(() => breathHill(quarters.value, frame.value));
const intoCycleMs = computed(() => {
  const here = counted.value;
  const first = quarters.value[0];
  return here && first ? here.startMs - first.startMs + state.value.intoMs : 0;
});
const nowX = computed(() => hill.value.xAt(intoCycleMs.value));
const led = computed(() => {
  const startX = hill.value.xAt(0);
  return { x: Math.min(startX, nowX.value), width: Math.abs(nowX.value - startX) };
});
const count = computed(() =>
  counted.value ? Math.min(counted.value.counts, Math.floor(state.value.intoMs / counted.value.countMs) + 1) : 0,
);
const word = computed(() => (phase.value ? phaseWord(phase.value.kind) : ''));
const through = computed(() => {
  const here = counted.value;
  return here && (here.kind === 'in' || here.kind === 'out') && here.through !== 'nose'
    ? THROUGH_WORDS[here.through]
    : '';
});
/** The half in which the path is now; the whole stage while the full hold crosses the middle. */
const half = computed(() => {
  const here = counted.value;
  if (!here || here.kind === 'holdFull') return 'none';
  const climbing = here.kind === 'in';
  return climbing === (hill.value.direction === 1) ? 'left' : 'right';
});
const set = computed(() => {
  const step = phase.value && session.plan.steps[phase.value.stepIndex];
  return step?.kind === 'breath' && phase.value && 'set' in phase.value
    ? step.practice.sets[phase.value.set]
    : undefined;
});
const about = computed(() =>
  [set.value?.label, set.value?.hands, set.value && set.value.eyes !== 'free' ? `eyes ${set.value.eyes}` : '']
    .filter(Boolean)
    .join(' · '),
);
const nextWords = computed(() => {
  const here = counted.value;
  const after = here && session.timeline.phases[here.index + 1];
  if (!after || !('counts' in after)) return '';
  const nostril =
    (after.kind === 'in' || after.kind === 'out') && after.through !== 'nose'
      ? `, ${THROUGH_WORDS[after.through]}`
      : '';
  return `${phaseWord(after.kind)}${nostril}, ${after.counts}`;
});
const share = computed(() => (state.value.groupMs > 0 ? state.value.groupMoreMs / state.value.groupMs : 0));
const groundY = computed(() => frame.value.height + 8);
</script>

<template>
  <section ref="box" class="stage" :class="[`half-${half}`, { paused: state.status === 'paused' }]">
    <div class="lit" />
    <header>
      <RoundHills v-if="state.round" :number="state.round.number" :of="state.round.of" />
      <p class="quiet about">{{ about }}</p>
      <p class="more">
        <span class="numeral">{{ countdown(state.groupMoreMs) }}</span> <span class="quiet">more</span>
      </p>
    </header>
    <template v-if="counted">
      <svg
        class="hill"
        :width="frame.width"
        :height="groundY + 34"
        :viewBox="`0 -8 ${frame.width} ${groundY + 34}`"
        aria-hidden="true"
      >
        <clipPath id="led"><rect :x="led.x" y="-20" :width="led.width" :height="groundY + 40" /></clipPath>
        <path class="fill" :d="`${hill.path}Z`" />
        <path class="ground" :d="`M0 ${frame.height}H${frame.width}`" />
        <path class="path" :d="hill.path" />
        <path class="path thick" :d="hill.path" clip-path="url(#led)" />
        <circle
          v-for="(stone, i) in hill.stones"
          :key="i"
          class="stone"
          :class="{ on: intoCycleMs >= stone.atMs }"
          :cx="stone.x"
          :cy="stone.y"
          r="6"
        />
        <text
          v-for="label in hill.labels"
          :key="label.kind"
          class="label"
          :class="{ on: label.kind === counted.kind }"
          :x="label.x"
          :y="frame.height + 24"
          text-anchor="middle"
        >
          {{ phaseWord(label.kind).toLowerCase() }} {{ label.counts }}
        </text>
      </svg>
      <div class="now">
        <p class="count numeral" role="timer">{{ count }}</p>
        <div>
          <p class="word">{{ state.status === 'paused' ? 'Paused' : word }}</p>
          <p class="quiet through">{{ through }}</p>
        </div>
      </div>
      <div class="then">
        <p class="quiet">then</p>
        <h2>{{ nextWords || 'the last breath of this set' }}</h2>
      </div>
    </template>
    <template v-else>
      <div class="own">
        <p class="word">{{ word }}</p>
        <p class="big numeral">{{ countdown(state.phaseMs - state.intoMs) }}</p>
        <p v-if="phase?.kind === 'ownPace'" class="quiet">{{ phase.cycles }} breaths, as they come</p>
      </div>
      <ComingPanel class="coming" :session="session" />
    </template>
    <span class="edge" :style="{ height: `${100 * share}%` }" />
    <p class="sr-only" aria-live="polite">{{ counted ? `${word} ${through}` : word }}</p>
  </section>
</template>

<style scoped>
.stage {
  position: relative;
  min-height: 0;
  overflow: hidden;
  border-bottom: 2px solid var(--line-strong);
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
header {
  display: flex;
  position: relative;
  gap: 24px;
  align-items: center;
  min-height: 60px;
  padding: 12px 48px 0;
}
.about {
  flex: 1;
}
.more .numeral {
  margin-right: 6px;
  font-size: 32px;
}
.hill {
  position: relative;
  margin: 4px 40px 0;
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
.label {
  fill: var(--ink-2);
  font: 400 20px var(--text);
}
.label.on {
  fill: var(--ink);
  font-weight: 600;
}
.now,
.then {
  position: absolute;
  bottom: 8px;
  width: 44%;
}
.now {
  display: flex;
  right: 0;
  gap: 28px;
  align-items: flex-end;
}
.then {
  left: 48px;
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
.word {
  font: 600 min(74px, 9vw) / 1.1 var(--head);
}
.through {
  min-height: 34px;
  font-size: 26px;
  line-height: 34px;
}
h2 {
  font-size: 32px;
  line-height: 38px;
}
.own {
  display: flex;
  position: relative;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  height: calc(100% - 80px);
}
.big {
  font-size: min(220px, 30vh);
  line-height: 1;
}
.coming {
  position: absolute;
  right: 40px;
  bottom: 16px;
  width: 300px;
  padding: 0;
  border: 0;
}
.paused .count,
.paused .big {
  opacity: 0.55;
}
.edge {
  position: absolute;
  right: 0;
  bottom: 0;
  width: 12px;
  background: var(--now);
}
@media (width < 900px) {
  header {
    flex-wrap: wrap;
    gap: 6px 16px;
    padding: 10px 16px 0;
  }
  .now,
  .half-left .now {
    right: 16px;
    left: 16px;
    width: auto;
    gap: 20px;
  }
  .count {
    font-size: min(120px, 15vh);
  }
  .then,
  .coming {
    display: none;
  }
}
</style>
