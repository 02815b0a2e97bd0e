import type { Level } from './rule';

/** How careful, in one word. */
export const LEVEL_WORDS: Record<Level, string> = { avoid: 'leave out', change: 'change', watch: 'watch' };

/** Shown on every screen with cautions. */
export const NOT_ADVICE =
  'Usual cautions, not medical advice. With a condition, ask a doctor or licensed practitioner first.';
export const STOP_SIGNS =
  'Out of it at once for sharp pain or pain in a joint, tingling, numbness, breathlessness, dizziness, pressure in head or eyes.';
export const NOTHING_KNOWN =
  'No caution here does not mean that nothing can happen: ask, watch, and let everyone stop.';

/** What someone agrees to who fills in the screening form. */
export const CONSENT =
  'I agree that my teacher keeps this to plan classes that suit me. It is shown to nobody else, I can see it or have it deleted at any time, and I say when something changes.';
