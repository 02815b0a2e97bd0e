import type { BreathPhase } from '#core/breath';
import { placedProps, propMoves, type PlacedProp, type PropMove, type SetUp } from '#core/props';
import type { Step } from '#core/plan';
import { toMs, type Ms, type Seconds } from '#core/numbers';
import { plannedBells } from './bells';
import type { TimelineRules } from './rules';
import type {
  ChangePhase,
  HoldBreathSpan,
  HoldPhase,
  NoteKind,
  Phase,
  PhaseSide,
  PromptCue,
  QuietBodyPhase,
  TimelineNote,
} from './types';

/** Where a phase of a breath practice belongs. */
interface BreathPlace {
  side?: PhaseSide;
  turn?: number;
  cyclesBefore?: number;
}

const NOTHING: readonly PlacedProp[] = [];

/**
 * The growing end of a timeline: where we are in time, which step is being written and which props lie in place.
 * Everything that adds up time goes through `take`, so there can be no gap and no overlap.
 */
export function timelineWriter(rules: TimelineRules) {
  const phases: Phase[] = [];
  const prompts: PromptCue[] = [];
  const notes: TimelineNote[] = [];
  const breaths: HoldBreathSpan[] = [];
  let nowMs: Ms = 0;
  let props = NOTHING;
  let step: Step | undefined;
  let stepIndex = -1;
  let moveCount = 0;

  const stepId = (): string => step?.id ?? '';

  /** Takes the next so many milliseconds, and gives where they begin. */
  function take(ms: Ms): Ms {
    nowMs += ms;
    return nowMs - ms;
  }

  /** Puts the props of a set-up in place, and returns the moves that took. */
  function place(setUp: SetUp, held: 'left' | 'right' | 'both') {
    const needed = placedProps(setUp, held);
    const moves = propMoves(props, needed);
    props = needed;
    moveCount += moves.length;
    return moves;
  }

  /** A set-up or a change of sides, with what it takes to get there. */
  function change(ms: Ms, kind: ChangePhase['kind'], moves: readonly PropMove[]): void {
    if (ms > 0)
      phases.push({
        index: phases.length,
        stepIndex,
        stepId: stepId(),
        startMs: take(ms),
        endMs: nowMs,
        props,
        side: 'none',
        kind,
        moves,
      });
  }

  return {
    change,
    place,

    // The phases there are many of have all of their fields written out: a literal that begins with a spread takes Node 20
    // some fifty times as long to make. A phase of no length is never added.
    hold(ms: Ms, { side, turn, crossing, stage }: Pick<HoldPhase, 'side' | 'turn' | 'crossing' | 'stage'>): void {
      if (ms > 0)
        phases.push({
          index: phases.length,
          stepIndex,
          stepId: stepId(),
          startMs: take(ms),
          endMs: nowMs,
          props,
          kind: 'hold',
          side,
          turn,
          crossing,
          stage,
        });
    },

    body(ms: Ms, kind: QuietBodyPhase['kind'], side: PhaseSide = 'none'): void {
      if (ms > 0)
        phases.push({
          index: phases.length,
          stepIndex,
          stepId: stepId(),
          startMs: take(ms),
          endMs: nowMs,
          props,
          kind,
          side,
        });
    },

    /** A phase of a breath practice. `cyclesBefore` are the breaths of an earlier side, which has its own numbers. */
    breath(phase: BreathPhase, { side = 'none', turn = 0, cyclesBefore = 0 }: BreathPlace = {}): void {
      const { set, part, round } = phase;
      const ms = phase.endMs - phase.startMs;
      if (ms === 0) return;
      const index = phases.length;
      const id = stepId();
      const startMs = take(ms);
      const endMs = nowMs;
      if ('counts' in phase) {
        const { kind, counts, countMs, through, steps } = phase;
        const cycle = cyclesBefore + phase.cycle;
        phases.push({
          index,
          stepIndex,
          stepId: id,
          startMs,
          endMs,
          props,
          side,
          turn,
          kind,
          set,
          part,
          round,
          counts,
          countMs,
          cycle,
          through,
          steps,
        });
      } else phases.push({ ...phase, index, stepIndex, stepId: id, startMs, endMs, props, side, turn });
    },

    breathInHold(span: Omit<HoldBreathSpan, 'stepId' | 'stepIndex'>): void {
      breaths.push({ ...span, stepId: stepId(), stepIndex });
    },

    now: () => nowMs,
    moveCount: () => moveCount,
    phaseCount: () => phases.length,
    phases: (): readonly Phase[] => phases,

    begin(next: Step, index: number): void {
      step = next;
      stepIndex = index;
    },

    /** The set-up phase: the teacher's own figure, or so much and so much a move, up to the cap. */
    setUp(setUp: SetUp, held: 'left' | 'right' | 'both', ownSeconds: Seconds | null): void {
      const moves = place(setUp, held);
      const { baseSeconds, perMoveSeconds, capSeconds } = rules.setup;
      const usual = baseSeconds + perMoveSeconds * moves.length;
      if (ownSeconds === null && usual > capSeconds) {
        this.note('setupCapped', `${moves.length} prop changes before this; counted as ${capSeconds} seconds at most.`);
      }
      change(toMs(ownSeconds ?? Math.min(usual, capSeconds)), 'setup', moves);
    },

    prompt({ atMs, side, turn, at, text }: Omit<PromptCue, 'stepId' | 'stepIndex'>): void {
      prompts.push({ atMs, stepId: stepId(), stepIndex, side, turn, at, text });
    },

    /** A note on a step; made once, even if it applies to both sides. */
    note(kind: NoteKind, message: string): void {
      const ofOthers = notes.findLastIndex((one) => one.stepIndex !== stepIndex);
      if (notes.slice(ofOthers + 1).some((one) => one.message === message)) return;
      notes.push({ stepId: stepId(), stepIndex, kind, message });
    },

    finish: () => ({
      phases,
      notes,
      breaths,
      prompts: prompts.sort((a, b) => a.atMs - b.atMs),
      bells: plannedBells(phases, rules),
    }),
  };
}

export type TimelineWriter = ReturnType<typeof timelineWriter>;
