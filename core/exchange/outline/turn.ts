import { PLAN_LIMITS, type Step } from '#core/plan';
import type { FoundHeading } from './heading';
import type { Questions, Reading } from './reading';
import type { ReadLine } from './types';

/** What was read so far. */
export interface State {
  steps: Step[];
  title: string;
  heading: FoundHeading;
  intent: string[];
  /** Words before the first step that nobody understood; they go into the first step’s note. */
  early: string[];
}

/** A line and what it is read with. */
export interface Turn {
  typed: string;
  line: number;
  questions: Questions;
  reading: Reading;
  state: State;
}

/** A line of which nothing was read yet. */
export const blank = ({ typed, line }: Turn): ReadLine => ({
  line,
  typed,
  kind: 'blank',
  marks: [],
  says: '',
  also: '',
  questions: [],
  steps: [],
});

const GREETING =
  /^(?:hi|hello|hey|dear|good (?:morning|evening|afternoon)|morning|evening all|thanks?|thank you|many thanks|cheers|love|lots of love|see you|best(?: wishes)?|regards|xx*|ok(?:ay)?|here(?:'s| is| are| comes)|so|let me|can you|could you|would you|please|sorry|this is|i |i'm|i've|we |hope|as promised|as discussed|sent from|ps|p\.s\.)(?![\p{L}])/u;

/** Whether a line can only be talk around a plan: a greeting, a sign-off. */
export const isGreeting = (text: string): boolean => GREETING.test(text.trim());

/** The remark beside words that no longer fit into a note. */
export const NOTE_FULL = 'Left out: the note of the step before is full';

/** Keeps words as a note of the last step, or of the first one to come; false where the note is full. */
export function keep({ steps, early }: State, typed: string): boolean {
  const words = typed.trim();
  const step = steps.at(-1);
  const note = [...(step ? [step.note] : early), words].filter(Boolean).join('\n');
  if (note.length > PLAN_LIMITS.maxNote) return false;
  if (step) steps.splice(-1, 1, { ...step, note });
  else early.push(words);
  return true;
}
