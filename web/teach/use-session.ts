import { computed, onBeforeUnmount, ref, shallowRef } from 'vue';
import {
  comingUp,
  cuesAhead,
  foldRun,
  ledPhases,
  nextStop,
  previousStop,
  stateAt,
  type Cue,
  type Run,
  type RunEvent,
} from '#core/run';
import { DEFAULT_RULES, type HouseRules } from '#core/timeline';
import type { StoredPlan } from '#api';
import { newId } from '../stores/browser';
import { timelineOf } from '../shared/ribbon/layout';
import { keepLocalRun, makeOutbox, unfinishedRun, type LocalRun } from './outbox';
import { useLibrary } from '../stores/library';

type Body<E> = E extends RunEvent ? Omit<E, 'id' | 'atMs'> : never;
export type Happening = Body<RunEvent>;

const TICK_MS = 200;
/** Within this of its beginning, "back" goes to the stretch before. */
const JUST_BEGUN_MS = 3000;

/**
 * A live session: events in, state out. The state is asked of the events and the clock at every tick; nothing counts
 * down. Every event is kept in this browser at once and sent to the server in order. A session of this plan that did
 * not end goes on where it is by the clock.
 */
export function useSession(stored: StoredPlan, bells: () => HouseRules['bells']) {
  const local = shallowRef<LocalRun | undefined>(unfinishedRun(stored.id));
  const plan = local.value?.plan ?? stored.document;
  const timeline = timelineOf(plan, useLibrary().all);
  const now = ref(Date.now());
  const trouble = ref('');
  const outbox = makeOutbox(
    () => local.value,
    (text) => {
      trouble.value = text;
    },
  );
  void outbox.send();

  const run = computed<Run>(() => foldRun(timeline, local.value?.events ?? []));
  const state = computed(() => stateAt(timeline, run.value, now.value));
  const phases = computed(() => ledPhases(timeline, run.value));
  const coming = computed(() => comingUp(timeline, run.value, state.value.at, 4));
  const rules = computed<HouseRules>(() => ({ ...DEFAULT_RULES, bells: bells() }));
  const cuesFrom = (fromMs: number, horizonMs: number): Cue[] =>
    cuesAhead(timeline, rules.value, run.value, fromMs, horizonMs);

  const timer = setInterval(() => {
    now.value = Date.now();
  }, TICK_MS);
  onBeforeUnmount(() => {
    clearInterval(timer);
    outbox.stop();
  });

  function happen(body: Happening): void {
    const atMs = Date.now();
    const base: LocalRun = local.value ?? {
      id: newId(),
      planId: stored.id,
      planRevision: stored.revision,
      plan,
      events: [],
      acknowledged: 0,
    };
    local.value = { ...base, events: [...base.events, { ...body, id: newId(), atMs } as RunEvent] };
    now.value = atMs;
    if (!keepLocalRun(local.value))
      trouble.value = 'This browser has no room to keep what happens; it is only sent to the server.';
    void outbox.send();
  }

  function next(): void {
    const { phase } = state.value;
    const target = phase ? nextStop(timeline, phase.index) : undefined;
    if (target !== undefined) happen({ kind: 'jumped', phase: target });
  }
  function back(): void {
    const { phase, intoMs } = state.value;
    const from = phase?.index ?? timeline.phases.length - 1;
    const begun = phase?.index === previousStop(timeline, from, false) && intoMs < JUST_BEGUN_MS;
    happen({ kind: 'jumped', phase: previousStop(timeline, from, begun) });
  }
  function pauseOrGoOn(): void {
    const { status } = run.value;
    if (status === 'ready') happen({ kind: 'started' });
    else if (status === 'running') happen({ kind: 'paused' });
    else if (status === 'paused') happen({ kind: 'resumed' });
  }
  /** More or less of what is under way: seconds in a hold of the breath, rounds in a breath, else half a minute. */
  function more(by: 1 | -1): void {
    if (state.value.phase?.kind === 'retention') happen({ kind: 'stretched', byMs: by * 5000 });
    else if (state.value.round) happen({ kind: 'rounds', by });
    else happen({ kind: 'stretched', byMs: by * 30_000 });
  }

  return {
    plan,
    timeline,
    run,
    state,
    phases,
    coming,
    now,
    trouble,
    local,
    cuesFrom,
    happen,
    next,
    back,
    pauseOrGoOn,
    more,
  };
}

export type Session = ReturnType<typeof useSession>;
