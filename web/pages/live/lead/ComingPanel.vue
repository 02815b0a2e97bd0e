<script setup lang="ts">
import { computed } from 'vue';
import type { Position } from '#core/catalogue';
import type { HoldStep } from '#core/plan';
import type { SetUp } from '#core/props';
import type { Coming } from '#core/run';
import { clockOfMs } from '#core/time';
import PositionFigure from '../../../widgets/figures/PositionFigure.vue';
import StepFigure from '../../../widgets/figures/StepFigure.vue';
import { useLibrary } from '../../../state/library';
import type { SessionView } from '../use-session';
import { comingDetail, comingTitle, countdown } from '../words';

/** What comes next, after which change, and with which props. */
const { session, brief = false } = defineProps<{
  session: SessionView;
  /** Only the very next: where it stands in a corner of the stage. */
  brief?: boolean;
}>();

const library = useLibrary();

function holdOf({ phase }: Coming): HoldStep | undefined {
  const step = session.plan.steps[phase.stepIndex];
  return step?.kind === 'hold' ? step : undefined;
}
/** The seat of a breath that is coming, with its props; not while that breath is under way. */
function seatOf({ phase }: Coming): { position: Position; setUp: SetUp } | undefined {
  const step = session.plan.steps[phase.stepIndex];
  if (step?.kind !== 'breath' || !step.seat || 'round' in (session.state.value.phase ?? {})) return undefined;
  const position = library.all.position(step.seat);
  return position && { position, setUp: step.setUp };
}

const rows = computed(() => {
  const { phase, groupMoreMs } = session.state.value;
  // While a change is under way, what it leads to comes after what is still to come of the change.
  const changing = phase !== null && ['setup', 'switch', 'enter'].includes(phase.kind);
  const isHere = ({ phase: { stepIndex } }: Coming): boolean => stepIndex === phase?.stepIndex;
  // The second side of a step to come is part of that step; the second side of this one is what comes next.
  const upcoming = session.coming.value.filter(
    (coming, i, all) => isHere(coming) || coming.phase.stepIndex !== all[i - 1]?.phase.stepIndex,
  );
  return upcoming.slice(0, brief ? 1 : 2).map((coming, i) => {
    const afterMs = coming.afterMs + (i === 0 && changing ? groupMoreMs : 0);
    const change = changing ? `in ${countdown(afterMs)}` : `then, after a change of ${clockOfMs(afterMs)}`;
    return {
      key: coming.phase.index,
      lead: i > 0 ? 'after that' : afterMs >= 1000 ? change : 'then',
      title: comingTitle(session.plan, coming, isHere(coming)),
      detail: comingDetail(session.plan, coming, isHere(coming), library.all),
      step: holdOf(coming),
      seat: seatOf(coming),
      side: 'side' in coming.phase && coming.phase.side === 'right' ? ('right' as const) : ('left' as const),
    };
  });
});
</script>

<template>
  <div class="panel" :class="{ brief }">
    <section v-for="row in rows" :key="row.key">
      <p class="quiet">{{ row.lead }}</p>
      <h2>{{ row.title }}</h2>
      <p class="quiet">{{ row.detail }}</p>
      <div v-if="row.step" class="figure"><StepFigure :step="row.step" :side="row.side" :least="1500" /></div>
      <div v-else-if="row.seat" class="figure">
        <PositionFigure :position="row.seat.position" :set-up="row.seat.setUp" label="" :least="1500" />
      </div>
    </section>
    <p v-if="rows.length === 0" class="quiet last">Nothing after this.</p>
  </div>
</template>

<style scoped>
.panel {
  display: flex;
  flex-direction: column;
  min-width: 0;
  overflow: hidden;
  padding: 22px 40px;
  border-left: 1px solid var(--line-strong);
}
/* What comes next and after that share the height; a figure takes what its words leave of it. */
section {
  display: flex;
  flex: 0 1 auto;
  flex-direction: column;
  min-height: 0;
  overflow: hidden;
}
section > :not(.figure) {
  flex: none;
}
.figure {
  flex: 0 1 150px;
  min-height: 0;
  margin-top: 8px;
  opacity: 0.55;
}
/* In a corner of the stage: the figure beside the words. */
.brief section {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, min(220px, 14cqw));
  grid-auto-rows: max-content;
  gap: 0 20px;
  align-content: end;
}
.brief section > * {
  grid-column: 1;
}
.brief h2 {
  font-size: 28px;
  line-height: 37px;
}
.brief .figure {
  grid-row: 1 / 5;
  grid-column: 2;
  height: 128px;
  margin: 0;
}
section + section {
  margin-top: 22px;
  padding-top: 22px;
  border-top: 1px solid var(--line);
}
h2 {
  display: -webkit-box;
  overflow: hidden;
  font-size: 32px;
  line-height: 42px;
  overflow-wrap: anywhere;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
}
.quiet::first-letter {
  text-transform: none;
}
@media (width < 900px) {
  .panel section + section {
    display: none;
  }
  h2 {
    font-size: 24px;
    line-height: 32px;
  }
}
/* On a phone there is room for words only, and for two lines of what to bring: the time comes first. */
@media (width < 640px) {
  .brief section {
    display: flex;
  }
  h2,
  .brief h2 {
    font-size: 20px;
    line-height: 27px;
  }
  section > p {
    display: -webkit-box;
    overflow: hidden;
    font-size: 15px;
    line-height: 19px;
    -webkit-box-orient: vertical;
    -webkit-line-clamp: 2;
  }
}
</style>
