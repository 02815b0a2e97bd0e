import { countsInWords } from '#core/breath';
import { wordsOnSide, type Library } from '#core/catalogue';
import { homeSetUp } from '#core/cupboard';
import { fitHolds } from '#core/fit';
import type { Seconds } from '#core/numbers';
import { sideMeaning, sideSeconds, withLengths, type HoldStep, type Plan, type Step } from '#core/plan';
import { movesInWords, pieceCount, piecesByKind, placedProps, propKind, setUpRowInWords } from '#core/props';
import { saidDuring } from '#core/script';
import { clockOfMs, clockOfSeconds } from '#core/time';
import { compileTimeline, rulesFor, DEFAULT_RULES, type Phase, type Timeline } from '#core/timeline';
import type { Handout, HandoutLength, HandoutPart, HandoutPhase, HandoutStep } from './types';

/** How many lengths there are to choose from at most, and how fine they are. */
const MAX_LENGTHS = 8;
const MINUTE_MS = 60_000;

/** At home a hold may be half as short as in class, but not shorter than this a side. */
const MIN_AT_HOME: Seconds = 60;
function withHomeRange(step: HoldStep): HoldStep {
  const { left, right } = sideSeconds(step.sides);
  const held = Math.min(...[left, right].filter((seconds) => seconds > 0));
  const least = Math.min(held, step.range?.min ?? held);
  const min = Math.min(held, Math.max(MIN_AT_HOME, Math.ceil(least / 30) * 15));
  return { ...step, rangeIsUsual: false, range: { min, max: Math.max(left, right, step.range?.max ?? 0) } };
}

/**
 * A plan as a student does it at home: without what is only said in class, with things found there, for one person.
 * This is the plan whose figures a handout shows.
 */
export function homePlan(plan: Plan, library: Library, household: boolean): Plan {
  const steps = plan.steps
    .filter(({ kind }) => kind !== 'talk')
    .map((step): Step => {
      const free = { ...step, note: '', locked: false, takesRemaining: false };
      const alone = free.kind === 'hold' ? withHomeRange(free) : free;
      if (!('setUp' in alone) || alone.setUp === null) return alone;
      const position = alone.kind === 'hold' ? library.position(alone.position) : undefined;
      const setUp = household ? homeSetUp(alone.setUp, position).setUp : alone.setUp;
      return { ...alone, setUp, otherSetUp: null };
    });
  return { ...plan, steps, groupId: null, group: '', groupSize: 1, intent: '', place: '', cupboard: null };
}

/** The plan in several lengths, the shortest first: each fitted exactly, the longest as it is. */
function inLengths(plan: Plan, library: Library): Plan[] {
  const rules = rulesFor(plan, DEFAULT_RULES);
  const fullMs = compileTimeline(plan, library).totals.totalMs;
  const fitTo = (seconds: Seconds): Plan | undefined => {
    const fit = fitHolds(
      { plan, library, rules },
      { target: { kind: 'length', seconds }, gridSeconds: 15, lastRestSeconds: null, talkSeconds: 0 },
    );
    return fit.kind === 'refused' ? undefined : withLengths(plan, fit.lengths);
  };
  const shortest = fitTo(60);
  if (!shortest) return [plan];
  const shortMs = compileTimeline(shortest, library).totals.totalMs;
  const [first, last] = [Math.ceil(shortMs / MINUTE_MS), Math.floor((fullMs - 1) / MINUTE_MS)];
  const every = Math.max(1, Math.ceil((last - first + 1) / (MAX_LENGTHS - 1)));
  const minutes: number[] = [];
  for (let minute = first; minute <= last; minute += every) minutes.push(minute);
  const fitted = minutes.flatMap((minute) => fitTo(minute * 60) ?? []);
  return [...fitted, plan];
}

const PARTS: Partial<Record<Phase['kind'], HandoutPart>> = {
  setup: 'setUp',
  enter: 'in',
  hold: 'hold',
  leave: 'out',
  switch: 'change',
  rebound: 'rest',
  loosen: 'release',
  rest: 'rest',
  move: 'release',
};

const QUARTERS: Partial<Record<Phase['kind'], string>> = {
  in: 'In',
  holdFull: 'Hold',
  out: 'Out',
  holdEmpty: 'Hold empty',
  quiet: 'Let the breath come and go as it likes.',
  recover: 'Breathe quietly.',
  ownPace: 'Breathe at your own pace.',
  strokes: 'Pumps',
  retention: 'Hold the breath.',
};

const asSentence = (words: string): string =>
  words === '' ? '' : `${words.charAt(0).toUpperCase()}${words.slice(1)}.`;

/** What is said as a stretch of time begins. */
function saysOf(plan: Plan, phase: Phase, library: Library): string {
  if (phase.kind === 'setup' || phase.kind === 'switch') return asSentence(movesInWords(phase.moves));
  if (phase.kind === 'enter' || phase.kind === 'leave') return saidDuring(plan, phase, library).join(' ');
  if (phase.kind === 'hold') return phase.stage?.name ?? '';
  const step = plan.steps[phase.stepIndex];
  if (phase.kind === 'loosen') return step?.kind === 'hold' ? (step.loosen?.text ?? '') : '';
  return QUARTERS[phase.kind] ?? '';
}

const phaseOf = (plan: Plan, phase: Phase, library: Library): HandoutPhase => ({
  step: phase.stepIndex,
  part: PARTS[phase.kind] ?? 'breath',
  side: phase.side,
  ms: phase.endMs - phase.startMs,
  says: saysOf(plan, phase, library),
});

function lengthInWords(step: Step, timeline: Timeline, index: number): string {
  const span = timeline.steps[index];
  if (step.kind === 'hold') {
    const { left, right } = sideSeconds(step.sides);
    if (step.sides.kind === 'together') return clockOfSeconds(left);
    if (step.sides.kind === 'one') return `${clockOfSeconds(Math.max(left, right))}, one side`;
    return left === right
      ? `${clockOfSeconds(left)} each side`
      : `left ${clockOfSeconds(left)}, right ${clockOfSeconds(right)}`;
  }
  if (step.kind !== 'breath') return clockOfSeconds(step.seconds);
  const rounds = step.practice.sets.reduce((sum, set) => sum + set.rounds, 0);
  return `${rounds} ${rounds === 1 ? 'round' : 'rounds'}, ${clockOfMs(span ? span.endMs - span.startMs : 0)}`;
}

function lengthOf(plan: Plan, library: Library): HandoutLength {
  const timeline = compileTimeline(plan, library);
  return {
    totalMs: timeline.totals.totalMs,
    steps: plan.steps.map((step, i) => lengthInWords(step, timeline, i)),
    phases: timeline.phases.map((phase) => phaseOf(plan, phase, library)),
    bells: timeline.bells.map(({ atMs, kind }) => ({ atMs, kind })),
    prompts: timeline.prompts.map(({ atMs, text }) => ({ atMs, text })),
  };
}

function sidesOf(step: HoldStep, library: Library): HandoutStep['sides'] {
  if (step.sides.kind === 'together') return null;
  return { left: sideMeaning(step, 'left', library), right: sideMeaning(step, 'right', library) };
}

/** What the first side is done with; a hold on both sides has one way only. */
const onFirstSide = (lines: readonly string[], step: HoldStep): string[] =>
  lines.map((line) => wordsOnSide(line, step.sides.kind === 'one' ? step.sides.side : 'both'));

function stepOf(step: Step, library: Library): HandoutStep {
  const props = 'setUp' in step && step.setUp ? step.setUp.map(setUpRowInWords).join('; ') : '';
  const bare = { name: step.name, props, gettingIn: [], comingOut: [], keepInMind: [], sides: null, counts: '' };
  if (step.kind === 'rest') return { ...bare, kind: 'rest' };
  if (step.kind === 'move' || step.kind === 'talk') return { ...bare, kind: 'release' };
  if (step.kind === 'breath') {
    const technique = library.technique(step.technique);
    const words = [technique?.round, technique?.caution].filter((line) => line !== undefined && line !== '');
    return { ...bare, kind: 'breath', counts: countsInWords(step.practice), keepInMind: words as string[] };
  }
  const position = library.position(step.position);
  const prompts = step.prompts.map(({ text }) => text);
  return {
    ...bare,
    kind: 'hold',
    gettingIn: onFirstSide(step.waysIn ?? position?.waysIn ?? [], step),
    comingOut: onFirstSide(step.waysOut ?? position?.waysOut ?? [], step),
    keepInMind: [...prompts, position?.caution ?? ''].filter((line) => line !== ''),
    sides: sidesOf(step, library),
  };
}

/** Everything to have at hand, the most of each kind that a step needs; the wall is said last. */
function propsOf(plan: Plan): string {
  const most = new Map<Parameters<typeof pieceCount>[0], number>();
  let wall = false;
  for (const step of plan.steps) {
    if (!('setUp' in step) || !step.setUp) continue;
    wall ||= step.setUp.some(({ kind }) => propKind(kind).fixture);
    for (const [kind, count] of piecesByKind(placedProps(step.setUp, 'left')))
      most.set(kind, Math.max(most.get(kind) ?? 0, count));
  }
  return [...[...most].map(([kind, count]) => pieceCount(kind, count)), ...(wall ? ['a wall'] : [])].join(', ');
}

/**
 * A page for a student from a plan that `homePlan` made. Nothing about people is in it: no group, no notes, no condition.
 */
export function handoutOf(plan: Plan, library: Library, words: string): Handout {
  return {
    title: plan.title,
    words,
    props: propsOf(plan),
    steps: plan.steps.map((step) => stepOf(step, library)),
    lengths: inLengths(plan, library).map((one) => lengthOf(one, library)),
  };
}
