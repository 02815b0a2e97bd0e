import { z } from 'zod';
import { partMs, practiceMs } from './lengths';
import { BREATH_LIMITS as MOST } from './limits';
import { BreathSet } from './set';

/** A practice: the length of one count in seconds, and sets done one after the other. */
export const BreathPractice = z
  .strictObject({
    countSeconds: z
      .number('A count lasts a number of seconds.')
      .min(MOST.minCountSeconds, `A count lasts at least ${MOST.minCountSeconds} s.`)
      .max(MOST.maxCountSeconds, `A count lasts at most ${MOST.maxCountSeconds} s.`)
      .multipleOf(0.001, 'A count has at most three decimals.'),
    sets: z.array(BreathSet).min(1, 'A practice needs at least one set.').max(20, 'A practice has at most 20 sets.'),
  })
  .superRefine((practice, context) => {
    for (const [s, set] of practice.sets.entries()) {
      for (const [p, part] of set.parts.entries()) {
        const longestMs = Math.max(...[1, set.rounds].map((round) => partMs(part, practice.countSeconds, set, round)));
        if (part.kind === 'cycle' && longestMs > MOST.maxCycleSeconds * 1000) {
          const when = set.ramp ? ', also where it has grown' : '';
          context.addIssue({
            code: 'custom',
            path: ['sets', s, 'parts', p],
            message: `One cycle lasts at most ${MOST.maxCycleSeconds / 60} minutes${when}.`,
          });
        }
      }
    }
    if (practiceMs(practice) > MOST.maxPracticeSeconds * 1000) {
      context.addIssue({ code: 'custom', path: ['sets'], message: 'A breath practice lasts at most 60:00.' });
    }
  });
export type BreathPractice = z.infer<typeof BreathPractice>;
