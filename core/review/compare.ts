import { foldRun, ledSpans, type DoneSpan, type RunEvent } from '#core/run';
import { annotationsOf, type RunAnnotations } from './annotations';
import type { PhaseKind, PhaseSide, StepSpan, Timeline } from '#core/timeline';
import type { Ms } from '#core/numbers';

export interface Planned {
  plannedMs: Ms;
  doneMs: Ms;
  /** Done less planned. */
  differenceMs: Ms;
}

/** One side of one hold, or of a breath that moves one side after the other, planned against done. */
export interface SideRecord extends Planned {
  side: PhaseSide;
  turn: number;
  /** Crossed limbs: `side` is the one that was in front. */
  crossing: boolean;
  /** false where the session ended before it. */
  reached: boolean;
  /** When it really began, by the clock; null if it was left out. */
  beganAtMs: Ms | null;
  /** What the clock measured, where it was corrected afterwards. */
  measuredMs: Ms | null;
  /** How strong it was, from 0 to 10, where somebody said so. */
  strength: number | null;
}

/** One set of a breath practice, planned against done, by its place in the practice. */
interface SetRecord extends Planned {
  set: number;
}

/** One step, planned against done: its holds by side, its breath or plain time, and everything between. */
export interface StepRecord {
  stepIndex: number;
  stepId: string;
  sides: SideRecord[];
  /** The sets of a breath in several sets, both sides of one together; their time is also in `sides` or `other`. */
  sets: SetRecord[];
  /** Set-ups, switches and getting in and coming out, as far as the session came. */
  changes: Planned;
  /** Breath, rests, talk and loosening. */
  other: Planned;
  /** What the clock measured of that, where it was corrected afterwards. */
  otherMeasuredMs: Ms | null;
  /** Nothing of it was led. */
  skipped: boolean;
  /** false where the session ended before it. */
  reached: boolean;
}

/** Left against right over the steps that were led and have both sides. Differences are left less right. */
interface Balance {
  leftMs: Ms;
  rightMs: Ms;
  apartMs: Ms;
  /** What the plan means them to differ by, and how much more they did. */
  meantMs: Ms;
  offMs: Ms;
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
  /** Everything held on a side, as far as the session came. */
  left: Planned;
  right: Planned;
  both: Planned;
  balance: Balance;
  /** Holds, breaths and plain time of the plan that the session ended before. */
  notReachedMs: Ms;
  steps: StepRecord[];
  spans: readonly DoneSpan[];
  notes: readonly { atMs: Ms; stepIndex: number | null; text: string }[];
  /** Its annotations: attendance, intensity, review and corrections. */
  annotations: RunAnnotations;
}

const CHANGES: ReadonlySet<PhaseKind> = new Set(['setup', 'switch', 'enter', 'leave']);

const planned = (plannedMs: Ms, doneMs: Ms): Planned => ({ plannedMs, doneMs, differenceMs: doneMs - plannedMs });

/** Several lengths as one. */
export const total = (parts: readonly Planned[]): Planned =>
  planned(
    parts.reduce((sum, part) => sum + part.plannedMs, 0),
    parts.reduce((sum, part) => sum + part.doneMs, 0),
  );

interface Led {
  timeline: Timeline;
  /** The phases that the session ended before. */
  ahead: ReadonlySet<number>;
  spansOf: ReadonlyMap<number, DoneSpan[]>;
  annotations: RunAnnotations;
}

/** A length that was corrected stands for what was measured. */
function putRight(measured: Planned, corrected: Ms | undefined): [Planned, measuredMs: Ms | null] {
  if (corrected === undefined) return [measured, null];
  return [planned(measured.plannedMs, corrected), measured.doneMs];
}

function compareStep({ timeline, ahead, spansOf, annotations }: Led, span: StepSpan): StepRecord {
  const sides = new Map<PhaseSide, Omit<SideRecord, 'measuredMs' | 'strength'>>();
  const sets = new Map<number, [number, number]>();
  const sums = { changes: [0, 0], other: [0, 0] } as Record<'changes' | 'other', [number, number]>;
  let led = false;
  for (const phase of timeline.phases.slice(span.firstPhase, span.endPhase)) {
    const spans = spansOf.get(phase.index) ?? [];
    const plannedMs = phase.endMs - phase.startMs;
    const doneMs = spans.reduce((sum, { activeMs }) => sum + activeMs, 0);
    led ||= doneMs > 0;
    if ('set' in phase) {
      const [ofPlan, ofRun] = sets.get(phase.set) ?? [0, 0];
      sets.set(phase.set, [ofPlan + plannedMs, ofRun + doneMs]);
    }
    const isSided = phase.kind === 'hold' || ('set' in phase && (phase.side === 'left' || phase.side === 'right'));
    if (isSided) {
      const known = sides.get(phase.side);
      sides.set(phase.side, {
        side: phase.side,
        turn: known?.turn ?? sides.size,
        crossing: phase.kind === 'hold' && phase.crossing,
        reached: (known?.reached ?? false) || !ahead.has(phase.index),
        ...planned((known?.plannedMs ?? 0) + plannedMs, (known?.doneMs ?? 0) + doneMs),
        beganAtMs: known?.beganAtMs ?? spans[0]?.fromMs ?? null,
      });
    } else if (!CHANGES.has(phase.kind) || !ahead.has(phase.index)) {
      const sum = sums[CHANGES.has(phase.kind) ? 'changes' : 'other'];
      sum[0] += plannedMs;
      sum[1] += doneMs;
    }
  }
  const lengthOf = (side: PhaseSide): Ms | undefined => annotations.lengths.get(`${span.stepId} ${side}`);
  const [other, otherMeasuredMs] = putRight(planned(...sums.other), lengthOf('none'));
  const corrected = [...sides.values()].map((side) => {
    const [length, measuredMs] = putRight(side, lengthOf(side.side));
    const strength = annotations.strengths.get(`${span.stepId} ${side.side}`) ?? null;
    return { ...side, ...length, reached: side.reached || length.doneMs > 0, measuredMs, strength };
  });
  const skipped = !led && corrected.every(({ doneMs }) => doneMs === 0) && other.doneMs === 0;
  return {
    stepIndex: span.stepIndex,
    stepId: span.stepId,
    sides: corrected,
    sets: sets.size < 2 ? [] : [...sets].map(([set, [ofPlan, ofRun]]) => ({ set, ...planned(ofPlan, ofRun) })),
    changes: planned(...sums.changes),
    other,
    otherMeasuredMs,
    skipped,
    reached: !skipped || !ahead.has(span.firstPhase),
  };
}

function balanceOf(steps: readonly StepRecord[]): Balance {
  const pairs = steps.flatMap(({ sides }) => {
    const [left, right] = (['left', 'right'] as const).map((which) => sides.find(({ side }) => side === which));
    return left && right && left.reached && right.reached && left.doneMs + right.doneMs > 0 ? [{ left, right }] : [];
  });
  const sum = (of: (pair: (typeof pairs)[number]) => Ms): Ms => pairs.reduce((all, pair) => all + of(pair), 0);
  const [leftMs, rightMs] = [sum(({ left }) => left.doneMs), sum(({ right }) => right.doneMs)];
  const meantMs = sum(({ left, right }) => left.plannedMs - right.plannedMs);
  return { leftMs, rightMs, apartMs: leftMs - rightMs, meantMs, offMs: leftMs - rightMs - meantMs };
}

/** Milliseconds of a step that the session ended before, changes left out. */
const notReachedOf = ({ sides, other, reached }: StepRecord): Ms =>
  sides.reduce((sum, side) => (side.reached ? sum : sum + side.plannedMs), reached ? 0 : other.plannedMs);

/**
 * What was planned and what was done, per step and side. Done lengths leave pauses out; the whole session's length is
 * by the clock, pauses included. A run that was never ended counts up to its last event.
 */
export function compareRun(timeline: Timeline, events: readonly RunEvent[]): RunRecord {
  const run = foldRun(timeline, events);
  const spansOf = new Map<number, DoneSpan[]>();
  const spans = ledSpans(run);
  for (const span of spans) spansOf.set(span.phase, [...(spansOf.get(span.phase) ?? []), span]);
  const annotations = annotationsOf(events);
  const ahead = new Set(run.queue.slice(run.cursor.at).flatMap(({ phase }) => (spansOf.has(phase) ? [] : phase)));
  const steps = timeline.steps.map((span) => compareStep({ timeline, ahead, spansOf, annotations }, span));
  const sides = steps.flatMap((step) => step.sides);
  const endedAtMs = annotations.endedAtMs ?? run.endedAtMs ?? spans.at(-1)?.toMs ?? run.startedAtMs;
  const of = (side: PhaseSide): Planned => total(sides.filter((record) => record.side === side && record.reached));
  return {
    startedAtMs: run.startedAtMs,
    endedAtMs,
    ended: run.status === 'ended' || annotations.endedAtMs !== null,
    pausedMs: run.pausedMs,
    total: planned(timeline.totals.totalMs, (endedAtMs ?? 0) - (run.startedAtMs ?? 0)),
    changes: total(steps.map((step) => step.changes)),
    addedMs: spans.reduce((sum, { phase, activeMs }) => sum + (phase < timeline.phases.length ? 0 : activeMs), 0),
    left: of('left'),
    right: of('right'),
    both: of('both'),
    balance: balanceOf(steps),
    notReachedMs: steps.reduce((sum, step) => sum + notReachedOf(step), 0),
    steps,
    spans,
    notes: run.notes,
    annotations,
  };
}
