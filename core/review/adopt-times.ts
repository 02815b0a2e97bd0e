import { replaceStep, several, PLAN_LIMITS, type HoldSides, type Plan, type PlanEdit, type Step } from '#core/plan';
import type { DoneSpan } from '#core/run';
import type { PhaseKind, PhaseSide, Timeline } from '#core/timeline';
import type { Ms, Seconds } from '#core/numbers';
import type { RunRecord } from './compare';

/** Lengths are taken over to the nearest of these. */
const GRID_SECONDS = 5;

/** One length of a step as it is planned, and as it was really taught. */
export interface AdoptedTime {
  what: 'left' | 'right' | 'each' | 'both' | 'length' | 'set-up' | 'getting in' | 'coming out' | 'changing sides';
  from: Seconds;
  to: Seconds;
}

/** To the grid, and not past what a plan may have. */
const tidy = (ms: Ms, most: Seconds): Seconds => Math.min(most, Math.round(ms / 1000 / GRID_SECONDS) * GRID_SECONDS);

/** How long phases of a kind really took in one step, on average of the sides; null if there was none. */
function meanOf(timeline: Timeline, spans: readonly DoneSpan[], stepIndex: number, kind: PhaseKind) {
  const phases = timeline.phases.filter((phase) => phase.stepIndex === stepIndex && phase.kind === kind);
  const done = phases.map(({ index }) =>
    spans.reduce((sum, span) => (span.phase === index ? sum + span.activeMs : sum), 0),
  );
  const led = done.filter((ms) => ms > 0);
  if (led.length === 0) return null;
  const mean = (all: readonly Ms[]): Ms => all.reduce((sum, ms) => sum + ms, 0) / all.length;
  return { plannedMs: mean(phases.map(({ startMs, endMs }) => endMs - startMs)), doneMs: mean(led) };
}

const CHANGES = [
  ['setup', 'set-up', 'setupSeconds'],
  ['enter', 'getting in', 'enterSeconds'],
  ['leave', 'coming out', 'leaveSeconds'],
  ['switch', 'changing sides', 'switchSeconds'],
] as const;

/** The sides of a hold as they were really held. Sides that are planned even stay even, at the longer of the two. */
function sidesDone(sides: HoldSides, done: ReadonlyMap<PhaseSide, Ms>): [HoldSides, AdoptedTime[]] {
  const of = (side: PhaseSide): Seconds | undefined => {
    const ms = done.get(side) ?? 0;
    return ms > 0 ? Math.max(GRID_SECONDS, tidy(ms, PLAN_LIMITS.maxHold)) : undefined;
  };
  const changed = (what: AdoptedTime['what'], from: Seconds, to: Seconds | undefined): AdoptedTime[] =>
    to === undefined || to === from ? [] : [{ what, from, to }];
  if (sides.kind === 'together' || sides.kind === 'one') {
    const to = of(sides.kind === 'one' ? sides.side : 'both');
    const what = sides.kind === 'one' ? sides.side : 'both';
    return [{ ...sides, seconds: to ?? sides.seconds }, changed(what, sides.seconds, to)];
  }
  const { length } = sides;
  const [left, right] = [of('left'), of('right')];
  if (length.kind === 'even') {
    const to = left === undefined && right === undefined ? undefined : Math.max(left ?? 0, right ?? 0);
    return [{ ...sides, length: { kind: 'even', seconds: to ?? length.seconds } }, changed('each', length.seconds, to)];
  }
  return [
    { ...sides, length: { ...length, left: left ?? length.left, right: right ?? length.right } },
    [...changed('left', length.left, left), ...changed('right', length.right, right)],
  ];
}

/**
 * What a step would become if it took the times it really had: lengths to five seconds, set-ups and changes only where
 * they went otherwise by as much. Nothing is offered of a step that was left out, nor of a breath, whose length follows
 * from its rounds. Returns the step as it would be and each length that changes.
 */
export function adoptedTimes(step: Step, timeline: Timeline, record: RunRecord): { step: Step; times: AdoptedTime[] } {
  const taught = record.steps.find(({ stepId }) => stepId === step.id);
  if (!taught || taught.skipped) return { step, times: [] };
  const { stepIndex } = taught;
  const times: AdoptedTime[] = [];
  const next = { ...step };
  if (next.kind === 'hold') {
    const done = new Map(taught.sides.map(({ side, doneMs }) => [side, doneMs]));
    const [sides, changed] = sidesDone(next.sides, done);
    next.sides = sides;
    times.push(...changed);
  } else if (next.kind !== 'breath') {
    const to = tidy(taught.other.doneMs, PLAN_LIMITS.maxPlain);
    if (to > 0 && to !== next.seconds) times.push({ what: 'length', from: next.seconds, to });
    next.seconds = to > 0 ? to : next.seconds;
  }
  for (const [kind, what, field] of CHANGES) {
    const mean = meanOf(timeline, record.spans, stepIndex, kind);
    if (!mean || !(field in next) || Math.abs(mean.doneMs - mean.plannedMs) < GRID_SECONDS * 1000) continue;
    const to = tidy(mean.doneMs, kind === 'setup' ? PLAN_LIMITS.maxSetup : PLAN_LIMITS.maxChange);
    (next as Record<typeof field, Seconds | null>)[field] = to;
    times.push({ what, from: Math.round(mean.plannedMs / 1000), to });
  }
  return { step: next, times };
}

/** Takes the times a step really had into a plan; nothing where the plan has no such step. */
export function adoptTimes(plan: Plan, stepId: string, timeline: Timeline, record: RunRecord): PlanEdit {
  const step = plan.steps.find(({ id }) => id === stepId);
  return step ? replaceStep(stepId, adoptedTimes(step, timeline, record).step) : several([]);
}
