<script setup lang="ts">
import { computed } from 'vue';
import type { Step } from '#core/plan';
import type { Ms } from '#core/numbers';
import { clockOfMs, spokenMs } from '#core/time';
import AppIcon from '../../../ui/AppIcon.vue';
import PositionFigure from '../../../widgets/figures/PositionFigure.vue';
import StepFigure from '../../../widgets/figures/StepFigure.vue';
import SideGlyph from '../../../widgets/marks/SideGlyph.vue';
import RowSpine from './RowSpine.vue';
import { stepInWords, TAKES_REMAINING } from './words';
import CautionMark from '../../../widgets/cautions/CautionMark.vue';
import { useLibrary } from '../../../state/library';
import { LEVEL_WORDS, type Level } from '#core/caution';

// Plain values, so that a row is drawn again only when something of it changed.
const {
  step,
  index,
  leftMs,
  rightMs,
  bothMs,
  totalMs,
  warning,
  pxPerMs,
  selected,
  reachable,
  cautionLevel = null,
  cautionPeople = 0,
} = defineProps<{
  step: Step;
  index: number;
  leftMs: Ms;
  rightMs: Ms;
  bothMs: Ms;
  totalMs: Ms;
  warning: string | undefined;
  /** The worst that is open for somebody of the group, and how many people it is about. */
  cautionLevel?: Level | null;
  cautionPeople?: number;
  pxPerMs: number;
  selected: boolean;
  /** Whether the tab key stops here. */
  reachable: boolean;
}>();
const library = useLibrary();

const thin = computed(() => step.kind !== 'hold' && step.kind !== 'breath');
/** The position that is drawn: that of a hold, or the one a breath moves. */
const moved = computed(() =>
  step.kind === 'breath' && step.moves ? library.all.position(step.moves.position) : undefined,
);
const drawn = computed(
  () => (step.kind === 'hold' && library.all.position(step.position) !== undefined) || moved.value !== undefined,
);
const words = computed(() => stepInWords(step, library.all));
const careWords = computed(
  () =>
    `${cautionPeople === 1 ? 'one person' : `${cautionPeople} people`}, the most careful: ${cautionLevel ? LEVEL_WORDS[cautionLevel] : ''}`,
);
const summary = computed(() => {
  const sides = leftMs + rightMs > 0 ? `left ${spokenMs(leftMs)}, right ${spokenMs(rightMs)}, ` : '';
  const careful = cautionLevel ? `. ${careWords.value}` : '';
  return `${index + 1}, ${step.name}, ${sides}${spokenMs(totalMs)} in total${warning ? `. ${warning}` : ''}${careful}`;
});
</script>

<template>
  <div
    role="option"
    class="row"
    :class="{ thin, selected }"
    :aria-selected="selected"
    :aria-label="summary"
    :tabindex="reachable ? 0 : -1"
  >
    <span class="number">{{ index + 1 }}</span>
    <span class="figure" :class="{ drawn }"
      ><StepFigure v-if="drawn && step.kind === 'hold'" :step="step" :least="1500" /><PositionFigure
        v-else-if="moved && step.kind === 'breath'"
        :position="moved"
        :set-up="step.setUp"
        label=""
        :least="1500" /><SideGlyph v-else-if="!thin" :step="step"
    /></span>
    <span class="names">
      <span class="name" :title="step.name"
        >{{ step.name }}<span v-if="thin && step.takesRemaining" class="small quiet"> {{ TAKES_REMAINING }}</span></span
      >
      <span v-if="!thin" class="small words">{{ words }}</span>
    </span>
    <span class="spine"
      ><RowSpine
        :step="step"
        :left-ms="leftMs"
        :right-ms="rightMs"
        :both-ms="bothMs"
        :total-ms="totalMs"
        :px-per-ms="pxPerMs"
        :tall="!thin"
    /></span>
    <span class="total">{{ clockOfMs(totalMs) }}</span>
    <span class="care" :title="cautionLevel ? careWords : undefined">
      <template v-if="cautionLevel"><CautionMark :level="cautionLevel" />{{ cautionPeople }}</template>
    </span>
    <span class="mark" :title="warning">
      <AppIcon v-if="warning" name="warn" :size="16" class="caution" />
      <AppIcon v-else-if="step.locked" name="lock" :size="16" />
    </span>
  </div>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: 24px 66px minmax(0, 1fr) 212px 52px 30px 20px;
  gap: 0 8px;
  align-items: center;
  contain: layout paint style;
  height: 33px;
  padding: 0 16px 0 32px;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
  user-select: none;
}
.thin {
  height: 23px;
}
.row:hover {
  background: color-mix(in srgb, var(--sheet) 50%, transparent);
}
.row.selected {
  box-shadow: inset 5px 0 var(--ink);
  background: var(--sheet);
}
.row:focus-visible {
  outline-offset: -2px;
}
.number {
  color: var(--ink-2);
}
.selected .number {
  color: var(--ink);
  font-weight: 600;
}
.figure {
  justify-self: end;
}
.figure.drawn {
  width: 66px;
  height: 32px;
}
.names {
  display: flex;
  flex-direction: column;
  min-width: 0;
}
.name,
.words {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.name {
  font-size: 14.5px;
  font-weight: 600;
  line-height: 16px;
}
.thin .name {
  color: var(--ink-2);
  font-weight: 400;
}
.words {
  color: var(--ink-2);
  line-height: 14px;
}
/* The line runs through rows of any height. */
.spine {
  display: flex;
  align-items: center;
  align-self: stretch;
  background: linear-gradient(var(--line-strong), var(--line-strong)) center / 1px 100% no-repeat;
}
.total {
  text-align: right;
}
.care {
  display: flex;
  gap: 3px;
  align-items: center;
  color: var(--ink-2);
  font-size: 12.5px;
}
.mark {
  justify-self: end;
}
@media (pointer: coarse) {
  .row {
    height: 44px;
  }
}
@media (width < 640px) {
  .row {
    grid-template-columns: 22px minmax(0, 1fr) 56px 30px 20px;
    padding: 0 12px;
  }
  .figure,
  .spine {
    display: none;
  }
}
</style>
