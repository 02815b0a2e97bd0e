import { foldRun, ledSpans, type DoneSpan, type RunEvent } from '#core/run';
import { saidOf, type Said } from './said';
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
  /** What the clock measured, where it was put right afterwards. */
  measuredMs: Ms | null;
  /** How strong it was, from 0 to 10, where somebody said so. */
  strength: number | null;
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
  /** What the clock measured of that, where it was put right afterwards. */
  otherMeasuredMs: Ms | null;
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
  /** What was said of it: who was there, how strong, what to change, what was put right. */
  said: Said;
}

const CHANGES: ReadonlySet<PhaseKind> = new Set(['setup', 'switch', 'enter', 'leave']);

const planned = (plannedMs: Ms, doneMs: Ms): Planned => ({ plannedMs, doneMs, differenceMs: doneMs - plannedMs });

const total = (parts: readonly Planned[]): Planned =>
  planned(
    parts.reduce((sum, part) => sum + part.plannedMs, 0),
    parts.reduce((sum, part) => sum + part.doneMs, 0),
  );

interface Led {
  timeline: Timeline;
  spansOf: ReadonlyMap<number, DoneSpan[]>;
  said: Said;
}

/** A length that was put right stands for what was measured. */
function putRight(measured: Planned, corrected: Ms | undefined): [Planned, measuredMs: Ms | null] {
  if (corrected === undefined) return [measured, null];
  return [planned(measured.plannedMs, corrected), measured.doneMs];
}

function compareStep({ timeline, spansOf, said }: Led, span: StepSpan): StepRecord {
  const sides = new Map<number, Omit<SideRecord, 'measuredMs' | 'strength'>>();
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
  const lengthOf = (side: PhaseSide): Ms | undefined => said.lengths.get(`${span.stepId} ${side}`);
  const [other, otherMeasuredMs] = putRight(planned(...sums.other), lengthOf('none'));
  const corrected = [...sides.values()].map((side) => {
    const [length, measuredMs] = putRight(side, lengthOf(side.side));
    const strength = said.strengths.get(`${span.stepId} ${side.side}`) ?? null;
    return { ...side, ...length, measuredMs, strength };
  });
  return {
    stepIndex: span.stepIndex,
    stepId: span.stepId,
    sides: corrected,
    changes: planned(...sums.changes),
    other,
    otherMeasuredMs,
    skipped: !led && corrected.every(({ doneMs }) => doneMs === 0) && other.doneMs === 0,
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
  const said = saidOf(events);
  const steps = timeline.steps.map((span) => compareStep({ timeline, spansOf, said }, span));
  const sides = steps.flatMap((step) => step.sides);
  const endedAtMs = said.endedAtMs ?? run.endedAtMs ?? spans.at(-1)?.toMs ?? run.startedAtMs;
  const of = (side: PhaseSide): Planned => total(sides.filter((record) => record.side === side));
  return {
    startedAtMs: run.startedAtMs,
    endedAtMs,
    ended: run.status === 'ended' || said.endedAtMs !== null,
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
    said,
  };
}
