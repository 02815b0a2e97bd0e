import type { Library, Position } from '#core/catalogue';
import type { JournalEntry } from '#core/journal';
import type { Plan } from '#core/plan';
import type { DoneSpan, RunEvent } from '#core/run';
import type { PhaseKind, PhaseSide, Timeline } from '#core/timeline';
import { toMs, type Ms } from '#core/numbers';
import { compareRun, total, type Planned } from './compare';
import { easyBreathsOf, type EasyBreath } from './easy-breath';

type Area = Position['areas'][number];

/** One side of one hold as it was practised. */
export interface PractisedHold extends Planned {
  /** The position it is of; the name where the library has none. */
  position: string;
  name: string;
  areas: readonly Area[];
  side: PhaseSide;
  /** Its other side was held as well. */
  paired: boolean;
  strength: number | null;
}

/** A breath as it was practised. Rates in breaths a minute; null if nothing of the kind was counted. */
interface PractisedBreath extends Planned {
  name: string;
  rounds: number | null;
  breathsPerMinute: number | null;
  longestRetentionMs: Ms | null;
}

/** One thing that takes time between the holds, as often as it was done. */
export interface TransitionTime extends Planned {
  times: number;
}

/** What was practised at one time: a run, or a journal entry. `plannedMs` of an entry is what was done. */
export interface Practised {
  id: string;
  kind: 'run' | 'entry';
  beganAtMs: Ms;
  title: string;
  planId: string | null;
  group: string;
  /** The group of people it was planned for, by its id. */
  groupId: string | null;
  people: readonly string[];
  total: Planned;
  /** Whether it went to its end; a session under way or left lying has no length to compare. */
  ended: boolean;
  holds: readonly PractisedHold[];
  breaths: readonly PractisedBreath[];
  /** What was noted as easy of them, and of the breaths inside holds. */
  easyBreaths: readonly EasyBreath[];
  /** Set-ups and changes of sides; getting in and coming out; talk. */
  setUp: TransitionTime;
  entries: TransitionTime;
  talk: TransitionTime;
}

/** A run as it is stored, with its timeline. */
export interface TaughtRun {
  id: string;
  planId: string;
  plan: Plan;
  timeline: Timeline;
  events: readonly RunEvent[];
}

/** Rounds, rate and longest hold of a breath, from the phases that were really led. */
function breathOf(timeline: Timeline, spans: readonly DoneSpan[], stepIndex: number) {
  let [rounds, breaths, breathMs, longest, holds] = [0, 0, 0, 0, false];
  let before: { set: number; round: number; index: number } | undefined;
  for (const { phase: index, activeMs } of spans) {
    const phase = timeline.phases[index];
    if (phase?.stepIndex !== stepIndex || !('round' in phase) || activeMs === 0) continue;
    const isNew = before?.set !== phase.set || before.round !== phase.round || phase.index <= before.index;
    if (isNew && phase.kind !== 'quiet') rounds++;
    if (phase.kind === 'out') breaths++;
    if (phase.kind === 'ownPace' || phase.kind === 'recover')
      breaths += (phase.cycles ?? 0) * Math.min(1, activeMs / (phase.endMs - phase.startMs));
    // As in the plan: everything that is neither strokes nor the quiet between sets.
    if (phase.kind !== 'strokes' && phase.kind !== 'quiet') breathMs += activeMs;
    if (phase.kind === 'holdFull' || phase.kind === 'holdEmpty' || phase.kind === 'retention') {
      holds = true;
      longest = Math.max(longest, activeMs);
    }
    before = phase;
  }
  return {
    rounds: rounds > 0 ? rounds : null,
    breathsPerMinute: breaths > 0 && breathMs > 0 ? (breaths * 60_000) / breathMs : null,
    longestRetentionMs: holds ? longest : null,
  };
}

function between(timeline: Timeline, spans: readonly DoneSpan[], kinds: readonly PhaseKind[]): TransitionTime {
  const done = spans.filter(({ phase }) => kinds.includes(timeline.phases[phase]?.kind as PhaseKind));
  const phases = new Set(done.map(({ phase }) => phase));
  const plannedMs = timeline.phases.reduce(
    (sum, phase) => (phases.has(phase.index) ? sum + phase.endMs - phase.startMs : sum),
    0,
  );
  const doneMs = done.reduce((sum, { activeMs }) => sum + activeMs, 0);
  return { plannedMs, doneMs, differenceMs: doneMs - plannedMs, times: phases.size };
}

/** What was practised in a run. What was left out is not among it; lengths that were corrected are as they were put. */
export function practisedOfRun(run: TaughtRun, library: Library): Practised | null {
  const { plan, timeline } = run;
  const record = compareRun(timeline, run.events);
  if (record.startedAtMs === null) return null;
  const spans = record.spans.filter(({ phase, activeMs }) => phase < timeline.phases.length && activeMs > 0);
  return {
    id: run.id,
    kind: 'run',
    beganAtMs: record.startedAtMs,
    title: plan.title,
    planId: run.planId,
    group: plan.group,
    groupId: plan.groupId,
    people: record.annotations.present?.people ?? [],
    total: record.total,
    ended: record.ended,
    holds: record.steps.flatMap(({ stepIndex, sides }) => {
      const step = plan.steps[stepIndex];
      if (step?.kind !== 'hold') return [];
      const areas = library.position(step.position)?.areas ?? [];
      const held = sides.filter(({ doneMs }) => doneMs > 0);
      return held.map(({ side, plannedMs, doneMs, differenceMs, strength }) => ({
        position: step.position,
        name: step.name,
        areas,
        side,
        paired: held.length > 1,
        strength,
        plannedMs,
        doneMs,
        differenceMs,
      }));
    }),
    breaths: record.steps.flatMap(({ stepIndex, sides, other }) => {
      const step = plan.steps[stepIndex];
      const whole = total([...sides.filter(({ reached }) => reached), other]);
      if (step?.kind !== 'breath' || whole.doneMs === 0) return [];
      return { name: step.name, ...whole, ...breathOf(timeline, spans, stepIndex) };
    }),
    easyBreaths: record.steps.flatMap(({ stepIndex, stepId, skipped }) => {
      const step = plan.steps[stepIndex];
      const review = record.annotations.review.steps.find((one) => one.stepId === stepId);
      return step && !skipped ? easyBreathsOf(step, review?.breath) : [];
    }),
    setUp: between(timeline, spans, ['setup', 'switch']),
    entries: between(timeline, spans, ['enter', 'leave']),
    talk: between(timeline, spans, ['talk']),
  };
}

const asDone = (ms: Ms): Planned => ({ plannedMs: ms, doneMs: ms, differenceMs: 0 });
const NONE: TransitionTime = { ...asDone(0), times: 0 };

/** What was practised by a journal entry. `beganAtMs`: its local moment in milliseconds since 1970 UTC. */
export function practisedOfEntry(id: string, entry: JournalEntry, beganAtMs: Ms, library: Library): Practised {
  return {
    id,
    kind: 'entry',
    beganAtMs,
    title: entry.title,
    planId: null,
    group: entry.group,
    groupId: null,
    people: entry.people,
    total: asDone(toMs(entry.seconds)),
    ended: true,
    holds: entry.holds.flatMap(({ position, name, strength, ...lengths }) =>
      (['left', 'right', 'both'] as const)
        .filter((side) => lengths[side] > 0)
        .map((side) => ({
          position: position ?? name,
          name,
          areas: library.position(position ?? '')?.areas ?? [],
          side,
          paired: lengths.left > 0 && lengths.right > 0 && side !== 'both',
          strength,
          ...asDone(toMs(lengths[side])),
        })),
    ),
    breaths: entry.breaths.map(({ name, seconds, rounds, breathsPerMinute, longestRetention }) => ({
      name,
      ...asDone(toMs(seconds)),
      rounds,
      breathsPerMinute,
      longestRetentionMs: longestRetention === null ? null : toMs(longestRetention),
    })),
    easyBreaths: [],
    setUp: NONE,
    entries: NONE,
    talk: NONE,
  };
}
