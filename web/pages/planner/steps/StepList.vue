<script setup lang="ts">
import Sortable from 'sortablejs';
import { computed, nextTick, onBeforeUnmount, onMounted, useTemplateRef, watch } from 'vue';
import { moveStepTo, type Plan } from '#core/plan';
import type { Timeline } from '#core/timeline';
import { troubleLines } from '../../../widgets/props/need-words';
import { useShortages } from '../../../widgets/props/use-shortages';
import { useEditor } from '../../../state/editor';
import { useScreening } from '../../../state/screening';
import StepRow from './StepRow.vue';

/** The ribbon turned upright: the steps in order, about one vertical line. */
const { plan, timeline } = defineProps<{ plan: Plan; timeline: Timeline }>();

const editor = useEditor();
const shortages = useShortages();
const screening = useScreening();
const list = useTemplateRef<HTMLElement>('list');
const MAX_PX = 84;
/** One scale for all rows: a quarter of a pixel a second, less where a side would not fit. */
const pxPerMs = computed(() => {
  const longest = Math.max(
    1,
    ...timeline.steps.map(({ leftMs, rightMs, bothMs, startMs, endMs, kind }) =>
      kind === 'breath' ? (endMs - startMs) / 2 : Math.max(leftMs, rightMs, bothMs / 2),
    ),
  );
  return Math.min(0.25 / 1000, MAX_PX / longest);
});

const totalOf = (index: number): number => {
  const span = timeline.steps[index];
  return span ? span.endMs - span.startMs : 0;
};
/** The first thing to know about each step, its props last; that a set-up was capped is only shown in the inspector. */
const warnings = computed(() => {
  const first = new Map<number, string>();
  for (const { stepIndex, kind, message } of timeline.notes) {
    if (kind !== 'setupCapped' && !first.has(stepIndex)) first.set(stepIndex, message);
  }
  for (const [index, trouble] of shortages.value) {
    const [firstLine] = troubleLines(trouble);
    if (firstLine && !first.has(index)) first.set(index, firstLine);
  }
  return first;
});

let sortable: Sortable | undefined;
onMounted(() => {
  if (!list.value) return;
  sortable = Sortable.create(list.value, {
    forceFallback: true,
    fallbackTolerance: 5,
    animation: 0,
    delay: 180,
    delayOnTouchOnly: true,
    onEnd({ oldIndex, newIndex, item }) {
      if (oldIndex === undefined || newIndex === undefined || oldIndex === newIndex) return;
      // The order belongs to the plan: put the row back where the list has it, and let the edit move it.
      const rows = [...(list.value?.children ?? [])].filter((row) => row !== item);
      list.value?.insertBefore(item, rows[oldIndex] ?? null);
      const step = plan.steps[oldIndex];
      if (!step) return;
      editor.edit(moveStepTo(step.id, newIndex));
      editor.selected = step.id;
    },
  });
});
onBeforeUnmount(() => sortable?.destroy());

const rowOf = (index: number): HTMLElement | undefined => list.value?.children[index] as HTMLElement | undefined;
async function focusSelected(): Promise<void> {
  await nextTick();
  (rowOf(Math.max(0, editor.selectedIndex)) ?? list.value)?.focus();
}
function choose(index: number): void {
  const step = plan.steps[index];
  if (!step) return;
  editor.selected = step.id;
  rowOf(index)?.focus();
}
function onKey(event: KeyboardEvent): void {
  if (event.altKey || event.ctrlKey || event.metaKey) return;
  const at = editor.selectedIndex;
  const to = { ArrowUp: at - 1, ArrowDown: at + 1, Home: 0, End: plan.steps.length - 1 }[event.key];
  if (to === undefined) return;
  event.preventDefault();
  choose(Math.max(0, to));
}
watch(
  () => editor.selectedIndex,
  async (index) => {
    await nextTick();
    rowOf(index)?.scrollIntoView({ block: 'nearest' });
  },
);
defineExpose({ focusSelected });
</script>

<template>
  <div class="head small quiet">
    <span>{{ plan.steps.length }} {{ plan.steps.length === 1 ? 'step' : 'steps' }}</span>
    <span class="sides"><span>left</span><span>right</span></span>
    <span>total</span>
  </div>
  <div
    ref="list"
    class="list"
    role="listbox"
    aria-label="Steps"
    :tabindex="plan.steps.length === 0 ? 0 : undefined"
    @keydown="onKey"
  >
    <StepRow
      v-for="(step, index) in plan.steps"
      :key="step.id"
      :step="step"
      :index="index"
      :left-ms="timeline.steps[index]?.leftMs ?? 0"
      :right-ms="timeline.steps[index]?.rightMs ?? 0"
      :both-ms="timeline.steps[index]?.bothMs ?? 0"
      :total-ms="totalOf(index)"
      :warning="warnings.get(index)"
      :caution-level="screening.matrix?.columns[index]?.level ?? null"
      :caution-people="screening.matrix?.columns[index]?.open ?? 0"
      :px-per-ms="pxPerMs"
      :selected="step.id === editor.selected"
      :reachable="step.id === editor.selected || (editor.selectedIndex < 0 && index === 0)"
      @click="choose(index)"
    />
  </div>
</template>

<style scoped>
.head {
  display: grid;
  grid-template-columns: 1fr 260px 158px;
  padding: 4px 24px 2px 32px;
}
.head > :last-child {
  padding-right: 66px;
  text-align: right;
}
.sides {
  display: grid;
  grid-template-columns: 1fr 1fr;
}
.sides span:first-child {
  padding-right: 22px;
  text-align: right;
}
.sides span:last-child {
  padding-left: 14px;
}
.list {
  flex: 1;
  min-height: 0;
  overflow: hidden auto;
}
@media (width < 640px) {
  .head {
    grid-template-columns: 1fr auto;
    padding: 4px 12px;
  }
  .sides {
    display: none;
  }
}
</style>
