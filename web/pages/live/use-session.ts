import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import type { SecondSide } from '#core/settings';
import type { Plan } from '#core/plan';
import {
  catchUp,
  comingUp,
  cuesAhead,
  effectiveEvents,
  foldRun,
  ledPhases,
  matchedSteps,
  nextStop,
  previousStop,
  runAt,
  secondSideGapMs,
  stateAt,
  stepsToCome,
  type Cue,
  type Run,
  type RunEvent,
} from '#core/run';
import { compileTimeline, DEFAULT_RULES, type TimelineRules, type Timeline } from '#core/timeline';
import type { StoredPlan } from '#api';
import { useLibrary } from '../../state/library';
import type { SessionClock } from '../../widgets/session/session-clock';
import { startTicker } from '../../widgets/session/ticker';
import { excludedMs } from '../../widgets/session/clock-offset';
import { useLedRun, type NewRunEvent, type InitialLeadership } from './use-led-run';

/** A longer gap between two ticks than a busy page makes. */
const UNSEEN_MS = 10_000;
const WORTH_MATCHING_MS = 1000;
/** What was done can be taken back for this long. */
const TAKE_BACK_MS = 10_000;
/** What has no undo while a session is led. */
const NOT_UNDOABLE: ReadonlySet<RunEvent['kind']> = new Set([
  'started',
  'ended',
  'prompted',
  'noted',
  'rated',
  'present',
  'led',
  'clockSet',
  'undone',
]);
/** Within this of its beginning, "back" goes to the stretch before. */
const JUST_BEGUN_MS = 3000;

/**
 * A session as it is seen: all that follows from its events and the clock, and nothing that changes it. Whoever uses it
 * moves `now`; the state is asked of the events and the clock, nothing counts down.
 */
export function useSessionView(
  plan: Plan,
  timeline: Timeline,
  events: () => readonly RunEvent[],
  clock: SessionClock,
  bells: () => TimelineRules['bells'],
) {
  const now = ref(clock.now());
  const run = computed<Run>(() => foldRun(timeline, events()));
  const state = computed(() => stateAt(run.value, now.value));
  const phases = computed(() => ledPhases(run.value));
  const coming = computed(() => comingUp(run.value, state.value.at, 4));
  const rules = computed<TimelineRules>(() => ({ ...DEFAULT_RULES, bells: bells() }));
  const cuesFrom = (fromMs: number, horizonMs: number): Cue[] => cuesAhead(rules.value, run.value, fromMs, horizonMs);
  return { plan, timeline, clock, now, run, state, phases, coming, cuesFrom };
}
export type SessionView = ReturnType<typeof useSessionView>;

/**
 * A live session: events in, state out. The state is asked of the events and the clock at every tick; nothing counts
 * down. Every event is kept in this browser at once and sent to the server in order. A session of this plan that did
 * not end goes on where it is by the clock.
 */
export function useSession(
  stored: StoredPlan,
  bells: () => TimelineRules['bells'],
  secondSide: () => SecondSide,
  clock: SessionClock,
  first: InitialLeadership,
) {
  const plan = (clock.rehearsal ? undefined : first.run?.plan) ?? stored.document;
  const timeline = compileTimeline(plan, useLibrary().all);
  const led = useLedRun(stored, plan, clock, first);
  const { local, leading, lead } = led;
  const view = useSessionView(plan, timeline, () => local.value?.events ?? [], clock, bells);
  const { now, run, state } = view;

  /** Time that passed without ticks: the machine slept. */
  const unseen = shallowRef<{ fromMs: number; untilMs: number }>();
  /** By how much the machine's clock was set under way, until somebody has seen it. */
  const clockSetMs = ref(0);
  const stopTicker = startTicker(() => {
    const byMs = run.value.status === 'ready' ? 0 : clock.setBy();
    if (byMs !== 0 && happen({ kind: 'clockSet', byMs })) clockSetMs.value = byMs;
    const atMs = clock.now();
    if (run.value.status === 'running' && atMs - now.value > UNSEEN_MS * clock.speed.value)
      unseen.value = { fromMs: now.value, untilMs: atMs };
    now.value = atMs;
    void led.listen();
  });
  onBeforeUnmount(stopTicker);
  /** What went by unseen does not count: it continues from where it was. */
  function excludeGap(): void {
    const gap = unseen.value;
    if (gap) happen({ kind: 'missed', fromMs: gap.fromMs });
  }
  /** The machine's clock was not set: so much time really went by. */
  function revertClockCorrection(): void {
    const byMs = clockSetMs.value;
    if (byMs === 0) return;
    happen({ kind: 'clockSet', byMs: -byMs });
    clock.leaveOut(excludedMs(local.value?.events ?? [], first.me));
    now.value = clock.now();
    clockSetMs.value = 0;
  }
  const dismissUnseen = (): void => {
    [unseen.value, clockSetMs.value] = [undefined, 0];
  };

  function happen(body: NewRunEvent): boolean {
    const happened = led.happen(body);
    if (!happened) return false;
    // Whoever acts has seen where the clock is.
    unseen.value = undefined;
    now.value = clock.now();
    return true;
  }

  const goTo = (at: number | undefined): void => {
    const item = at === undefined ? undefined : run.value.queue[at];
    if (item) happen({ kind: 'jumped', phase: item.phase });
  };
  const next = (): void => goTo(nextStop(run.value, state.value.at));
  function back(): void {
    const { at, intoMs } = state.value;
    const begun = at === previousStop(run.value, at, false) && intoMs < JUST_BEGUN_MS;
    goTo(previousStop(run.value, at, begun));
  }
  function pauseOrGoOn(): void {
    const { status } = run.value;
    if (status === 'ready') happen({ kind: 'started' });
    if (status === 'running') happen({ kind: 'paused' });
    if (status === 'paused') happen({ kind: 'resumed' });
  }
  /** More or less of what is under way: seconds in a hold of the breath, rounds in a breath, else half a minute. */
  function more(by: 1 | -1): void {
    if (state.value.phase?.kind === 'retention') happen({ kind: 'stretched', byMs: by * 5000 });
    else if (state.value.round) happen({ kind: 'rounds', by });
    else happen({ kind: 'stretched', byMs: by * 30_000 });
  }

  /** The hold under way continues until it is ended by hand, or again only for its time. */
  function holdOn(): void {
    happen({ kind: 'opened', open: !state.value.open });
  }
  /** The next two steps that are wholly to come, in the order they have by now. */
  const nextTwo = computed(() => {
    const [one, other] = stepsToCome(run.value, state.value.at);
    return one === undefined || other === undefined ? undefined : ([one, other] satisfies [number, number]);
  });
  function swapNext(): void {
    if (nextTwo.value) happen({ kind: 'swapped', steps: nextTwo.value });
  }

  /**
   * How much longer (below zero: shorter) the first side was than the second is going to be, where that can be mended.
   */
  const secondSideOff = computed(() => {
    // What was led since the last event counts too.
    const offMs = secondSideGapMs(runAt(run.value, now.value), state.value.at);
    return secondSide() === 'never' || Math.abs(offMs) < WORTH_MATCHING_MS ? 0 : offMs;
  });
  /** Whether nothing was done in the second side yet: what is done to it there is meant. */
  const secondSideUntouched = computed(() => {
    const { phase, groupIntoMs } = state.value;
    const lastMs = local.value?.events.at(-1)?.atMs ?? 0;
    return phase?.kind !== 'hold' || lastMs <= now.value - groupIntoMs;
  });
  /** By itself it happens once for each step: what was taken back is not done again. */
  watch(
    [
      () => state.value.phase?.stepIndex,
      () => leading.value && run.value.status === 'running' && secondSideOff.value !== 0 && secondSideUntouched.value,
    ],
    ([stepIndex, isOff]) => {
      if (!isOff || stepIndex === undefined || secondSide() !== 'always') return;
      if (!matchedSteps(timeline, local.value?.events ?? []).has(stepIndex)) happen({ kind: 'matched' });
    },
  );

  /** What happened last, as long as it can be taken back. */
  const lastDone = computed(() => {
    const events = local.value?.events ?? [];
    const last = effectiveEvents(events).findLast((event) => !NOT_UNDOABLE.has(event.kind));
    return last && now.value - last.atMs < TAKE_BACK_MS * clock.speed.value ? last : undefined;
  });
  function takeBack(): void {
    if (lastDone.value) happen({ kind: 'undone', event: lastDone.value.id });
  }
  /** What is to come, refitted to end when the plan would have ended. */
  const toEndInTime = () => catchUp(plan, run.value, now.value, state.value.plannedEndMs);

  return {
    ...view,
    planId: stored.id,
    trouble: led.trouble,
    local,
    leading,
    lead,
    happen,
    next,
    back,
    pauseOrGoOn,
    more,
    holdOn,
    nextTwo,
    swapNext,
    secondSideOff,
    unseen,
    clockSetMs,
    revertClockCorrection,
    excludeGap,
    dismissUnseen,
    lastDone,
    takeBack,
    toEndInTime,
  };
}

export type Session = ReturnType<typeof useSession>;
