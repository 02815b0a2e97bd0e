import { z } from 'zod';
import { Id, text } from '#core/document';
import { Day } from './dates';

/**
 * A condition that someone has reported. `condition` is the id of a known one; an unknown one is kept in `words` and is
 * not screened.
 */
export const PersonCondition = z.strictObject({
  id: Id,
  condition: Id,
  /** What it is called where it is not known here. */
  words: text('A condition', 120),
  /** How it is, where that matters: one of the condition's degrees; null if it is not known. */
  degree: Id.nullable(),
  /**
   * Since when: the day of an operation or a birth, the day a pregnancy is counted from; null if it is not known.
   */
  since: Day.nullable(),
  note: text('A note', 500),
});
export type PersonCondition = z.infer<typeof PersonCondition>;

/** A condition that is only known in words. */
export const IN_WORDS = 'in-words';

/** A condition as it is first noted: nothing known of how it is or since when. */
export const personCondition = (id: string, condition: string, words = ''): PersonCondition => ({
  id,
  condition,
  words,
  degree: null,
  since: null,
  note: '',
});
