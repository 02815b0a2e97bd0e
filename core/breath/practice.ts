import { z } from 'zod';
import { toMs, type Ms, type Seconds } from '#core/time';

/** Limits of a practice: counts of one phase, rounds of one set, and the length of one practice in seconds. */
export const BREATH_LIMITS = {
  maxCounts: 60,
  maxRounds: 200,
  maxCycleSeconds: 180,
  maxPracticeSeconds: 3600,
  minCountSeconds: 0.5,
  maxCountSeconds: 3,
} as const;

const Counts = z
  .int('Counts are whole numbers.')
  .min(0, 'A count cannot be below zero.')
  .max(BREATH_LIMITS.maxCounts, `A phase has at most ${BREATH_LIMITS.maxCounts} counts.`);

export const Through = z.enum(['nose', 'left', 'right', 'mouth']);
/** Where a breath passes: both nostrils, one of them, or the mouth. */
export type Through = z.infer<typeof Through>;

/** One counted breath: in, hold full, out, hold empty, each in counts. */
export const CyclePart = z.strictObject({
  kind: z.literal('cycle'),
  in: Counts.min(1, 'A cycle needs an in-breath of at least one count.'),
  holdFull: Counts,
  out: Counts.min(1, 'A cycle needs an out-breath of at least one count.'),
  holdEmpty: Counts,
  inThrough: Through,
  outThrough: Through,
});
export type CyclePart = z.infer<typeof CyclePart>;

/** Breaths at one's own pace, with the seconds one of them is expected to take. */
export const OwnPacePart = z.strictObject({
  kind: z.literal('ownPace'),
  cycles: z.int().min(1, 'At least one breath.').max(BREATH_LIMITS.maxRounds),
  secondsPerCycle: z.number().min(1, 'A breath takes at least a second.').max(60, 'A breath takes at most a minute.'),
});
export type OwnPacePart = z.infer<typeof OwnPacePart>;

export const BreathPart = z.discriminatedUnion('kind', [CyclePart, OwnPacePart]);
export type BreathPart = z.infer<typeof BreathPart>;

/** Parts repeated for a number of rounds. What one round is, is the technique's to say; here it is all parts once. */
export const BreathSet = z.strictObject({
  id: z.string().min(1).max(64),
  label: z.string().max(120),
  parts: z.array(BreathPart).min(1, 'A set needs at least one part.').max(8, 'A set has at most eight parts.'),
  rounds: z
    .int('Rounds are whole numbers.')
    .min(1, 'At least one round.')
    .max(BREATH_LIMITS.maxRounds, `A set has at most ${BREATH_LIMITS.maxRounds} rounds.`),
  restSeconds: z.number().min(0).max(600, 'A rest between sets is at most 10:00.'),
  eyes: z.enum(['open', 'closed', 'free']),
  hands: z.string().max(120),
});
export type BreathSet = z.infer<typeof BreathSet>;

/** A practice: the length of one count in seconds, and sets done one after the other. */
export const BreathPractice = z
  .strictObject({
    countSeconds: z
      .number()
      .min(BREATH_LIMITS.minCountSeconds, `A count lasts at least ${BREATH_LIMITS.minCountSeconds} s.`)
      .max(BREATH_LIMITS.maxCountSeconds, `A count lasts at most ${BREATH_LIMITS.maxCountSeconds} s.`)
      .multipleOf(0.001, 'A count has at most three decimals.'),
    sets: z.array(BreathSet).min(1, 'A practice needs at least one set.').max(20, 'A practice has at most 20 sets.'),
  })
  .superRefine((practice, context) => {
    for (const [s, set] of practice.sets.entries()) {
      for (const [p, part] of set.parts.entries()) {
        if (partMs(part, practice.countSeconds) > BREATH_LIMITS.maxCycleSeconds * 1000 && part.kind === 'cycle') {
          context.addIssue({
            code: 'custom',
            path: ['sets', s, 'parts', p],
            message: `One cycle lasts at most ${BREATH_LIMITS.maxCycleSeconds / 60} minutes.`,
          });
        }
      }
    }
    if (practiceMs(practice) > BREATH_LIMITS.maxPracticeSeconds * 1000) {
      context.addIssue({ code: 'custom', path: ['sets'], message: 'A breath practice lasts at most 60:00.' });
    }
  });
export type BreathPractice = z.infer<typeof BreathPractice>;

/** Length of one part, done once, in milliseconds. Exact: whole counts of a whole number of milliseconds. */
export function partMs(part: BreathPart, countSeconds: Seconds): Ms {
  if (part.kind === 'ownPace') return part.cycles * toMs(part.secondsPerCycle);
  return (part.in + part.holdFull + part.out + part.holdEmpty) * toMs(countSeconds);
}

/** Length of one round of a set: all its parts once, in milliseconds. */
export function roundMs(set: BreathSet, countSeconds: Seconds): Ms {
  return set.parts.reduce((sum, part) => sum + partMs(part, countSeconds), 0);
}

/** Length of a whole practice, rests between its sets included, in milliseconds. */
export function practiceMs(practice: Pick<BreathPractice, 'countSeconds' | 'sets'>): Ms {
  return practice.sets.reduce(
    (sum, set) => sum + set.rounds * roundMs(set, practice.countSeconds) + toMs(set.restSeconds),
    0,
  );
}
