<script setup lang="ts">
import { computed } from 'vue';
import { toMs } from '#core/numbers';
import { clockOfMs, spokenMs } from '#core/time';
import StepFigure from '../../widgets/figures/StepFigure.vue';
import { useLibrary } from '../../state/library';
import BreathInHold from './BreathInHold.vue';
import ComingPanel from './lead/ComingPanel.vue';
import type { SessionView } from './use-session';
import { useStageWords } from './use-stage-words';
import { countdown, litSide, nextStageInWords, sideInWords, stageWord } from './words';

/** The stage while a body is held, moved or at rest: the side by place, and the time as large as the screen allows. */
const { session, plain = false } = defineProps<{
  session: SessionView;
  /** For students: side, time and figure alone. */
  plain?: boolean;
}>();

const library = useLibrary();
const state = session.state;
const lit = computed(() => litSide(state.value));
const word = computed(() => {
  if (state.value.status === 'over') return 'The plan is over';
  const { phase } = state.value;
  return phase ? stageWord(phase, session.plan.steps[phase.stepIndex]) : '';
});
/** What the side is: `left knee in front`. */
const means = computed(() => {
  const { phase, status } = state.value;
  return phase && status !== 'over' ? sideInWords(session.plan, phase, library.all) : '';
});
const { way, note, summary, ahead } = useStageWords(session);
/** The hold that is held, for the figure. */
const held = computed(() => {
  const { phase, status } = state.value;
  // While the class changes position, the new one is drawn with what comes next.
  const isHeld = phase?.kind === 'hold' && status !== 'over';
  const step = isHeld ? session.plan.steps[phase.stepIndex] : undefined;
  return step?.kind === 'hold' ? step : undefined;
});
const figureSide = computed(() => (lit.value === 'both' ? 'left' : lit.value));
/** What is still to come of it; what it has had, where it continues until it is ended. */
const time = computed(() =>
  state.value.open ? clockOfMs(state.value.groupIntoMs) : countdown(state.value.groupMoreMs),
);
const share = computed(() => (state.value.groupMs > 0 ? state.value.groupMoreMs / state.value.groupMs : 0));
const stage = computed(() => (state.value.phase?.kind === 'hold' ? state.value.phase.stage : null));
/** `breath 1 of 3`, so far into a length that is measured in breaths. */
function breathOf(lengthMs: number, intoMs: number, breathMs: number): string {
  const of = Math.max(1, Math.round(lengthMs / breathMs));
  return `breath ${Math.min(of, Math.floor(intoMs / breathMs) + 1)} of ${of}`;
}
/** Which breath of so many it is, where the hold, or this stage of it, is measured in breaths. */
const breath = computed(() => {
  // A stage that is measured in breaths counts its own.
  const ofStage = stage.value?.breathMs ?? 0;
  if (ofStage > 0) return breathOf(state.value.phaseMs, state.value.intoMs, ofStage);
  const breathMs = toMs(held.value?.breathSeconds ?? 0);
  if (breathMs === 0) return '';
  const { groupMs, groupMoreMs } = state.value;
  return breathOf(groupMs, groupMs - groupMoreMs, breathMs);
});
/** What is moved, and what the next stage is: shown all along, so that it surprises nobody. */
const nextStage = computed(() => (state.value.phase ? nextStageInWords(session.timeline, state.value.phase) : ''));
const stageMore = computed(() => countdown(state.value.phaseMs - state.value.intoMs));

/** Read out when it changes: the step, its side or what is done, and how long; then what is said now. */
const announced = computed(() => {
  const { phase, status, groupMs } = state.value;
  if (!phase || status === 'over') return `${word.value}.`;
  const name = session.plan.steps[phase.stepIndex]?.name ?? '';
  return `${[name, word.value.toLowerCase(), spokenMs(groupMs)].filter(Boolean).join(', ')}.`;
});
const spoken = computed(() => [announced.value, ...summary.value.map(({ text }) => text)].join(' '));
</script>

<template>
  <section class="stage" :class="[`lit-${lit}`, { paused: state.status === 'paused', plain }]">
    <div class="board">
      <div class="active">
        <div class="head">
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
            <strong>until you end it</strong> <span class="quiet">planned {{ clockOfMs(state.groupMs) }}</span>
          </p>
          <p v-if="means" class="part quiet means">{{ means }}</p>
          <p v-if="breath" class="part">
            <strong>{{ breath }}</strong>
          </p>
          <p v-if="stage && stage.count > 1" class="part">
            <strong>{{ stage.name }}</strong>
            <span class="quiet">{{ stageMore }}, part {{ stage.index + 1 }} of {{ stage.count }}</span>
            <span v-if="nextStage" class="next">{{ nextStage }}</span>
          </p>
        </div>
        <div class="foot">
          <div v-if="held" class="figure">
            <StepFigure :step="held" :side="figureSide" :label="held.name" :least="1500" :stage="stage?.index ?? 0" />
          </div>
          <BreathInHold v-if="held?.breath" :session="session" :breath="held.breath" />
          <div v-if="!plain && way.length > 0" class="prompt">
            <p v-for="line in way" :key="line">{{ line }}</p>
          </div>
          <p v-if="!plain && note" class="quiet note">{{ note }}</p>
          <div v-if="!plain && way.length === 0 && summary.length + ahead.length > 0" class="prompt">
            <template v-if="summary.length > 0"
              ><p v-for="cue in summary" :key="cue.key">
                <strong class="now">{{ cue.text }}</strong>
              </p></template
            >
            <p v-for="(cue, i) in ahead" v-else :key="cue.key">
              <span v-if="i === 0" class="quiet">in {{ clockOfMs(cue.atMs - session.now.value) }}</span>
              <strong>{{ cue.text }}</strong>
            </p>
          </div>
        </div>
        <span v-if="state.status !== 'over'" class="edge" :style="{ height: `${100 * share}%` }" />
        <span
          v-if="lit === 'both' && state.status !== 'over'"
          class="edge other"
          :style="{ height: `${100 * share}%` }"
        />
      </div>
      <ComingPanel v-if="!plain" class="coming" :session="session" :brief="lit === 'both'" />
    </div>
    <p class="sr-only" aria-live="polite">{{ spoken }}</p>
  </section>
</template>

<style scoped>
/* Everything on it has a place of its own, so that nothing lies over the time, the side or other words. */
.stage {
  container: stage / size;
  position: relative;
  min-height: 0;
  border-bottom: 2px solid var(--line-strong);
}
.board {
  display: grid;
  position: relative;
  grid-template: 'left right' minmax(0, 1fr) / minmax(0, 1fr) minmax(0, 1fr);
  height: 100%;
}
.active {
  display: flex;
  position: relative;
  grid-area: left;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  overflow: hidden;
  padding: 3cqh 48px 2.5cqh 52px;
  background: var(--lit);
}
.coming {
  grid-area: right;
}
.lit-right .active {
  grid-area: right;
}
.lit-right .coming {
  grid-area: left;
  border-right: 1px solid var(--line-strong);
  border-left: 0;
}
.head {
  flex: none;
  min-width: 0;
}
.foot {
  display: flex;
  flex: 1;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
}
.side {
  font: 600 min(68px, 7cqw, 13cqh) / 1.1 var(--head);
}
.time {
  font-size: min(282px, 20cqw, 46cqh);
  line-height: 0.92;
  letter-spacing: -0.01em;
}
.time.long {
  font-size: min(238px, 16cqw, 46cqh);
}
.paused .time {
  opacity: 0.55;
}
.figure {
  flex: 1 1 0;
  width: 100%;
  max-width: 640px;
  min-height: 0;
  margin-top: 8px;
  container: figure / size;
}
/* Too small to be seen as a position. */
@container figure (height < 64px) {
  .figure > * {
    display: none;
  }
}
/* Never more than its share: the time and what is said come first. */
.note {
  display: -webkit-box;
  flex: none;
  overflow: hidden;
  margin-top: auto;
  padding-top: 4px;
  font-size: min(20px, 4.4cqh);
  line-height: 1.25;
  overflow-wrap: anywhere;
  white-space: pre-line;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 3;
}
.note + .prompt {
  margin-top: 0;
}
.prompt p + p {
  margin-top: 0.3em;
}
.part {
  font-size: min(21px, 5cqh);
  line-height: 1.25;
  overflow-wrap: anywhere;
}
.prompt {
  flex: none;
  margin-top: auto;
  padding-top: 4px;
  font-size: min(24px, 5cqh);
  line-height: 1.25;
  overflow-wrap: anywhere;
}
.next {
  margin-left: 10px;
  font-weight: 600;
}
.prompt .quiet,
.part strong {
  margin-right: 8px;
}
/* Both sides: the time in the middle, and under it what is done beside what comes next. */
.lit-both .board {
  grid-template:
    'head head' minmax(0, 1fr)
    'foot coming' fit-content(46%)
    / minmax(0, 1fr) minmax(0, 1fr);
  background: var(--lit);
}
.lit-both .active {
  display: contents;
}
.lit-both .head {
  display: flex;
  grid-area: head;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  overflow: hidden;
  padding: 2cqh 40px 1cqh;
  text-align: center;
}
.lit-both .foot {
  grid-area: foot;
  justify-content: flex-end;
  overflow: hidden;
  padding: 0 12px 2.5cqh 52px;
}
.lit-both .figure {
  flex: 0 1 190px;
  height: 190px;
}
.lit-both .coming {
  grid-area: coming;
  justify-content: flex-end;
  padding: 0 40px 2.5cqh 12px;
  border: 0;
}
.lit-both .time {
  font-size: min(282px, 34cqw, 36cqh);
}
.lit-both.plain .board {
  grid-template: 'head' minmax(0, 1fr) 'foot' fit-content(40%) / minmax(0, 1fr);
}
.lit-both.plain .figure {
  align-self: center;
}
.plain .board {
  grid-template-columns: minmax(0, 1fr);
}
.plain:not(.lit-both) .active {
  grid-area: 1 / 1;
}
.now {
  color: var(--now);
}
strong {
  font-weight: 600;
}
.over {
  margin-top: 2cqh;
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
@container stage (width < 900px) {
  .board,
  .lit-both .board {
    grid-template: 'active' minmax(0, 1fr) 'coming' fit-content(34%) / minmax(0, 1fr);
  }
  .active,
  .lit-both .active,
  .lit-right .active {
    display: flex;
    grid-area: active;
    padding: 1.5cqh 24px;
  }
  .lit-right .active {
    text-align: right;
  }
  .coming,
  .lit-both .coming,
  .lit-right .coming {
    grid-area: coming;
    justify-content: flex-start;
    padding: 8px 24px;
    border: 0;
    border-top: 1px solid var(--line);
  }
  .head,
  .lit-both .head {
    display: block;
    padding: 0;
  }
  .foot,
  .lit-both .foot {
    padding: 0;
  }
  .lit-both .figure {
    flex: 1 1 0;
  }
  .side {
    font-size: min(56px, 9cqw, 9cqh);
  }
  .time,
  .time.long,
  .lit-both .time {
    font-size: min(36cqw, 28cqh);
  }
  .part {
    font-size: min(21px, 4cqh);
  }
  .prompt {
    font-size: clamp(13px, 4cqh, 22px);
  }
  .stage .coming :deep(.figure) {
    flex-basis: 90px;
  }
}
/* On a phone what is said comes before the picture of what comes next. */
@container stage (width < 640px) {
  .board,
  .lit-both .board {
    grid-template-rows: minmax(0, 1fr) fit-content(24%);
  }
  .active,
  .lit-both .active {
    padding: 1cqh 16px;
  }
  .coming,
  .lit-both .coming {
    padding: 4px 16px;
  }
  .time,
  .time.long,
  .lit-both .time {
    font-size: min(36cqw, 24cqh);
  }
  .stage:has(.prompt p + p) .time {
    font-size: min(36cqw, 15cqh);
  }
  .prompt {
    font-size: min(17px, 3.5cqh);
  }
  .coming :deep(.figure) {
    display: none;
  }
}
/* Two prompts at a time need room that the time has to give. */
@container stage (width >= 900px) and (height < 560px) {
  .stage:has(.prompt p + p) .time {
    font-size: min(200px, 16cqw, 36cqh);
  }
  .stage:has(.prompt p + p) .prompt {
    font-size: min(21px, 5cqh);
  }
  /* What the side is has a line of its own. */
  .stage:has(.means):has(.prompt p + p) .prompt {
    font-size: min(19px, 4.2cqh);
  }
}
/* With little height, words come before pictures, and both before the size of the time. */
@container stage (width >= 900px) and (height < 460px) {
  .time,
  .time.long {
    font-size: min(220px, 17cqw, 41cqh);
  }
  .stage:has(.prompt p + p) .time {
    font-size: min(200px, 16cqw, 31cqh);
  }
  .prompt {
    font-size: min(20px, 5cqh);
  }
}
@container stage (height < 360px) {
  .figure,
  .coming :deep(.figure) {
    display: none;
  }
}
/* On a very small phone: the time, and what comes next by its name alone. */
@container stage (width < 640px) and (height < 260px) {
  .coming :deep(.quiet) {
    display: none;
  }
  .time,
  .time.long,
  .lit-both .time {
    font-size: min(30cqw, 36cqh);
  }
  .stage:has(.prompt) .time {
    font-size: min(30cqw, 22cqh);
  }
}
</style>
