import type { Library } from '#core/catalogue';
import { newWhereInWords, sideMeaning, type Plan, type Step } from '#core/plan';
import { movesInWords, setUpRowInWords } from '#core/props';
import type { Coming, RunState } from '#core/run';
import type { Ms } from '#core/numbers';
import { clockOfMs } from '#core/time';
import type { BreathTimelinePhase, Phase, Timeline } from '#core/timeline';
import { breathWord } from '../../widgets/breath/pace';

const PHASE_WORDS: Record<Exclude<Phase['kind'], BreathTimelinePhase['kind']>, string> = {
  setup: 'Set up',
  enter: 'Getting in',
  hold: 'Hold',
  leave: 'Coming out',
  switch: 'Change sides',
  rebound: 'Still rest',
  loosen: 'Release',
  rest: 'Rest',
  move: 'Release',
  talk: 'Talk',
};
/** What a phase is: `Getting in`, `Hold empty`, `Quiet breathing`. */
export const phaseWord = (phase: Phase): string => ('round' in phase ? breathWord(phase) : PHASE_WORDS[phase.kind]);

/**
 * The side as one word, or what the phase is where there is none: `Left`, `Both sides`, `Change sides`; a release by its
 * own name.
 */
export function stageWord(phase: Phase, step?: Step): string {
  if (phase.kind === 'loosen' && step?.kind === 'hold' && step.loosen?.text) return step.loosen.text;
  if (phase.kind !== 'hold') return phaseWord(phase);
  if (phase.side === 'both') return 'Both sides';
  const side = phase.side === 'left' ? 'Left' : 'Right';
  return phase.crossing ? `${side} in front` : side;
}

/** A time that runs out, rounded up so that it reaches 0:00 when it is over. */
export const countdown = (ms: Ms): string => clockOfMs(Math.ceil(ms / 1000) * 1000);

/** `ends 20:02, on time`: the judgement alone. Within a quarter of a minute is on time. */
export function lateInWords(lateMs: Ms): string {
  if (Math.abs(lateMs) < 15_000) return 'on time';
  return `${clockOfMs(Math.abs(lateMs))} ${lateMs > 0 ? 'late' : 'early'}`;
}

/** What is coming as a title: `Right, 3:30`, or the next step by its name. */
export function comingTitle(plan: Plan, coming: Coming, sameStep: boolean): string {
  const step = plan.steps[coming.phase.stepIndex];
  const name = sameStep && coming.phase.kind === 'hold' ? stageWord(coming.phase) : (step?.name ?? '');
  return `${name}, ${clockOfMs(coming.lengthMs)}`;
}

/** What some of the group have instead in a step that is coming: `4 of 12 instead: cushion under the head`. */
function insteadInWords(plan: Plan, stepIndex: number, library: Library): string {
  const step = plan.steps[stepIndex];
  const other = step && 'otherSetUp' in step ? step.otherSetUp : null;
  if (!other) return '';
  const seat = other.seat === undefined ? undefined : library.position(other.seat)?.names.english;
  const rows = other.setUp.map(setUpRowInWords).join(', ') || 'no props';
  const instead = [seat, rows].filter(Boolean).join(', ');
  return `${Math.min(other.people, plan.groupSize)} of ${plan.groupSize} instead: ${instead}`;
}

/** What is to be done with the props on the way there; what side it begins with, for a step of two sides. */
export function comingDetail(plan: Plan, coming: Coming, sameStep: boolean, library: Library): string {
  const step = plan.steps[coming.phase.stepIndex];
  const isOnlySide = step?.kind === 'hold' && step.sides.kind === 'one';
  const side =
    !sameStep && coming.phase.kind === 'hold' && coming.phase.side !== 'both'
      ? `${stageWord(coming.phase).toLowerCase()} ${isOnlySide ? 'side only' : 'first'}`
      : '';
  // While a step is still set up, some of the group are set up otherwise.
  const isFirst = !sameStep || (coming.phase.kind === 'hold' && coming.phase.turn === 0);
  const instead = isFirst ? insteadInWords(plan, coming.phase.stepIndex, library) : '';
  const means = side === '' && !sameStep ? '' : sideInWords(plan, coming.phase, library);
  const where = sameStep ? '' : newWhereInWords(plan, coming.phase.stepIndex);
  return [[side, means].filter(Boolean).join(': '), where, movesInWords(coming.moves), instead]
    .filter(Boolean)
    .join('; ');
}

/** What comes within the same side of a hold: `then open, block away`; empty in its last stage. */
export function nextStageInWords(timeline: Timeline, phase: Phase): string {
  const next = timeline.phases[phase.index + 1];
  if (next?.kind !== 'hold' || phase.kind !== 'hold' || next.stepIndex !== phase.stepIndex || next.turn !== phase.turn)
    return '';
  return next.stage
    ? ['then', [next.stage.name, movesInWords(next.stage.moves)].filter(Boolean).join(': ')].join(' ')
    : '';
}

/** What the side of a phase is in a hold: `left knee in front`; empty where nobody says. */
export function sideInWords(plan: Plan, phase: Phase, library: Library): string {
  const { side, stepIndex } = phase;
  const stage = phase.kind === 'hold' ? (phase.stage?.index ?? 0) : 0;
  const step = plan.steps[stepIndex];
  return step?.kind === 'hold' && (side === 'left' || side === 'right') ? sideMeaning(step, side, library, stage) : '';
}

/** Which side of the stage is lit. */
export function litSide(state: RunState): 'left' | 'right' | 'both' {
  const { phase } = state;
  if (phase?.kind === 'hold' && (phase.side === 'left' || phase.side === 'right')) return phase.side;
  if (phase?.kind === 'enter' && (phase.side === 'left' || phase.side === 'right')) return phase.side;
  return 'both';
}
