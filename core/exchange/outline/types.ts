import type { Plan } from '#core/plan';
import type { Mark } from './line';

/** One of the ways something can be meant. */
export interface Choice {
  value: string;
  label: string;
}

/** Something that could be read in more ways than one, or was guessed. */
export interface Question {
  /** The same for the same line, so that a decision is found again when the text is read anew. */
  id: string;
  /** What is in question: `Which position?`. */
  about: string;
  /** The likeliest first. */
  choices: Choice[];
  /** The value of the choice that is taken now. */
  chosen: string;
}

/** A line of an outline and what was understood of it. */
export interface ReadLine {
  /** From 0. */
  line: number;
  typed: string;
  kind: 'heading' | 'step' | 'detail' | 'note' | 'blank';
  /** The stretches of the line that were understood. */
  marks: Mark[];
  /** What was understood, in one line; and what else, in a second one. */
  says: string;
  also: string;
  questions: Question[];
  /** The ids of the steps that the line makes. */
  steps: string[];
}

/** A plan read from an outline, with every line and what became of it. */
export interface ReadOutline {
  plan: Plan;
  lines: ReadLine[];
}
