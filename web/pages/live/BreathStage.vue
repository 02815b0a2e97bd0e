<script setup lang="ts">
import { useRafFn } from '@vueuse/core';
import { computed, ref } from 'vue';
import { stateAt } from '#core/run';
import { clockOfMs } from '#core/time';
import { moveCue, type BreathTimelinePhase } from '#core/timeline';
import PacerView from '../../widgets/breath/PacerView.vue';
import RoundHills from '../../widgets/breath/RoundHills.vue';
import { placeWord } from '../../widgets/breath/pace';
import PositionFigure from '../../widgets/figures/PositionFigure.vue';
import { useLibrary } from '../../state/library';
import type { SessionView } from './use-session';
import { useStageWords } from './use-stage-words';
import { countdown, phaseWord } from './words';

/** The stage of a breath practice: the pacer, the rounds, and what is said with it. */
const { session } = defineProps<{ session: SessionView }>();

const library = useLibrary();
const { summary, ahead } = useStageWords(session);
const clock = ref(session.clock.now());
useRafFn(() => {
  clock.value = session.clock.now();
});
const state = computed(() => stateAt(session.run.value, Math.max(clock.value, session.now.value)));
const step = computed(() => {
  const here = state.value.phase && session.plan.steps[state.value.phase.stepIndex];
  return here?.kind === 'breath' ? here : undefined;
});
const span = computed(() => (state.value.phase ? session.timeline.steps[state.value.phase.stepIndex] : undefined));
/** The step's breaths; not what lies between them, such as coming out or changing sides. */
const phases = computed(() =>
  session.timeline.phases
    .slice(span.value?.firstPhase, span.value?.endPhase)
    .filter((phase): phase is BreathTimelinePhase => 'round' in phase),
);
const at = computed(() => phases.value.findIndex(({ index }) => index === state.value.phase?.index));
const phase = computed(() => phases.value[at.value]);
const set = computed(() => phase.value && step.value?.practice.sets[phase.value.set]);
const about = computed(() => {
  const part = phase.value && set.value?.parts[phase.value.part];
  const eyes = set.value && set.value.eyes !== 'free' ? `eyes ${set.value.eyes}` : '';
  const place = placeWord(part);
  const label = set.value?.label ?? '';
  return [label, label.includes(place) ? '' : place, set.value?.hands ?? '', eyes].filter(Boolean).join(' · ');
});
const moved = computed(() => step.value?.moves && library.all.position(step.value.moves.position));
/** What is drawn: the position that is moved, or the seat the breath is practised in. */
const drawn = computed(() => moved.value ?? (step.value?.seat ? library.all.position(step.value.seat) : undefined));
/** What the body does on this phase, where the breath moves a position. */
const cue = computed(() => (step.value?.moves ? moveCue(phases.value, at.value, step.value.moves) : ''));
/** What follows the present breath if it is not a breath: coming out, changing sides. */
const after = computed(() => {
  const next = phase.value && session.timeline.phases[phase.value.index + 1];
  return next && !('round' in next) && next.stepIndex === phase.value.stepIndex
    ? `${phaseWord(next)}, ${countdown(next.endMs - next.startMs)}`
    : '';
});
const side = computed(() =>
  phase.value?.side === 'left' || phase.value?.side === 'right' ? phase.value.side : undefined,
);
const share = computed(() => (state.value.groupMs > 0 ? state.value.groupMoreMs / state.value.groupMs : 0));
</script>

<template>
  <section class="stage">
    <header>
      <RoundHills v-if="state.round" :number="state.round.number" :of="state.round.of" />
      <div class="about">
        <template v-if="summary.length > 0">
          <p v-for="{ key, text } in summary" :key="key" class="says">{{ text }}</p>
        </template>
        <p v-else-if="set?.says" class="says">{{ set.says }}</p>
        <p v-for="({ key, atMs, text }, i) in ahead" :key="key">
          <span v-if="i === 0" class="quiet">in {{ clockOfMs(atMs - session.now.value) }}</span> {{ text }}
        </p>
        <p class="quiet">{{ about }}</p>
        <p v-if="step?.note" class="quiet note">{{ step.note }}</p>
      </div>
      <div v-if="drawn" class="moved">
        <strong v-if="side">{{ side === 'left' ? 'Left' : 'Right' }}</strong>
        <div class="figure">
          <PositionFigure
            :position="drawn"
            :set-up="step?.setUp ?? []"
            :label="[drawn.names.english, side].filter(Boolean).join(' ')"
            :mirrored="side === 'right'"
            :least="1500"
          />
        </div>
      </div>
      <p class="more">
        <span class="numeral">{{ countdown(state.groupMoreMs) }}</span> <span class="quiet">more</span>
      </p>
    </header>
    <PacerView
      v-if="step && at >= 0"
      class="pacer"
      :phases="phases"
      :at="at"
      :into-ms="state.intoMs"
      :length-ms="state.phaseMs"
      :practice="step.practice"
      :cue="cue"
      :side="side"
      :after="after"
      :paused="state.status === 'paused'"
    />
    <span class="edge" :style="{ height: `${100 * share}%` }" />
    <p class="sr-only" aria-live="polite">{{ summary.map(({ text }) => text).join(' ') }}</p>
  </section>
</template>

<style scoped>
.stage {
  display: flex;
  position: relative;
  flex-direction: column;
  min-height: 0;
  overflow: hidden;
  border-bottom: 2px solid var(--line-strong);
}
header {
  display: flex;
  gap: 24px;
  align-items: center;
  min-height: 64px;
  padding: 10px 48px 6px;
}
.about {
  flex: 1;
  min-width: 0;
}
.note {
  display: -webkit-box;
  overflow: hidden;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
}
.says {
  font: 600 26px/30px var(--head);
}
.moved {
  display: flex;
  gap: 12px;
  align-items: center;
}
.moved strong {
  font: 600 32px/36px var(--head);
}
.figure {
  width: 150px;
  height: 84px;
}
.more {
  white-space: nowrap;
}
.more .numeral {
  margin-right: 6px;
  font-size: 32px;
}
.pacer {
  flex: 1;
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
  .says {
    font-size: 20px;
    line-height: 24px;
  }
}
/* On a phone what is said has the whole width, below the picture. */
@media (width < 640px) {
  .about {
    flex: 1 1 100%;
    order: 1;
  }
  .moved {
    margin-left: auto;
  }
}
@media (height < 480px) {
  header {
    min-height: 0;
    padding-top: 4px;
  }
  .figure {
    height: 48px;
    width: 86px;
  }
}
</style>
