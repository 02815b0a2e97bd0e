import { defineStore, storeToRefs } from 'pinia';
import { computed, ref, shallowRef, watch } from 'vue';
import type { FieldIssue } from '#core/document';
import { chosenSteps, readPlanEdit, type PlanEdit } from '#core/plan';
import { compileTimeline, DEFAULT_RULES, rulesFor } from '#core/timeline';
import { latestOnly } from '../sync/latest';
import type { Resolution } from '../sync/meet';
import { editedPlanOf, editedWeekOf, type EditedPlan } from './edited-plan';
import { useLibrary } from './library';
import { useOpenPlan } from './open-plan';

/** The edit of a step of undo, where it is known as one. */
function editOf(step: { edit?: unknown } | undefined): PlanEdit | undefined {
  const read = step?.edit === undefined ? undefined : readPlanEdit(step.edit);
  return read?.ok ? read.value : undefined;
}

/** The open plan: kept saved, with its undo, its timeline, and the step that is selected. */
export const useEditor = defineStore('editor', () => {
  const library = useLibrary();
  const { id } = storeToRefs(useOpenPlan());
  const current = shallowRef<EditedPlan>();
  const synced = computed(() => current.value?.synced);
  /** The step whose fields are shown, and with it every other that is chosen. */
  const lead = ref<string>();
  const chosen = shallowRef<readonly string[]>([]);
  /** Where a range of chosen steps begins. */
  const anchor = ref<string>();
  function selectAll(ids: readonly string[], shown = ids.at(-1)): void {
    [lead.value, chosen.value] = [shown, [...ids]];
  }
  const selected = computed({
    get: () => lead.value,
    set: (stepId: string | undefined) => {
      anchor.value = stepId;
      selectAll(stepId === undefined ? [] : [stepId]);
    },
  });

  const plan = computed(() => current.value?.plan.value);
  /** The week of a course that is open; undefined where it is a plan of its own. */
  const week = computed(() => current.value?.week);
  const timeline = computed(() => plan.value && compileTimeline(plan.value, library.all));
  /** The rules its timeline goes by: its own, or the usual ones. */
  const rules = computed(() => (plan.value ? rulesFor(plan.value, DEFAULT_RULES) : DEFAULT_RULES));
  const selectedIndex = computed(() => plan.value?.steps.findIndex((step) => step.id === selected.value) ?? -1);
  const selectedStep = computed(() => plan.value?.steps[selectedIndex.value]);
  /** The ids of all chosen steps, in the order of the plan. */
  const selection = computed(() => chosenSteps(plan.value?.steps ?? [], chosen.value).map(({ id: stepId }) => stepId));

  /** Chooses a step besides the others, or no longer; the last one stays. */
  function toggleSelected(stepId: string): void {
    const others = chosen.value.filter((one) => one !== stepId);
    anchor.value = stepId;
    if (!chosen.value.includes(stepId)) selectAll([...others, stepId], stepId);
    else if (others.length > 0) selectAll(others);
  }
  /** Chooses every step from where the choice began to this one. */
  function selectTo(stepId: string): void {
    const ids = plan.value?.steps.map((step) => step.id) ?? [];
    const [from, to] = [ids.indexOf(anchor.value ?? lead.value ?? stepId), ids.indexOf(stepId)];
    if (to >= 0) selectAll(ids.slice(Math.max(0, Math.min(from, to)), Math.max(from, to) + 1), stepId);
  }
  /** Chooses several steps; the fields of the last are shown. */
  function select(ids: readonly string[]): void {
    anchor.value = ids[0];
    selectAll(ids);
  }

  // A selected step that is gone leaves the selection to its neighbour.
  watch(
    plan,
    (now, before) => {
      if (!now || now.steps.some((step) => step.id === selected.value)) return;
      const at = before?.steps.findIndex((step) => step.id === selected.value) ?? -1;
      const first = now.steps.find(({ kind }) => kind === 'hold') ?? now.steps[0];
      const neighbour = now.steps[Math.max(0, Math.min(at, now.steps.length - 1))];
      selected.value = (at < 0 ? first : neighbour)?.id;
    },
    { flush: 'sync' },
  );

  const opens = latestOnly();
  async function openAs(planId: string, make: () => EditedPlan): Promise<void> {
    const isLatest = opens();
    void synced.value?.close();
    const opened = make();
    [id.value, current.value, selected.value] = [planId, opened, undefined];
    try {
      await opened.opened();
    } catch (error) {
      // Another plan was opened meanwhile: this one is no longer of interest.
      if (isLatest()) throw error;
    }
  }
  /** Opens a plan, with the changes that an earlier visit could not save. Rejects if it cannot be read. */
  const open = (planId: string): Promise<void> => openAs(planId, () => editedPlanOf(planId, library));
  /** Opens a week of a course. It has no id of a plan: what is kept beside a plan is not there for it. */
  const openWeek = (courseId: string, number: number): Promise<void> =>
    openAs('', () => editedWeekOf(courseId, number));

  /** Leaves the plan: what is not saved yet is sent now, and what cannot be sent stays here for the next visit. */
  const close = (): Promise<void> => synced.value?.close() ?? Promise.resolve();

  /** Makes an edit. Returns the fields that would be wrong, and then nothing has changed; an empty list is success. */
  const edit = (change: PlanEdit): FieldIssue[] => current.value?.edit(change) ?? [];

  return {
    id,
    /** The address of its steps, under which its other pages are. */
    path: computed(() =>
      week.value ? `/courses/${week.value.courseId}/weeks/${week.value.number}` : `/plans/${id.value}`,
    ),
    plan,
    week,
    timeline,
    rules,
    selected,
    selectedIndex,
    selectedStep,
    selection,
    select,
    selectTo,
    toggleSelected,
    revision: computed(() => synced.value?.revision.value ?? 0),
    state: computed(() => synced.value?.state.value ?? 'saved'),
    savedAt: computed(() => synced.value?.savedAt.value),
    trouble: computed(() => synced.value?.trouble.value ?? ''),
    storageFull: computed(() => synced.value?.storageFull.value ?? false),
    conflict: computed(() => current.value?.conflict.value),
    /** The edits that undo would take back and redo make again; undefined if they are not known as data. */
    lastEdit: computed(() => editOf(synced.value?.lastChange.value)),
    nextEdit: computed(() => editOf(synced.value?.nextChange.value)),
    canUndo: computed(() => synced.value?.canUndo.value ?? false),
    canRedo: computed(() => synced.value?.canRedo.value ?? false),
    open,
    openWeek,
    close,
    edit,
    seal: (): void => synced.value?.seal(),
    undo: (): void => synced.value?.undo(),
    redo: (): void => synced.value?.redo(),
    save: (): Promise<void> => synced.value?.save() ?? Promise.resolve(),
    resolve: (choice: Resolution): Promise<void> => synced.value?.resolve(choice) ?? Promise.resolve(),
  };
});
