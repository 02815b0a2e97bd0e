<script setup lang="ts">
import Sortable from 'sortablejs';
import { computed, nextTick, onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue';
import { moveStepTo, type Plan } from '#core/plan';
import type { Timeline } from '#core/timeline';
import { troubleLines } from '../../../widgets/props/need-words';
import { useShortages } from '../../../widgets/props/use-shortages';
import { useEditor } from '../../../state/editor';
import { useScreening } from '../../../state/screening';
import ContextActions from '../../../ui/menus/ContextActions.vue';
import StepRow from './StepRow.vue';
import { useStepMenu } from './step-menu';
import { useStepActions } from './use-step-actions';

/** The ribbon turned upright: the steps in order, about one vertical line. */
const { plan, timeline } = defineProps<{ plan: Plan; timeline: Timeline }>();

const emit = defineEmits<{
  /** A step was chosen by pressing its row. */
  chosen: [];
}>();

const editor = useEditor();
const shortages = useShortages();
const screening = useScreening();
const list = useTemplateRef<HTMLElement>('list');
const MAX_PX = 62;
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
/** The row under a press; −1 beside all of them. Listened for at the list, so that a row has nothing that changes. */
const indexAt = ({ target }: Event): number => {
  const row = target instanceof Element ? target.closest('[role="option"]') : null;
  return row && list.value ? [...list.value.children].indexOf(row) : -1;
};
async function focusSelected(): Promise<void> {
  await nextTick();
  (rowOf(Math.max(0, editor.selectedIndex)) ?? list.value)?.focus();
}
const selected = computed(() => new Set(editor.selection));
/** The row that arrow keys start from: the selected one, unless Ctrl led away from it. */
const away = ref<string>();
const cursor = computed(() => (plan.steps.some(({ id }) => id === away.value) ? away.value : editor.selected));
watch(
  () => editor.selected,
  () => (away.value = undefined),
);
interface Held {
  shiftKey: boolean;
  ctrlKey: boolean;
  metaKey: boolean;
}
/** Chooses a row: alone, with Shift all up to it, with Ctrl besides the others or no longer. */
function choose(index: number, { shiftKey, ctrlKey, metaKey }: Held): void {
  const step = plan.steps[index];
  if (!step) return;
  if (shiftKey) editor.selectTo(step.id);
  else if (ctrlKey || metaKey) editor.toggleSelected(step.id);
  else editor.selected = step.id;
  rowOf(index)?.focus();
}
function press(index: number, event: MouseEvent): void {
  if (index < 0) return;
  choose(index, event);
  if (editor.selection.length === 1) emit('chosen');
}
function onKey(event: KeyboardEvent): void {
  if (event.altKey) return;
  const at = plan.steps.findIndex(({ id }) => id === cursor.value);
  const withCtrl = event.ctrlKey || event.metaKey;
  if (event.key === 'ContextMenu' || (event.key === 'F10' && event.shiftKey)) {
    event.preventDefault();
    return openMenuByKey(Math.max(0, at));
  }
  if (event.key === ' ') {
    event.preventDefault();
    return choose(Math.max(0, at), event);
  }
  const to = { ArrowUp: at - 1, ArrowDown: at + 1, Home: 0, End: plan.steps.length - 1 }[event.key];
  if (to === undefined) return;
  event.preventDefault();
  const next = Math.max(0, Math.min(plan.steps.length - 1, to));
  if (!withCtrl || event.shiftKey) return choose(next, { shiftKey: event.shiftKey, ctrlKey: false, metaKey: false });
  away.value = plan.steps[next]?.id;
  rowOf(next)?.focus();
}

const menu = useTemplateRef('menu');
const groups = useStepMenu(useStepActions());
function openMenu(index: number, event: Event): void {
  const step = plan.steps[index];
  if (!step) return;
  if (!selected.value.has(step.id)) editor.selected = step.id;
  menu.value?.show(event);
}
/** Not every browser makes a menu event of the key; the menu opens in the middle of the row. */
function openMenuByKey(index: number): void {
  const row = rowOf(index);
  const box = row?.getBoundingClientRect();
  if (!row || !box) return;
  const [clientX, clientY] = [box.left + box.width / 3, box.top + box.height / 2];
  row.dispatchEvent(new MouseEvent('contextmenu', { bubbles: true, cancelable: true, clientX, clientY }));
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
    <span
      >{{ plan.steps.length }} {{ plan.steps.length === 1 ? 'step' : 'steps'
      }}<template v-if="editor.selection.length > 1">, {{ editor.selection.length }} selected</template></span
    >
    <span class="sides"><span>left</span><span>right</span></span>
    <span>total</span>
  </div>
  <div
    ref="list"
    class="list"
    role="listbox"
    aria-label="Steps"
    aria-multiselectable="true"
    :tabindex="plan.steps.length === 0 ? 0 : undefined"
    @keydown="onKey"
    @click="press(indexAt($event), $event)"
    @contextmenu="openMenu(indexAt($event), $event)"
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
      :selected="selected.has(step.id)"
      :reachable="step.id === cursor || (cursor === undefined && index === 0)"
    />
  </div>
  <ContextActions ref="menu" label="Selected steps" :groups="groups" @hide="focusSelected" />
</template>

<style scoped>
.head {
  display: grid;
  grid-template-columns: 1fr 212px 142px;
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
