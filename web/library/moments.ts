import type { Moment } from '#core/catalogue';
import { clockOfSeconds } from '#core/time';

/** A moment of a hold in words: `after 1:00`, `half-way`, `0:20 before the end`. */
export function momentInWords(moment: Moment): string {
  if (moment.kind === 'half') return 'half-way';
  const clock = clockOfSeconds(moment.seconds);
  return moment.kind === 'after' ? `after ${clock}` : `${clock} before the end`;
}
