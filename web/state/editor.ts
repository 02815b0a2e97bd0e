import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import {
  record,
  redo as redone,
  seal as sealed,
  startHistory,
  undo as undone,
  type FieldIssue,
  type History,
} from '#core/document';
import { applyEdit, readPlan, setDetails, type Plan, type PlanEdit } from '#core/plan';
import { compileTimeline } from '#core/timeline';
import type { ConflictResponse, SavedPlan, StoredPlan } from '#api';
import { ApiProblem, worthRetrying } from '../client/http';
import { conflictOf, createPlan, readStoredPlan, savePlan } from '../client/plans';
import { draftsOf } from '../sync/drafts';
import { latestOnly } from '../sync/latest';
import { useLibrary } from './library';

export type SaveState = 'saved' | 'saving' | 'unsaved' | 'waiting' | 'refused' | 'conflict';

const drafts = draftsOf<Plan>('zovrin.draft.', (value) => {
  const read = readPlan(value);
  return read.ok ? read.plan : undefined;
});

const SAVE_AFTER_MS = 700;
const RETRY_MS = [2000, 5000, 10_000, 30_000];

/** Which version to go on with when a plan was changed in two places; the other one is always kept as a copy. */
export type Resolution = 'mine' | 'theirs';

/**
 * The plan on the desk: its history, its timeline, and keeping it saved. Every edit is written to this browser at once
 * and to the server soon after; until the server has acknowledged it, it survives a reload, a crash and a lost line.
 */
export const useEditor = defineStore('editor', () => {
  const library = useLibrary();
  const id = ref('');
  const revision = ref(0);
  const history = shallowRef<History<Plan>>();
  const selected = ref<string>();
  const state = ref<SaveState>('saved');
  const savedAt = ref<Date>();
  const trouble = ref('');
  const storageFull = ref(false);
  const conflict = shallowRef<ConflictResponse>();

  const plan = computed(() => history.value?.now);
  const timeline = computed(() => plan.value && compileTimeline(plan.value, library.all));
  const selectedIndex = computed(() => plan.value?.steps.findIndex((step) => step.id === selected.value) ?? -1);
  const selectedStep = computed(() => plan.value?.steps[selectedIndex.value]);
  const canUndo = computed(() => (history.value?.past.length ?? 0) > 0);
  const canRedo = computed(() => (history.value?.future.length ?? 0) > 0);

  const opens = latestOnly();
  let timer: ReturnType<typeof setTimeout> | undefined;
  /** The save under way, if there is one. */
  let sending: Promise<void> | undefined;
  let failures = 0;
  let channel: BroadcastChannel | undefined;
  /** Versions sent since the last acknowledgement, as text: if one of them turns out to be stored, it was ours. */
  let unanswered: string[] = [];

  const keep = async (): Promise<void> => {
    if (!plan.value) return;
    storageFull.value = !(await drafts.keep(id.value, { revision: revision.value, document: plan.value, unanswered }));
  };

  const wait = (ms: number): void => {
    clearTimeout(timer);
    timer = setTimeout(() => void save(), ms);
  };

  function show(stored: SavedPlan): void {
    id.value = stored.id;
    revision.value = stored.revision;
    savedAt.value = new Date(stored.updatedAt);
  }

  /** Opens a plan; edits that an earlier visit could not save are taken up again. Throws where it cannot be read. */
  async function open(planId: string): Promise<void> {
    const isLatest = opens();
    await close();
    const stored = isLatest() && (await readStoredPlan(planId));
    // Another plan was opened meanwhile: this answer is not for it.
    if (!stored || !isLatest()) return;
    const draft = await drafts.take(planId);
    if (!isLatest()) {
      if (draft) await drafts.keep(planId, draft);
      return;
    }
    show(stored);
    history.value = startHistory(stored.document);
    const { steps } = stored.document;
    selected.value = (steps.find(({ kind }) => kind === 'hold') ?? steps[0])?.id;
    state.value = 'saved';
    listen();
    const storedText = JSON.stringify(stored.document);
    if (!draft || JSON.stringify(draft.document) === storedText) return;
    if (draft.revision !== stored.revision && !draft.unanswered.includes(storedText)) {
      // The edits were made on an older revision, and stay that until it is chosen which version goes on.
      revision.value = draft.revision;
      history.value = startHistory(draft.document);
      meetConflict({ current: stored, yours: draft.document });
      return;
    }
    put(record(startHistory(stored.document), { name: 'edits kept from before' }, draft.document));
  }

  /**
   * Leaves the plan: what is not saved yet is sent now, and what cannot be sent stays kept here for the next visit.
   * The next plan is only opened when this has come to its end, so that no answer meets the wrong plan.
   */
  async function close(): Promise<void> {
    channel?.close();
    channel = undefined;
    await sending;
    await save();
    clearTimeout(timer);
    [conflict.value, trouble.value, failures, unanswered] = [undefined, '', 0, []];
  }

  /** Other tabs tell when they have saved: a tab without edits of its own follows them. */
  function listen(): void {
    channel = new BroadcastChannel(`zovrin.plan.${id.value}`);
    channel.onmessage = async () => {
      if (state.value !== 'saved') return;
      const stored = await readStoredPlan(id.value).catch(() => undefined);
      if (!stored || stored.id !== id.value || stored.revision <= revision.value || state.value !== 'saved') return;
      show(stored);
      if (history.value) history.value = record(history.value, { name: 'edits from another tab' }, stored.document);
    };
  }

  function put(next: History<Plan>): void {
    const at = selectedIndex.value;
    history.value = next;
    const { steps } = next.now;
    // A chosen step that is gone leaves the choice to its neighbour.
    if (!steps.some((step) => step.id === selected.value))
      selected.value = steps[Math.max(0, Math.min(at, steps.length - 1))]?.id;
    void keep();
    if (state.value === 'conflict') return;
    state.value = 'unsaved';
    wait(SAVE_AFTER_MS);
  }

  /** Makes an edit. Gives the fields that would be wrong, and then nothing has changed; an empty list is success. */
  function edit(change: PlanEdit): FieldIssue[] {
    if (!history.value) return [];
    const result = applyEdit(history.value.now, change);
    if (!result.ok) return result.issues;
    if (JSON.stringify(result.plan) !== JSON.stringify(history.value.now))
      put(record(history.value, change, result.plan));
    return [];
  }

  const seal = (): void => {
    if (history.value) history.value = sealed(history.value);
  };
  const undo = (): void => {
    if (history.value && canUndo.value) put(undone(history.value));
  };
  const redo = (): void => {
    if (history.value && canRedo.value) put(redone(history.value));
  };

  function meetConflict(met: ConflictResponse): void {
    conflict.value = met;
    state.value = 'conflict';
    void keep();
  }

  /** A stale write: our own earlier save whose answer was lost, or somebody else's. */
  function meetStaleWrite(met: ConflictResponse): void {
    if (!unanswered.includes(JSON.stringify(met.current.document)))
      return meetConflict({ ...met, yours: plan.value ?? met.yours });
    show(met.current);
    unanswered = [];
    state.value = 'unsaved';
    void keep();
    wait(0);
  }

  /** Sends what the server has not acknowledged. One request at a time; what changed meanwhile goes with the next. */
  function save(): Promise<void> {
    const isClean = state.value === 'saved' || state.value === 'conflict';
    if (!plan.value || isClean) return Promise.resolve();
    sending ??= send(plan.value).finally(() => (sending = undefined));
    return sending;
  }

  async function send(sent: Plan): Promise<void> {
    state.value = 'saving';
    unanswered = [...unanswered, JSON.stringify(sent)].slice(-4);
    void keep();
    try {
      const stored = await savePlan(id.value, revision.value, sent);
      unanswered = [];
      failures = 0;
      trouble.value = '';
      show(stored);
      channel?.postMessage(stored.revision);
      if (plan.value === sent) {
        state.value = 'saved';
        await drafts.drop(id.value);
      } else {
        state.value = 'unsaved';
        await keep();
        wait(SAVE_AFTER_MS);
      }
    } catch (error) {
      const met = conflictOf(error);
      if (met) meetStaleWrite(met);
      else if (worthRetrying(error)) {
        state.value = 'waiting';
        trouble.value = (error as Error).message;
        wait(RETRY_MS[Math.min(failures++, RETRY_MS.length - 1)] ?? 30_000);
      } else {
        state.value = 'refused';
        trouble.value = refusal(error);
      }
    }
  }

  function refusal(error: unknown): string {
    if (!(error instanceof ApiProblem)) return (error as Error).message;
    const [first] = error.problem.errors ?? [];
    return first ? `${first.reason} (${first.field})` : error.problem.detail;
  }

  /** Goes on with one of two versions; the other becomes a plan of its own, so both are kept. */
  async function resolve(choice: Resolution): Promise<StoredPlan | undefined> {
    const met = conflict.value;
    if (!met || !history.value) return undefined;
    const mine = history.value.now;
    const other = choice === 'mine' ? met.current.document : mine;
    const copy = await createPlan(setDetails({ title: `${other.title.slice(0, 180)} (other version)` }).apply(other));
    show(met.current);
    conflict.value = undefined;
    if (choice === 'theirs') {
      history.value = record(history.value, { name: 'take the other version' }, met.current.document);
      state.value = 'saved';
      await drafts.drop(id.value);
    } else {
      state.value = 'unsaved';
      await keep();
      await save();
    }
    return copy;
  }

  return {
    id,
    revision,
    plan,
    timeline,
    selected,
    selectedIndex,
    selectedStep,
    state,
    savedAt,
    trouble,
    storageFull,
    conflict,
    canUndo,
    canRedo,
    open,
    close,
    edit,
    seal,
    undo,
    redo,
    save,
    resolve,
  };
});
