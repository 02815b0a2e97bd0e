import type { Moment } from '#core/catalogue';
import { toMs, type Ms } from '#core/numbers';

/** Milliseconds from the start of a hold of `holdMs` to a moment of it; may lie outside the hold. */
export function momentMs(moment: Moment, holdMs: Ms): Ms {
  if (moment.kind === 'half') return Math.round(holdMs / 2);
  const ms = toMs(moment.seconds);
  return moment.kind === 'after' ? ms : holdMs - ms;
}
