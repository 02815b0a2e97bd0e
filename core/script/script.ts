import { spokenOver, type Library } from '#core/catalogue';
import type { Ms } from '#core/numbers';
import { sideMeaning, type HoldStep, type Plan, type Step } from '#core/plan';
import { movesInWords } from '#core/props';
import { spokenMs } from '#core/time';
import type { Phase, PhaseSide, StepSpan, Timeline } from '#core/timeline';
import { saidBetween, saidDuring } from './ways';

/** What a line of a script is for; `note` is the teacher’s own note, which is not said. */
type ScriptPart = 'name' | 'note' | 'props' | 'in' | 'hold' | 'side' | 'out' | 'rest' | 'release' | 'breath';

/** Something to say, with its moment in a plan. */
export interface ScriptLine {
  atMs: Ms;
  stepIndex: number;
  part: ScriptPart;
  side: PhaseSide;
  text: string;
}

/** Words with a capital and a full stop, as a sentence; empty words stay empty. */
function sentence(words: string): string {
  const text = words.trim();
  if (text === '') return '';
  return text.charAt(0).toUpperCase() + text.slice(1) + (/[.!?…]$/.test(text) ? '' : '.');
}

/** `the left: the left leg is straight`, or `the left` where nobody says what it is. */
function onSide(step: HoldStep, side: 'left' | 'right', library: Library): string {
  const means = sideMeaning(step, side, library);
  return [`the ${side}`, means].filter(Boolean).join(': ');
}

/** The sides of a hold with their lengths, as they are announced: `3 minutes on each side. First the left.` */
function sidesAnnounced(step: HoldStep, holds: readonly Phase[], library: Library): string[] {
  const turns = [...new Map(holds.map((phase) => [phase.side, phase] as const)).keys()];
  const lengths = turns.map((side) =>
    holds.filter((phase) => phase.side === side).reduce((sum, { startMs, endMs }) => sum + endMs - startMs, 0),
  );
  const [first, second] = turns;
  const [firstMs = 0, secondMs] = lengths;
  if (first !== 'left' && first !== 'right') return [spokenMs(firstMs)];
  if (step.sides.kind === 'one') return [spokenMs(firstMs), `Only ${onSide(step, first, library)}`];
  const each =
    secondMs === undefined || secondMs === firstMs
      ? `${spokenMs(firstMs)} on each side`
      : `${spokenMs(firstMs)} on the ${first}, ${spokenMs(secondMs)} on the ${second}`;
  return [each, `First ${onSide(step, first, library)}`];
}

/** The step by its name, with how long and on which sides it is. */
function announced(step: Step, phases: readonly Phase[], library: Library): string {
  if (step.kind !== 'hold') {
    const ms = phases.reduce((sum, { kind, startMs, endMs }) => (kind === 'setup' ? sum : sum + endMs - startMs), 0);
    return sentence(`${step.name}, ${spokenMs(ms)}`);
  }
  const [length = '', ...more] = sidesAnnounced(
    step,
    phases.filter(({ kind }) => kind === 'hold'),
    library,
  );
  return [`${step.name}, ${length}`, ...more].map(sentence).join(' ');
}

/** Lines spread over a stretch of time, so that the last is said before it ends. */
const over = (texts: readonly string[], { startMs, endMs }: Phase) =>
  spokenOver(
    texts.map((text) => ({ text })),
    (endMs - startMs) / 1000,
  ).map(({ text, atSeconds }) => ({ text, atMs: startMs + atSeconds * 1000 }));

/** What a set of a breath practice says, where it begins. */
function setSays(step: Step, phase: Phase, before: Phase | undefined): string {
  if (step.kind !== 'breath' || !('round' in phase)) return '';
  const isAfter = before !== undefined && 'round' in before && before.turn === phase.turn;
  if (phase.kind === 'quiet' && isAfter)
    return before.kind === 'quiet' ? '' : 'Let the breath come and go as it likes.';
  if (isAfter && before.set === phase.set) return '';
  const set = step.practice.sets[phase.set];
  return [step.practice.sets.length > 1 ? set?.label : '', set?.says]
    .map((words) => sentence(words ?? ''))
    .filter(Boolean)
    .join(' ');
}

/** What is said on the way through one phase, beside its prompts. */
function saidIn(plan: Plan, step: Step, phase: Phase, before: Phase | undefined, library: Library) {
  const at = (part: ScriptPart, text: string) => ({ atMs: phase.startMs, part, text: sentence(text) });
  const spread = (part: ScriptPart) => over(saidDuring(plan, phase, library), phase).map((line) => ({ ...line, part }));
  switch (phase.kind) {
    case 'setup':
      return [at('props', movesInWords(phase.moves)), ...spread('breath')];
    case 'enter':
      return spread('in');
    case 'hold':
      if (!phase.stage || phase.stage.index === 0) return [];
      return [
        at('hold', [phase.stage.name, movesInWords(phase.stage.moves)].filter(Boolean).join(': ')),
        ...saidBetween(plan, phase, library).map((text) => at('in', text)),
      ];
    case 'leave':
      return spread('out');
    case 'switch':
      return [at('side', 'Change sides'), at('props', movesInWords(phase.moves))];
    case 'rebound':
      return [at('rest', 'Rest where you are, and notice what has changed')];
    case 'loosen':
      return [at('release', step.kind === 'hold' ? (step.loosen?.text ?? '') : '')];
    default:
      return [at('breath', setSays(step, phase, before))];
  }
}

/** The side that a change of sides leads to, as it is said: `The right: the right leg is straight.` */
function newSide(step: Step, phase: Phase, before: Phase | undefined, library: Library): string {
  if (step.kind !== 'hold' || before?.kind !== 'switch') return '';
  return phase.side === 'left' || phase.side === 'right' ? sentence(onSide(step, phase.side, library)) : '';
}

function scriptOfStep(plan: Plan, span: StepSpan, timeline: Timeline, library: Library): ScriptLine[] {
  const { stepIndex, startMs } = span;
  const step = plan.steps[stepIndex];
  if (!step) return [];
  const phases = timeline.phases.slice(span.firstPhase, span.endPhase);
  const line = (at: Pick<ScriptLine, 'atMs' | 'part' | 'text'>, side: PhaseSide): ScriptLine => ({
    ...at,
    stepIndex,
    side,
  });
  const ofPhases = phases.flatMap((phase, i) => {
    const before = phases[i - 1];
    const side = { atMs: phase.startMs, part: 'side' as const, text: newSide(step, phase, before, library) };
    return [side, ...saidIn(plan, step, phase, before, library)].map((one) => line(one, phase.side));
  });
  const prompts = timeline.prompts
    .filter((prompt) => prompt.stepIndex === stepIndex)
    .map(({ atMs, side, text }) => line({ atMs, part: 'hold', text: sentence(text) }, side));
  const all = [...ofPhases, ...prompts].filter(({ text }) => text !== '').sort((a, b) => a.atMs - b.atMs);
  return [
    line({ atMs: startMs, part: 'name', text: announced(step, phases, library) }, 'none'),
    ...(step.note.trim() === '' ? [] : [line({ atMs: startMs, part: 'note', text: step.note.trim() }, 'none')]),
    ...all,
  ];
}

/**
 * What a teacher says in a plan, line by line with the moment of each: every step by name and length, props, getting in
 * line by line, prompts, changes of side, coming out, rest and release; of a breath practice how it is taught and what
 * each set says. In the order in which it is said; moments in milliseconds from the beginning of the plan.
 */
export const scriptOf = (plan: Plan, timeline: Timeline, library: Library): ScriptLine[] =>
  timeline.steps.flatMap((span) => scriptOfStep(plan, span, timeline, library));
