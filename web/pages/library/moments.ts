import type { Moment, Position } from '#core/catalogue';
import { clockOfSeconds } from '#core/time';

/** A moment of a hold in words: `after 1:00`, `half-way`, `0:20 before the end`. */
export function momentInWords(moment: Moment): string {
  if (moment.kind === 'half') return 'half-way';
  const clock = clockOfSeconds(moment.seconds);
  return moment.kind === 'after' ? `after ${clock}` : `${clock} before the end`;
}

/** The rest that usually follows, in words: `0:45 after each side`. */
export const reboundInWords = ({ seconds, when }: Position['rebound']): string =>
  when === 'none' ? 'none' : `${clockOfSeconds(seconds)} after ${when === 'afterEach' ? 'each side' : 'it'}`;
