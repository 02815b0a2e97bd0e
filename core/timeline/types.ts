import type {
  BreathPhase,
  CountedPhase,
  OwnPacePhase,
  QuietPhase,
  RecoverPhase,
  RetentionPhase,
  StrokesPhase,
} from '#core/breath';
import type { Moment } from '#core/catalogue';
import type { PlacedProp, PropMove } from '#core/props';
import type { HoldBreath, OtherSetUp, StepKind } from '#core/plan';
import type { Ms } from '#core/numbers';

/** The side a phase belongs to: one side of the body, both at once, or none to speak of. */
export type PhaseSide = 'left' | 'right' | 'both' | 'none';

interface PhaseBase {
  /** Place in the list of phases, from 0. */
  index: number;
  stepIndex: number;
  stepId: string;
  startMs: Ms;
  endMs: Ms;
  side: PhaseSide;
  /** The props in place while this phase lasts; during a set-up or switch, those being brought into place. */
  props: readonly PlacedProp[];
}

export interface ChangePhase extends PhaseBase {
  kind: 'setup' | 'switch';
  moves: readonly PropMove[];
}

export interface HoldPhase extends PhaseBase {
  kind: 'hold';
  /** 0 for the first side held, 1 for the second. */
  turn: number;
  /** `side` says which limb is in front. */
  crossing: boolean;
  /** The stage this phase is, where the hold has stages, with what is moved as it begins; one phase a stage. */
  stage: {
    index: number;
    count: number;
    name: string;
    moves: readonly PropMove[];
    /** Where it is measured in breaths: the milliseconds of one. */
    breathMs: Ms | null;
  } | null;
}

export interface QuietBodyPhase extends PhaseBase {
  kind: 'enter' | 'leave' | 'rebound' | 'loosen' | 'rest' | 'move' | 'talk';
}

interface BreathPhaseBase extends PhaseBase {
  /** 1 on the second side of a practice that is done whole on one side and then on the other, else 0. */
  turn: number;
}
type Unplaced<T> = Omit<T, 'startMs' | 'endMs'>;
export type CountedBreathPhase = BreathPhaseBase & Unplaced<CountedPhase>;
export type BreathTimelinePhase =
  | CountedBreathPhase
  | (BreathPhaseBase & Unplaced<OwnPacePhase>)
  | (BreathPhaseBase & Unplaced<StrokesPhase>)
  | (BreathPhaseBase & Unplaced<RetentionPhase>)
  | (BreathPhaseBase & Unplaced<RecoverPhase>)
  | (BreathPhaseBase & Unplaced<QuietPhase>);

/** A stretch of a timeline. The list is ordered and gapless: each begins where the one before ends. */
export type Phase = ChangePhase | HoldPhase | QuietBodyPhase | BreathTimelinePhase;
export type PhaseKind = Phase['kind'];

/** Something to say at a moment of a side of a hold, or of a breath practice. */
export interface PromptCue {
  atMs: Ms;
  stepId: string;
  stepIndex: number;
  side: PhaseSide;
  /**
   * 0 while the first side is held, 1 for the second; with `at` it finds its moment again in what was stretched.
   */
  turn: number;
  at: Moment;
  text: string;
}

/** A breath inside one side of a hold: it lies over the hold's own phases, and its phases count from `startMs`. */
export interface HoldBreathSpan {
  stepId: string;
  stepIndex: number;
  side: PhaseSide;
  turn: number;
  startMs: Ms;
  endMs: Ms;
  phases: readonly BreathPhase[];
}

export const BELL_KINDS = ['start', 'half', 'soon', 'switch', 'end', 'props'] as const;
export type BellKind = (typeof BELL_KINDS)[number];

export interface Bell {
  atMs: Ms;
  kind: BellKind;
  stepIndex: number;
}

export const NOTE_KINDS = [
  'unknownPosition',
  'unknownTechnique',
  'uneven',
  'outsideRange',
  'strong',
  'stagesLong',
  'stagesShort',
  'promptOutside',
  'setupCapped',
  'breathShort',
  'remaining',
] as const;
export type NoteKind = (typeof NOTE_KINDS)[number];

/** Something a teacher should know about a step, in words. */
export interface TimelineNote {
  stepId: string;
  stepIndex: number;
  kind: NoteKind;
  message: string;
}

/** Where a step lies in time, and its phases: from `firstPhase` up to, not including, `endPhase`. */
export interface StepSpan {
  stepId: string;
  stepIndex: number;
  kind: StepKind;
  startMs: Ms;
  endMs: Ms;
  firstPhase: number;
  endPhase: number;
  leftMs: Ms;
  rightMs: Ms;
  bothMs: Ms;
  propMoves: number;
  /** Whether props are in use here, or only lie about: holds and breath, and a rest with a set-up of its own. */
  usesProps: boolean;
  /** The alternative set-up of some of the group. */
  otherSetUp: OtherSetUp | null;
  /** The breath inside a hold, for as long as the hold turns out to be. */
  breath: HoldBreath | null;
}

export interface Totals {
  totalMs: Ms;
  /** The length of the class, and what is to spare of it (below zero: over). */
  targetMs: Ms;
  spareMs: Ms;
  holdMs: Ms;
  leftMs: Ms;
  rightMs: Ms;
  bothMs: Ms;
  breathMs: Ms;
  /** Rests, rebounds and quiet breathing. */
  restMs: Ms;
  /** Set-ups, switches, getting in and coming out, loosening and talk. */
  betweenMs: Ms;
  propMoves: number;
}

export interface Timeline {
  phases: readonly Phase[];
  steps: readonly StepSpan[];
  prompts: readonly PromptCue[];
  bells: readonly Bell[];
  /** Breaths inside holds, in order. */
  breaths: readonly HoldBreathSpan[];
  notes: readonly TimelineNote[];
  totals: Totals;
}
