import type { Level } from './rule';

/** How careful, in one word. */
export const LEVEL_WORDS: Record<Level, string> = { avoid: 'avoid', change: 'change', watch: 'watch' };

/** Shown on every screen with cautions. */
export const NOT_ADVICE =
  'Usual cautions, not medical advice. With a condition, ask a doctor or licensed practitioner first.';
export const STOP_SIGNS =
  'Come out at once for sharp pain or pain in a joint, tingling, numbness, breathlessness, dizziness, or pressure in the head or eyes.';
export const NOTHING_KNOWN =
  'No caution here does not mean that nothing can go wrong: ask, watch, and let everyone stop when they want to.';

/** What someone agrees to who fills in the screening form. */
export const CONSENT =
  'I agree that my teacher keeps this to plan classes that suit me. Nobody else is shown it, I can see it or have it deleted at any time, and I will say when something changes.';
