import type { Ms } from '#core/numbers';
import type { SegmentKind } from './class-state';
import type { PhraseKind } from './language';

type Worth = Partial<Record<SegmentKind, number>>;

/**
 * What a phrase is worth in each kind of segment, as log-odds: our own, from how classes are led, and held by the
 * figures of the sample captions. So are all the numbers below.
 */
export const WORTH: Readonly<Record<PhraseKind, Worth>> = {
  goIn: { in: 1.1, hold: -1.2, out: -0.5, talk: -0.8, rest: -0.9, breath: -1.2 },
  settle: { in: -0.2, hold: 0.9, out: -0.7, talk: -0.4, rest: 0.2, breath: -0.4 },
  stay: { in: -0.3, hold: 2, out: -1, talk: -0.8, rest: 0.2, breath: -0.6 },
  more: { in: -1.5, hold: 1.8, out: -1.5, talk: -0.9, rest: -0.8, breath: 0.2 },
  comeOut: { in: -0.7, hold: -2.2, out: 2.2, talk: -0.6, rest: -0.5, breath: -1 },
  rest: { in: -0.8, hold: 0, out: 0.3, talk: -0.3, rest: 1.3, breath: -0.6 },
  otherSide: { hold: -2, rest: -0.5, breath: -1 },
  show: { in: -3, hold: -3, out: -1, talk: 0, rest: -1.5, shown: 3, breath: -1.5 },
  yourTurn: { in: 0.3, hold: -0.6, shown: -3, talk: 0.2 },
  cue: { in: -0.3, hold: 0.5, out: -0.6, talk: -0.3, rest: 0, breath: -0.2 },
  caution: { hold: -0.1, talk: 0.3 },
  prop: { in: 0.3, hold: -0.2, rest: -0.2 },
  countOn: { breath: 2.2, hold: -0.3, in: -0.8, out: -0.8, talk: -0.8, rest: -0.8 },
  breatheFreely: { breath: -4, rest: 0.5 },
  classBegins: { talk: 0.6, in: 0.3, hold: -1.2 },
  begin: { talk: 0.2, in: 0.1, hold: -0.4 },
  maybe: {},
  offered: {},
  not: {},
  like: {},
  naming: {},
  breatheIn: {},
  breatheOut: {},
  holdBreath: {},
};
/** A length that is announced belongs to a hold, or to going into one. */
export const LENGTH_WORTH: Worth = { in: 0.8, hold: 0.5, out: -1, talk: -0.6, rest: -0.4 };
export const PHASE_WORTH: Worth = {
  in: -0.8,
  hold: -0.5,
  out: -0.8,
  talk: -0.6,
  rest: -0.8,
  breath: 1,
};
/** A name, in a segment of its position, of another one, and where nothing is held. */
export const NAME = {
  own: 4,
  ownInHold: 1,
  other: -1.8,
  otherInHold: -0.9,
  idle: -1.5,
  idleBreath: -0.5,
  outShare: 0.4,
} as const;
/** What a word that describes a position is worth on the way into it; in a hold people talk of anything. */
export const DESCRIBED = 0.7;
/** That the breath is held, for a technique that holds it and for one that does not. */
export const HOLDS = { has: 0.3, hasNot: -0.8 } as const;
/** That a side is spoken of, for a technique that has nostrils or sides in its name and for one that has none. */
export const NOSTRILS = { has: 0.3, hasNot: -0.5 } as const;
/** A side that is named on the way in; in a hold it is mostly that of what is felt, or of the limb that rests. */
export const SIDE = 1.8;
export const SIDE_IN_HOLD = 0.15;
export const OTHER_SIDE = { second: 3, first: -2 } as const;
/** A side of the body that is named on the way into a position that has none. */
export const UNSIDED = -0.5;
/** A place in the room that was named last before a hold: that of the position or another; and a prop nobody spoke of. */
export const PLACE = {
  same: 1,
  other: -1.8,
  withoutProp: -2,
  propLongAgo: -1,
  propNowMs: 90_000,
  noSide: -1,
  sideBeforeMs: 75_000,
  shown: 4,
  perWordOfName: -0.05,
  shownBeforeMs: 120_000,
  namedBeforeMs: 15_000,
  withinMs: 4000,
  beforeMs: 240_000,
  propBeforeMs: 600_000,
} as const;
/** A second of silence beyond the pause between two sentences. */
export const SILENCE: Readonly<Record<SegmentKind, number>> = {
  talk: -0.04,
  shown: -0.08,
  in: -0.05,
  hold: 0.02,
  out: -0.05,
  rest: 0,
  breath: -0.045,
};
/** What a second of silence is worth besides, where a prop was spoken of so shortly before: it is being put in place. */
export const ARRANGING: Worth = { in: 0.04, hold: -0.02 };
export const ARRANGING_MS = 15_000;

/** How long each kind usually is: the middle in seconds, how much it spreads (of its logarithm), and the longest. */
export const LENGTHS: Readonly<Record<SegmentKind, { middle: number; spread: number; longestMs: Ms; begin: number }>> =
  {
    talk: { middle: 40, spread: 1.6, longestMs: 240_000, begin: -0.6 },
    shown: { middle: 40, spread: 0.8, longestMs: 150_000, begin: -2 },
    in: { middle: 28, spread: 0.8, longestMs: 300_000, begin: -1 },
    hold: { middle: 210, spread: 0.75, longestMs: 1_500_000, begin: -1.5 },
    out: { middle: 14, spread: 0.8, longestMs: 120_000, begin: -0.3 },
    rest: { middle: 45, spread: 0.8, longestMs: 240_000, begin: -1.5 },
    breath: { middle: 150, spread: 0.9, longestMs: 1_500_000, begin: -3 },
  };
/** A hold that is as long as was announced is likelier than another: how far from it counts (of its logarithm). */
export const ANNOUNCED = { spread: 0.22, bonus: 1.2, worst: 5, other: 0.5 } as const;
/** A length belongs to a hold that begins so long before it was announced, or after. */
export const ANNOUNCED_BEFORE_MS = 75_000;
export const ANNOUNCED_WITHIN_MS = 45_000;
/** So late it is announced by a teacher who takes her time over the props. */
export const ANNOUNCED_LATE_MS = 100_000;
/** A technique is named so long before it begins at the most; a name then is worth so much. */
export const BREATH_NAMED_MS = 120_000;
export const BREATH_NAMED = 4;
/** Silence beyond this tells no more. */
export const MAX_SILENCE_SECONDS = 60;
