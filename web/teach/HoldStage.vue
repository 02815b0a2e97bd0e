<script setup lang="ts">
import { computed } from 'vue';
import { clockOfMs, spokenMs, toMs } from '#core/time';
import StepFigure from '../figures/StepFigure.vue';
import BreathInHold from './BreathInHold.vue';
import ComingPanel from './ComingPanel.vue';
import type { SessionView } from './use-session';
import { countdown, litSide, nextStageInWords, stageWord } from './words';

/** The stage while a body is held, moved or at rest: the side by place, and the time as large as the screen allows. */
const { session, plain = false } = defineProps<{
  session: SessionView;
  /** For the room: side, time and figure alone. */
  plain?: boolean;
}>();

const state = session.state;
const lit = computed(() => litSide(state.value));
const word = computed(() => {
  if (state.value.status === 'over') return 'The plan is over';
  return state.value.phase ? stageWord(state.value.phase) : '';
});
/** The hold that is held, for the figure. */
const held = computed(() => {
  const { phase, status } = state.value;
  // While the room changes, what it changes to is drawn with what comes next.
  const isHeld = phase?.kind === 'hold' && status !== 'over';
  const step = isHeld ? session.plan.steps[phase.stepIndex] : undefined;
  return step?.kind === 'hold' ? step : undefined;
});
const figureSide = computed(() => (lit.value === 'both' ? 'left' : lit.value));
/** What is still to come of it; what it has had, where it goes on until it is ended. */
const time = computed(() =>
  state.value.open ? clockOfMs(state.value.groupIntoMs) : countdown(state.value.groupMoreMs),
);
const share = computed(() => (state.value.groupMs > 0 ? state.value.groupMoreMs / state.value.groupMs : 0));
const stage = computed(() => (state.value.phase?.kind === 'hold' ? state.value.phase.stage : null));
/** Which breath of so many it is, where the hold is told in breaths. */
const breath = computed(() => {
  const breathMs = toMs(held.value?.breathSeconds ?? 0);
  if (breathMs === 0) return '';
  const { groupMs, groupMoreMs } = state.value;
  const of = Math.round(groupMs / breathMs);
  return `breath ${Math.min(of, Math.floor((groupMs - groupMoreMs) / breathMs) + 1)} of ${of}`;
});
/** What is moved, and what the next part is: told all along, so that nobody is caught by it. */
const nextStage = computed(() => (state.value.phase ? nextStageInWords(session.timeline, state.value.phase) : ''));
const stageMore = computed(() => countdown(state.value.phaseMs - state.value.intoMs));

const SAID_FOR_MS = 14_000;
const PROMPTS_AHEAD_MS = 120_000;
const said = computed(() =>
  session.cuesFrom(session.now.value - SAID_FOR_MS, SAID_FOR_MS).findLast((cue) => cue.kind === 'prompt'),
);
const ahead = computed(() =>
  session
    .cuesFrom(session.now.value, Math.min(PROMPTS_AHEAD_MS, state.value.groupMoreMs))
    .find((cue) => cue.kind === 'prompt'),
);
const spoken = computed(() => `${word.value}. ${said.value?.kind === 'prompt' ? said.value.text : ''}`);
</script>

<template>
  <section class="stage" :class="[`lit-${lit}`, { paused: state.status === 'paused', plain }]">
    <div class="active">
      <p class="side">{{ state.status === 'paused' ? `${word}, paused` : word }}</p>
      <p
        v-if="state.status !== 'over'"
        class="time numeral"
        :class="{ long: time.length > 4 }"
        role="timer"
        :aria-label="spokenMs(state.groupMoreMs)"
      >
        {{ time }}
      </p>
      <p v-else-if="!plain" class="quiet over">Take the time you need, then end the session below.</p>
      <p v-if="state.open" class="part">
        <strong>until you say</strong> <span class="quiet">planned {{ clockOfMs(state.groupMs) }}</span>
      </p>
      <p v-if="breath" class="part">
        <strong>{{ breath }}</strong>
      </p>
      <p v-if="stage && stage.count > 1" class="part">
        <strong>{{ stage.name }}</strong>
        <span class="quiet">{{ stageMore }}, part {{ stage.index + 1 }} of {{ stage.count }}</span>
        <span v-if="nextStage" class="next">{{ nextStage }}</span>
      </p>
      <div v-if="held" class="figure">
        <StepFigure :step="held" :side="figureSide" :label="held.name" :least="1500" :stage="stage?.index ?? 0" />
      </div>
      <BreathInHold v-if="held?.breath" :session="session" :breath="held.breath" />
      <p v-if="!plain" class="prompt">
        <strong v-if="said?.kind === 'prompt'" class="now">{{ said.text }}</strong>
        <template v-else-if="ahead?.kind === 'prompt'"
          ><span class="quiet">in {{ clockOfMs(ahead.atMs - session.now.value) }}</span>
          <strong>{{ ahead.text }}</strong></template
        >
      </p>
      <span v-if="state.status !== 'over'" class="edge" :style="{ height: `${100 * share}%` }" />
      <span
        v-if="lit === 'both' && state.status !== 'over'"
        class="edge other"
        :style="{ height: `${100 * share}%` }"
      />
    </div>
    <ComingPanel v-if="!plain" class="coming" :session="session" :brief="lit === 'both'" />
    <p class="sr-only" aria-live="polite">{{ spoken }}</p>
  </section>
</template>

<style scoped>
.stage {
  display: grid;
  position: relative;
  grid-template-columns: 1fr 1fr;
  min-height: 0;
  border-bottom: 2px solid var(--line-strong);
}
.active {
  display: flex;
  position: relative;
  flex-direction: column;
  min-width: 0;
  overflow: hidden;
  padding: 22px 48px 16px 52px;
  background: var(--lit);
}
.lit-right .active {
  grid-column: 2;
  grid-row: 1;
}
.lit-right .coming {
  grid-column: 1;
  grid-row: 1;
}
.lit-right .coming {
  border-right: 1px solid var(--line-strong);
  border-left: 0;
}
.lit-both {
  grid-template-columns: 1fr;
}
.lit-both .active {
  align-items: center;
}
.lit-both .coming {
  position: absolute;
  right: 40px;
  bottom: 16px;
  width: min(48%, 560px);
  padding: 0;
  border: 0;
}
.side {
  font: 600 min(68px, 9vw) / 1.1 var(--head);
}
.time {
  font-size: min(282px, 23vw, 46vh);
  line-height: 0.92;
  letter-spacing: -0.01em;
}
.time.long {
  font-size: min(238px, 18vw, 40vh);
}
.lit-both .time {
  font-size: min(282px, 40vw, 46vh);
}
.paused .time {
  opacity: 0.55;
}
.figure {
  flex: 1 1 0;
  width: 100%;
  max-width: 640px;
  min-height: 90px;
  margin-top: 8px;
}
.part,
.prompt {
  min-height: 26px;
  font-size: 21px;
}
.prompt {
  margin-top: auto;
  font-size: 24px;
  line-height: 30px;
}
.next {
  margin-left: 10px;
  font-weight: 600;
}
.prompt .quiet,
.part strong {
  margin-right: 8px;
}
.lit-both .figure {
  align-self: flex-start;
  max-width: 46%;
}
.lit-both .prompt {
  align-self: flex-start;
  max-width: 52%;
}
.plain.lit-both .figure {
  align-self: center;
  max-width: 640px;
}
.now {
  color: var(--now);
}
strong {
  font-weight: 600;
}
.over {
  margin-top: 24px;
}
.edge {
  position: absolute;
  bottom: 0;
  left: 0;
  width: 12px;
  background: var(--now);
}
.lit-right .edge,
.edge.other {
  right: 0;
  left: auto;
}
@media (width < 900px) {
  .stage,
  .lit-both {
    grid-template-rows: minmax(0, 1fr) auto;
    grid-template-columns: 1fr;
  }
  .stage .active {
    grid-column: 1;
    grid-row: 1;
    padding: 12px 24px;
  }
  .lit-left .active {
    align-items: flex-start;
  }
  .lit-right .active {
    align-items: flex-end;
    text-align: right;
  }
  .stage .coming {
    position: static;
    grid-column: 1;
    grid-row: 2;
    width: auto;
    padding: 10px 24px;
    border-top: 1px solid var(--line);
  }
  .time,
  .time.long,
  .lit-both .time {
    font-size: min(36vw, 26vh);
  }
  .stage .coming :deep(.figure) {
    flex-basis: 90px;
  }
  .lit-both .prompt {
    max-width: none;
  }
}
/* On a phone what is said comes before the picture of what comes next. */
@media (width < 640px) {
  .stage .coming :deep(.figure) {
    display: none;
  }
  .figure {
    min-height: 0;
  }
  .prompt {
    flex: none;
  }
}
</style>
