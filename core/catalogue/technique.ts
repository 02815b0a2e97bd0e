import { z } from 'zod';
import { EFFECTS } from './bends';
import { BreathPractice } from '#core/breath';
import { Id, oneOf, seconds, text, words } from '#core/document';
import { MAX_SPOKEN, SpokenLine } from './spoken';

/** What a technique demands of a body, for cautions. */
export const BREATH_TRAITS = [
  'holdFull',
  'holdEmpty',
  'strokes',
  'fast',
  'nostrils',
  'bellyPressed',
  'cooling',
  'sound',
  'neckBent',
  'handOnFace',
] as const;

/**
 * A breath technique: what one round of it is, in words, and the practice it usually starts with. Its texts may be
 * empty in a custom entry; in the built-in library none is.
 */
export const Technique = z.strictObject({
  id: Id,
  names: z.strictObject({ english: words('A name', 80), sanskrit: text('A Sanskrit name', 80) }),
  short: words('A short name', 24),
  /** What one round is, shown wherever a number of rounds can be typed. */
  round: words('A description of one round', 160),
  practice: BreathPractice,
  /** How long it is usually practised, in seconds. */
  range: z
    .strictObject({ minSeconds: seconds('The shortest', 30, 3600), maxSeconds: seconds('The longest', 30, 3600) })
    .superRefine(({ minSeconds, maxSeconds }, context) => {
      if (minSeconds > maxSeconds) {
        context.addIssue({
          code: 'custom',
          path: ['maxSeconds'],
          message: 'The longest is shorter than the shortest.',
        });
      }
    }),
  /** What should be easy before this is begun. */
  gates: text('What comes first', 240),
  traits: z.array(oneOf('A trait', BREATH_TRAITS)),
  /** Whether it rouses or quiets; by its traits, where nothing is said. */
  effect: oneOf('An effect', EFFECTS).optional(),
  seat: text('A seat', 160),
  /** Step by step; one may begin with its name, of up to three words, and a colon: `With a hand: lift it.` */
  taught: z.array(words('A step of teaching', 240)).max(6, 'At most six steps of teaching.'),
  mistakes: text('Common mistakes', 300),
  /** What is seen from outside, and what it means. */
  watch: text('What you see from outside', 300).optional(),
  /** What people are led through, line by line; spread over the whole practice. */
  spoken: z.array(SpokenLine).max(MAX_SPOKEN, `At most ${MAX_SPOKEN} lines to read aloud.`).optional(),
  caution: text('A caution', 400),
});
export type Technique = z.infer<typeof Technique>;
