import type { Ms } from '#core/numbers';
import type { BellKind, PhaseSide } from '#core/timeline';

/** A step of a handout: everything a student needs to know of it. */
export interface HandoutStep {
  name: string;
  kind: 'hold' | 'breath' | 'rest' | 'release';
  /** The props as they are found at home, in one line; empty if there are none. */
  props: string;
  gettingIn: string[];
  comingOut: string[];
  /** What to keep in mind: what the teacher says during it, and the usual caution. */
  keepInMind: string[];
  /** What each side is: `left leg straight`; empty for a step without sides. */
  sides: { left: string; right: string } | null;
  /** What is breathed: `in 4, out 8`; empty for a step that is no breath. */
  counts: string;
}

/** What is done in a stretch of time. */
export type HandoutPart = 'setUp' | 'in' | 'hold' | 'out' | 'change' | 'rest' | 'release' | 'breath';

/** A stretch of time; they follow each other without a gap. */
export interface HandoutPhase {
  step: number;
  part: HandoutPart;
  side: PhaseSide;
  ms: Ms;
  /** What is said as it begins; empty if nothing is. */
  says: string;
}

/** All of it in one of the lengths there are to choose from. */
export interface HandoutLength {
  totalMs: Ms;
  /** How long each step is, in words: `3:30 each side`. */
  steps: string[];
  phases: HandoutPhase[];
  bells: { atMs: Ms; kind: BellKind }[];
  prompts: { atMs: Ms; text: string }[];
}

/** A page for a student: the steps, and how long each is for the time at hand, the shortest length first. */
export interface Handout {
  title: string;
  /** The teacher’s words above it. */
  words: string;
  /** Everything to have at hand, in one line. */
  props: string;
  steps: HandoutStep[];
  lengths: HandoutLength[];
}
