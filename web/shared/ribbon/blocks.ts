import type { BreathTimelinePhase, CountedBreathPhase, HoldPhase, Phase, PhaseSide } from '#core/timeline';
import type { Ms } from '#core/time';

interface BlockBase {
  stepIndex: number;
  startMs: Ms;
  endMs: Ms;
}

/** One side of a hold with its ways in and out: what stands above, hangs below or lies across the line. */
export interface HoldBlock extends BlockBase {
  kind: 'hold';
  side: PhaseSide;
  turn: number;
  crossing: boolean;
  /** Where the way in begins and the way out ends; equal to start and end where there is none. */
  enterMs: Ms;
  leaveMs: Ms;
  /** Moments between stages, and the longest stage, where the number goes. */
  cutsMs: Ms[];
  longest: readonly [Ms, Ms];
}

/** A counted breath set: how one round of it is shaped, in milliseconds of rise, level and fall. */
export interface WaveBlock extends BlockBase {
  kind: 'wave';
  quarters: { kind: CountedBreathPhase['kind']; ms: Ms }[];
  cyclesPerRound: number;
}

/** Breaths at one's own pace. */
export interface OwnPaceBlock extends BlockBase {
  kind: 'ownPace';
  cycles: number;
}

export interface PlainBlock extends BlockBase {
  kind: 'thread' | 'rest' | 'loosen' | 'talk';
}

export type Block = HoldBlock | WaveBlock | OwnPaceBlock | PlainBlock;

const PLAIN = {
  setup: 'thread',
  switch: 'thread',
  rebound: 'rest',
  rest: 'rest',
  quiet: 'rest',
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

function holdBlock(run: readonly HoldPhase[], before: Phase | undefined, behind: Phase | undefined): HoldBlock {
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
  };
}

function waveBlock(run: readonly CountedBreathPhase[]): WaveBlock {
  const first = run[0] as CountedBreathPhase;
  const rounds = [...new Set(run.map(({ round }) => round))].map((number) =>
    run.filter(({ round }) => round === number),
  );
  // The first round may have been entered late or left early: the longest one shows the shape.
  const lengthOf = (phases: readonly Phase[]): Ms => phases.reduce((sum, phase) => sum + length(phase), 0);
  const shape = rounds.reduce((best, other) => (lengthOf(other) > lengthOf(best) ? other : best));
  return {
    kind: 'wave',
    stepIndex: first.stepIndex,
    startMs: first.startMs,
    endMs: (run.at(-1) as Phase).endMs,
    quarters: shape.map((phase) => ({ kind: phase.kind, ms: length(phase) })),
    cyclesPerRound: new Set(shape.map(({ cycle }) => cycle)).size,
  };
}

const isCounted = (phase: Phase): phase is CountedBreathPhase => 'counts' in phase;
const isBreath = (phase: Phase): phase is BreathTimelinePhase => 'round' in phase;

/**
 * What a ribbon is made of: the phases gathered into what the eye sees as one thing. Works on a planned timeline and on
 * one that was led, where a phase may stand twice or be cut short. Ways in and out belong to their holds.
 */
export function ribbonBlocks(phases: readonly Phase[]): Block[] {
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
      blocks.push(holdBlock(run, phases[i - 1], phases[i + run.length]));
      i += run.length;
      continue;
    }
    if (isCounted(phase)) {
      const run = runOf(
        phases,
        i,
        (other): other is CountedBreathPhase =>
          isCounted(other) && other.stepIndex === stepIndex && other.set === phase.set,
      );
      blocks.push(waveBlock(run));
      i += run.length;
      continue;
    }
    if (phase.kind === 'ownPace') blocks.push({ kind: 'ownPace', stepIndex, startMs, endMs, cycles: phase.cycles });
    else if (isBreath(phase)) blocks.push({ kind: 'rest', stepIndex, startMs, endMs });
    else if (phase.kind !== 'enter' && phase.kind !== 'leave')
      blocks.push({ kind: PLAIN[phase.kind], stepIndex, startMs, endMs });
    i++;
  }
  return blocks;
}
