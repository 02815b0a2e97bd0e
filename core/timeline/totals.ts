import type { Step } from '#core/plan';
import type { Ms } from '#core/numbers';
import type { Phase, PhaseKind, StepSpan, Totals } from './types';

interface StepMark {
  step: Step;
  index: number;
  firstPhase: number;
  endPhase: number;
  propMoves: number;
}

const lengthOf = (phase: Phase): Ms => phase.endMs - phase.startMs;

/** What a phase counts as in the totals of a session. */
const SORT_OF_TIME: Record<PhaseKind, 'hold' | 'breath' | 'rest' | 'between'> = {
  hold: 'hold',
  in: 'breath',
  holdFull: 'breath',
  out: 'breath',
  holdEmpty: 'breath',
  ownPace: 'breath',
  strokes: 'breath',
  retention: 'breath',
  recover: 'breath',
  quiet: 'rest',
  rest: 'rest',
  rebound: 'rest',
  setup: 'between',
  switch: 'between',
  enter: 'between',
  leave: 'between',
  loosen: 'between',
  move: 'between',
  talk: 'between',
};

/** Where a step lies and what its phases add up to. A step has at least one phase, so it has a start and an end. */
export function stepSpan(mark: StepMark, phases: readonly Phase[]): StepSpan {
  const span: StepSpan = {
    stepId: mark.step.id,
    stepIndex: mark.index,
    kind: mark.step.kind,
    startMs: phases[mark.firstPhase]?.startMs ?? 0,
    endMs: phases[mark.endPhase - 1]?.endMs ?? 0,
    firstPhase: mark.firstPhase,
    endPhase: mark.endPhase,
    leftMs: 0,
    rightMs: 0,
    bothMs: 0,
    propMoves: mark.propMoves,
    usesProps:
      mark.step.kind === 'hold' ||
      mark.step.kind === 'breath' ||
      (mark.step.kind === 'rest' && mark.step.setUp !== null),
    otherSetUp: 'otherSetUp' in mark.step ? mark.step.otherSetUp : null,
    breath: mark.step.kind === 'hold' ? mark.step.breath : null,
  };
  for (let i = mark.firstPhase; i < mark.endPhase; i++) {
    const phase = phases[i];
    if (phase?.kind !== 'hold') continue;
    if (phase.side === 'left') span.leftMs += lengthOf(phase);
    else if (phase.side === 'right') span.rightMs += lengthOf(phase);
    else span.bothMs += lengthOf(phase);
  }
  return span;
}

/** The totals of a session in milliseconds, against a class of `targetMs`. */
export function totalsOf(steps: readonly StepSpan[], phases: readonly Phase[], targetMs: Ms): Totals {
  const sums = { hold: 0, breath: 0, rest: 0, between: 0 };
  for (const phase of phases) sums[SORT_OF_TIME[phase.kind]] += lengthOf(phase);
  const totalMs = phases.at(-1)?.endMs ?? 0;
  const sum = (pick: (span: StepSpan) => number): number => steps.reduce((total, span) => total + pick(span), 0);
  return {
    totalMs,
    targetMs,
    spareMs: targetMs - totalMs,
    holdMs: sums.hold,
    leftMs: sum((span) => span.leftMs),
    rightMs: sum((span) => span.rightMs),
    bothMs: sum((span) => span.bothMs),
    breathMs: sums.breath,
    restMs: sums.rest,
    betweenMs: sums.between,
    propMoves: sum((span) => span.propMoves),
  };
}
