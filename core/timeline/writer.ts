import { placedProps, propMoves, type PlacedProp, type SetUp } from '#core/props';
import type { Step } from '#core/plan';
import { toMs, type Ms, type Seconds } from '#core/time';
import type { HouseRules } from './rules';
import type { Bell, BellKind, NoteKind, Phase, PromptCue, TimelineNote } from './types';

type NewPhase<P> = P extends Phase ? Omit<P, 'index' | 'stepIndex' | 'stepId' | 'startMs' | 'endMs' | 'props'> : never;

const NOTHING: readonly PlacedProp[] = [];

/**
 * The growing end of a timeline: where we are in time, which step is being written and which props lie in place.
 * Everything that adds up time goes through `phase`, so there can be no gap and no overlap.
 */
export function timelineWriter(rules: HouseRules) {
  const phases: Phase[] = [];
  const prompts: PromptCue[] = [];
  const bells: Bell[] = [];
  const notes: TimelineNote[] = [];
  let nowMs: Ms = 0;
  let props = NOTHING;
  let step: Step | undefined;
  let stepIndex = -1;
  let moveCount = 0;

  const stepId = (): string => step?.id ?? '';

  /** Adds a phase of so many milliseconds; none of no length is ever added. */
  function phase(ms: Ms, what: NewPhase<Phase>): void {
    if (ms <= 0) return;
    const placed = { index: phases.length, stepIndex, stepId: stepId(), startMs: nowMs, endMs: nowMs + ms, props };
    phases.push({ ...placed, ...what } as Phase);
    nowMs += ms;
  }

  /** Brings the props of a set-up into place and says which moves that took. */
  function place(setUp: SetUp, held: 'left' | 'right' | 'both') {
    const needed = placedProps(setUp, held);
    const moves = propMoves(props, needed);
    props = needed;
    moveCount += moves.length;
    return moves;
  }

  return {
    phase,
    place,
    now: () => nowMs,
    moveCount: () => moveCount,
    phaseCount: () => phases.length,

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
        this.note('setupCapped', `${moves.length} prop moves before this; counted as ${capSeconds} seconds at most.`);
      }
      phase(toMs(ownSeconds ?? Math.min(usual, capSeconds)), { kind: 'setup', side: 'none', moves });
    },

    bell(kind: BellKind, atMs: Ms): void {
      if (rules.bells[kind]) bells.push({ atMs, kind, stepIndex });
    },

    prompt(cue: Pick<PromptCue, 'atMs' | 'side' | 'turn' | 'at' | 'text'>): void {
      prompts.push({ ...cue, stepId: stepId(), stepIndex });
    },

    note(kind: NoteKind, message: string): void {
      notes.push({ stepId: stepId(), stepIndex, kind, message });
    },

    finish: () => ({
      phases,
      notes,
      prompts: prompts.sort((a, b) => a.atMs - b.atMs),
      bells: bells.sort((a, b) => a.atMs - b.atMs),
    }),
  };
}

export type TimelineWriter = ReturnType<typeof timelineWriter>;
