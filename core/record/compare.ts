import { foldRun, ledSpans, type DoneSpan, type RunEvent } from '#core/run';
import type { PhaseKind, PhaseSide, StepSpan, Timeline } from '#core/timeline';
import type { Ms } from '#core/time';

export interface Planned {
  plannedMs: Ms;
  doneMs: Ms;
  /** Done less planned. */
  differenceMs: Ms;
}

/** One side of one hold, planned against done. */
export interface SideRecord extends Planned {
  side: PhaseSide;
  turn: number;
  /** When it really began, by the clock; null where it was left out. */
  beganAtMs: Ms | null;
}

/** One step, planned against done: its holds by side, its breath or plain time, and everything between. */
export interface StepRecord {
  stepIndex: number;
  stepId: string;
  sides: SideRecord[];
  /** Set-ups, switches and ways in and out. */
  changes: Planned;
  /** Breath, rests, talk and loosening. */
  other: Planned;
  skipped: boolean;
}

export interface RunRecord {
  startedAtMs: Ms | null;
  endedAtMs: Ms | null;
  ended: boolean;
  pausedMs: Ms;
  /** The whole session by the clock, pauses included, against the plan. */
  total: Planned;
  changes: Planned;
  /** Rests that were added while it was taught. */
  addedMs: Ms;
  left: Planned;
  right: Planned;
  both: Planned;
  steps: StepRecord[];
  spans: readonly DoneSpan[];
  notes: readonly { atMs: Ms; stepIndex: number | null; text: string }[];
}

const CHANGES: ReadonlySet<PhaseKind> = new Set(['setup', 'switch', 'enter', 'leave']);

const planned = (plannedMs: Ms, doneMs: Ms): Planned => ({ plannedMs, doneMs, differenceMs: doneMs - plannedMs });

const total = (parts: readonly Planned[]): Planned =>
  planned(
    parts.reduce((sum, part) => sum + part.plannedMs, 0),
    parts.reduce((sum, part) => sum + part.doneMs, 0),
  );

function compareStep(timeline: Timeline, span: StepSpan, spansOf: ReadonlyMap<number, DoneSpan[]>): StepRecord {
  const sides = new Map<number, SideRecord>();
  const sums = { changes: [0, 0], other: [0, 0] } as Record<'changes' | 'other', [number, number]>;
  let led = false;
  for (const phase of timeline.phases.slice(span.firstPhase, span.endPhase)) {
    const spans = spansOf.get(phase.index) ?? [];
    const plannedMs = phase.endMs - phase.startMs;
    const doneMs = spans.reduce((sum, { activeMs }) => sum + activeMs, 0);
    led ||= doneMs > 0;
    if (phase.kind === 'hold') {
      const side = sides.get(phase.turn);
      sides.set(phase.turn, {
        side: phase.side,
        turn: phase.turn,
        ...planned((side?.plannedMs ?? 0) + plannedMs, (side?.doneMs ?? 0) + doneMs),
        beganAtMs: side?.beganAtMs ?? spans[0]?.fromMs ?? null,
      });
    } else {
      const sum = sums[CHANGES.has(phase.kind) ? 'changes' : 'other'];
      sum[0] += plannedMs;
      sum[1] += doneMs;
    }
  }
  return {
    stepIndex: span.stepIndex,
    stepId: span.stepId,
    sides: [...sides.values()],
    changes: planned(...sums.changes),
    other: planned(...sums.other),
    skipped: !led,
  };
}

/**
 * What was planned and what was done, per step and side. Done lengths leave pauses out; the whole session's length is
 * by the clock, pauses included. A run that was never ended counts up to what its last event tells.
 */
export function compareRun(timeline: Timeline, events: readonly RunEvent[]): RunRecord {
  const run = foldRun(timeline, events);
  const spansOf = new Map<number, DoneSpan[]>();
  const spans = ledSpans(run);
  for (const span of spans) spansOf.set(span.phase, [...(spansOf.get(span.phase) ?? []), span]);
  const steps = timeline.steps.map((span) => compareStep(timeline, span, spansOf));
  const sides = steps.flatMap((step) => step.sides);
  const endedAtMs = run.endedAtMs ?? spans.at(-1)?.toMs ?? run.startedAtMs;
  const of = (side: PhaseSide): Planned => total(sides.filter((record) => record.side === side));
  return {
    startedAtMs: run.startedAtMs,
    endedAtMs,
    ended: run.status === 'ended',
    pausedMs: run.pausedMs,
    total: planned(timeline.totals.totalMs, (endedAtMs ?? 0) - (run.startedAtMs ?? 0)),
    changes: total(steps.map((step) => step.changes)),
    addedMs: spans.reduce((sum, { phase, activeMs }) => sum + (phase < timeline.phases.length ? 0 : activeMs), 0),
    left: of('left'),
    right: of('right'),
    both: of('both'),
    steps,
    spans,
    notes: run.notes,
  };
}
