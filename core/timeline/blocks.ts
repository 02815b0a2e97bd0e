import type { BreathPhase, Quarter } from '#core/breath';
import type { Step } from '#core/plan';
import { breathInHold } from './hold';
import type { BreathTimelinePhase, HoldPhase, Phase, PhaseSide } from './types';
import { toMs, type Ms } from '#core/numbers';

interface BlockBase {
  stepIndex: number;
  startMs: Ms;
  endMs: Ms;
}

/** One side of a hold with its getting in and coming out: what stands above, hangs below or lies across the line. */
export interface HoldBlock extends BlockBase {
  kind: 'hold';
  side: PhaseSide;
  turn: number;
  crossing: boolean;
  /** Where getting in begins and coming out ends; equal to start and end where there is none. */
  enterMs: Ms;
  leaveMs: Ms;
  /** Moments between stages, and the longest stage, where the number goes. */
  cutsMs: Ms[];
  longest: readonly [Ms, Ms];
  /** The breath inside it. */
  inside: BreathBlock[];
}

/** Breath blocks lie on the side they are practised on: across the line unless they move a position. */
interface BreathBlockBase extends BlockBase {
  side: PhaseSide;
}

interface WaveRound {
  startMs: Ms;
  quarters: { kind: Quarter; ms: Ms }[];
  cycles: number;
}

/** Counted rounds, each with how it is shaped; one that stands for all where they are the same. */
export interface WaveBlock extends BreathBlockBase {
  kind: 'wave';
  rounds: WaveRound[];
}

/** Breaths at one's own pace. */
export interface OwnPaceBlock extends BreathBlockBase {
  kind: 'ownPace';
  cycles: number;
}

/** Pumps of the belly. */
export interface StrokesBlock extends BreathBlockBase {
  kind: 'strokes';
  count: number;
}

/** A hold that is no part of a cycle. */
export interface RetentionBlock extends BreathBlockBase {
  kind: 'retention';
  held: 'full' | 'empty';
}

type BreathBlock = WaveBlock | OwnPaceBlock | StrokesBlock | RetentionBlock | (PlainBlock & { side?: PhaseSide });

interface PlainBlock extends BlockBase {
  kind: 'thread' | 'rest' | 'loosen' | 'talk';
}

export type Block = HoldBlock | BreathBlock;

const PLAIN = {
  setup: 'thread',
  switch: 'thread',
  rebound: 'rest',
  rest: 'rest',
  loosen: 'loosen',
  move: 'loosen',
  talk: 'talk',
} as const;

const length = (phase: Phase): Ms => phase.endMs - phase.startMs;

function runOf<P extends Phase>(phases: readonly Phase[], from: number, belongs: (phase: Phase) => phase is P): P[] {
  const run: P[] = [];
  for (let i = from; i < phases.length; i++) {
    const phase = phases[i] as Phase;
    if (!belongs(phase)) break;
    run.push(phase);
  }
  return run;
}

/** The breath inside a hold that really lasts from one moment to another. */
function insideOf(step: Step | undefined, { stepIndex, side, startMs }: HoldPhase, endMs: Ms): BreathBlock[] {
  if (step?.kind !== 'hold' || !step.breath) return [];
  const phases = breathInHold(step.breath, endMs - startMs).map((phase) => ({ ...phase, side }));
  return breathBlocks(phases, stepIndex, startMs + toMs(step.breath.settleSeconds));
}

function holdBlock(
  run: readonly HoldPhase[],
  before: Phase | undefined,
  behind: Phase | undefined,
  step: Step | undefined,
): HoldBlock {
  const first = run[0] as HoldPhase;
  const last = run.at(-1) as HoldPhase;
  const longest = run.reduce((best, phase) => (length(phase) > length(best) ? phase : best), first);
  const near = (phase: Phase | undefined, kind: 'enter' | 'leave') =>
    phase?.kind === kind && phase.stepIndex === first.stepIndex;
  return {
    kind: 'hold',
    stepIndex: first.stepIndex,
    side: first.side,
    turn: first.turn,
    crossing: first.crossing,
    startMs: first.startMs,
    endMs: last.endMs,
    enterMs: near(before, 'enter') ? (before as Phase).startMs : first.startMs,
    leaveMs: near(behind, 'leave') ? (behind as Phase).endMs : last.endMs,
    cutsMs: run.slice(1).map(({ startMs }) => startMs),
    longest: [longest.startMs, longest.endMs],
    inside: insideOf(step, first, last.endMs),
  };
}

/** A phase of a breath wherever it comes from: a timeline, or a program inside a hold. */
type AnyBreath = BreathPhase & { side?: PhaseSide };
type Counted = Extract<AnyBreath, { counts: number }>;

const isCounted = (phase: AnyBreath): phase is Counted => 'counts' in phase;

/** The rounds of counted phases that belong together. */
function waveRounds(run: readonly Counted[]): WaveRound[] {
  const rounds: WaveRound[] = [];
  let round: WaveRound = { startMs: 0, quarters: [], cycles: 0 };
  let numbers = new Set<number>();
  let before: Counted | undefined;
  for (const phase of run) {
    const begins = !before || before.round !== phase.round || phase.startMs < before.startMs;
    if (begins) {
      round = { startMs: phase.startMs, quarters: [], cycles: 0 };
      numbers = new Set();
      rounds.push(round);
    }
    round.quarters.push({ kind: phase.kind, ms: phase.endMs - phase.startMs });
    round.cycles = numbers.add(phase.cycle).size;
    before = phase;
  }
  const shapeOf = ({ quarters }: WaveRound): string => quarters.map(({ kind, ms }) => `${kind} ${ms}`).join();
  // The first round may have been entered late and the last left early; if the others are alike, one stands for all.
  const whole = rounds.length > 2 ? rounds.slice(1, -1) : rounds;
  const [[first], [one]] = [rounds, whole];
  return first && one && new Set(whole.map(shapeOf)).size === 1 ? [{ ...one, startMs: first.startMs }] : rounds;
}

/** What a breath is drawn as; moments are moved on by `fromMs`. */
function breathBlocks(phases: readonly AnyBreath[], stepIndex: number, fromMs: Ms = 0): BreathBlock[] {
  const blocks: BreathBlock[] = [];
  let i = 0;
  for (let phase = phases[i]; phase; phase = phases[i]) {
    const side = phase.side ?? 'both';
    let end = i + 1;
    const base = { stepIndex, side, startMs: fromMs + phase.startMs, endMs: fromMs + phase.endMs };
    if (isCounted(phase)) {
      const belongs = (other: AnyBreath | undefined): other is Counted =>
        other !== undefined && isCounted(other) && other.set === phase.set && (other.side ?? 'both') === side;
      const run = [phase];
      for (let other = phases[end]; belongs(other); other = phases[++end]) run.push(other);
      const rounds = waveRounds(run).map((round) => ({ ...round, startMs: fromMs + round.startMs }));
      blocks.push({ ...base, kind: 'wave', endMs: fromMs + (run.at(-1) ?? phase).endMs, rounds });
    } else if (phase.kind === 'ownPace') blocks.push({ ...base, kind: 'ownPace', cycles: phase.cycles });
    else if (phase.kind === 'strokes') blocks.push({ ...base, kind: 'strokes', count: phase.count });
    else if (phase.kind === 'retention') blocks.push({ ...base, kind: 'retention', held: phase.held });
    else blocks.push({ ...base, kind: 'rest' });
    i = end;
  }
  return blocks;
}

type StepOf = (stepIndex: number) => Step | undefined;
const noStep: StepOf = () => undefined;

const isBreath = (phase: Phase): phase is BreathTimelinePhase => 'round' in phase;

/**
 * The blocks of a ribbon: phases that are seen as one thing. Works on a planned timeline and on one that was led, where
 * a phase may stand twice or be cut short. Getting in and coming out belong to their holds, and so does the breath
 * inside one: `stepOf` gives the plan's step of an index.
 */
export function ribbonBlocks(phases: readonly Phase[], stepOf: StepOf = noStep): Block[] {
  const blocks: Block[] = [];
  for (let i = 0; i < phases.length;) {
    const phase = phases[i] as Phase;
    const { stepIndex, startMs, endMs } = phase;
    if (phase.kind === 'hold') {
      const run = runOf(
        phases,
        i,
        (other): other is HoldPhase =>
          other.kind === 'hold' && other.stepIndex === stepIndex && other.turn === phase.turn,
      );
      blocks.push(holdBlock(run, phases[i - 1], phases[i + run.length], stepOf(stepIndex)));
      i += run.length;
      continue;
    }
    if (isBreath(phase)) {
      const run = runOf(
        phases,
        i,
        (other): other is BreathTimelinePhase => isBreath(other) && other.stepIndex === stepIndex,
      );
      blocks.push(...breathBlocks(run, stepIndex));
      i += run.length;
      continue;
    }
    const before = phases[i - 1];
    // Coming out of a position that a breath moved: it belongs to no hold.
    const isAfterBreath = phase.kind === 'leave' && before?.stepIndex === stepIndex && isBreath(before);
    if (isAfterBreath) blocks.push({ kind: 'thread', stepIndex, startMs, endMs });
    else if (phase.kind !== 'enter' && phase.kind !== 'leave')
      blocks.push({ kind: PLAIN[phase.kind], stepIndex, startMs, endMs });
    i++;
  }
  return blocks;
}
