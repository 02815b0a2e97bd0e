import {
  cycleOf,
  ownPaceOf,
  PLACE_WORDS,
  setOf,
  type BreathPlace,
  type BreathPractice,
  type BreathSet,
  type CyclePart,
  type Through,
} from '#core/breath';
import type { Technique } from '#core/catalogue';

type Counts = readonly [inCounts: number, holdFull: number, out: number, holdEmpty: number];

/** One counted cycle, through the nose unless said otherwise. */
export function cycle(
  counts: Counts,
  inThrough: Through = 'nose',
  outThrough: Through = inThrough,
  rest: Partial<Pick<CyclePart, 'sound' | 'place' | 'locks'>> = {},
): CyclePart {
  return cycleOf(counts, { inThrough, outThrough, ...rest });
}

/** One set of a practice with its usual values: eyes closed, no rest after it. */
export function breathSet(
  id: string,
  parts: BreathSet['parts'],
  rounds: number,
  rest: Partial<BreathSet> = {},
): BreathSet {
  return setOf(id, parts, rounds, { eyes: 'closed', ...rest });
}

export const practice = (countSeconds: number, ...sets: BreathSet[]): BreathPractice => ({ countSeconds, sets });

/** One round of alternate nostrils: in left, out right, in right, out left. */
export const alternate = (counts: Counts): CyclePart[] => [
  cycle(counts, 'left', 'right'),
  cycle(counts, 'right', 'left'),
];

/** Four breaths into one place with open eyes, then six with closed ones. */
export const intoPlace = (id: string, place: BreathPlace, hands: string): [BreathSet, BreathSet] => {
  const label = PLACE_WORDS[place];
  return [
    breathSet(`${id}-watched`, [ownPaceOf(4, 7, { place })], 1, { label: `${label}, watched`, hands, eyes: 'open' }),
    breathSet(id, [ownPaceOf(6, 7, { place })], 1, { label, hands, restSeconds: 10 }),
  ];
};

/** Belly, side ribs and collarbones, one after the other. */
const THREE_PLACES: readonly BreathSet[] = [
  ...intoPlace('belly', 'belly', 'both hands on the belly'),
  ...intoPlace('ribs', 'sideRibs', 'hands round the side ribs'),
  ...intoPlace('chest', 'upperChest', 'fingertips under the collarbones'),
];

/** Six breaths through some places as one wave, from below, and out from above. */
const joined = (id: string, wave: BreathPlace[]): BreathSet =>
  breathSet(id, [cycleOf([4, 0, 6, 0], { wave, outDirection: 'fromAbove' })], 6, { label: 'One wave' });

/** The techniques most groups begin with. */
export const FIRST_TECHNIQUES: Technique[] = [
  {
    id: 'breath-awareness',
    names: { english: 'Breath awareness', sanskrit: '' },
    short: 'Awareness',
    round: '1 round = so many breaths at one’s own pace',
    practice: practice(1, breathSet('watch', [ownPaceOf(24, 5)], 1)),
    range: { minSeconds: 60, maxSeconds: 900 },
    gates: 'Nothing: this is where everyone begins.',
    effect: 'quieting',
    traits: [],
    seat: 'Any seat with the hips no lower than the knees, or lying.',
    taught: [
      'Notice where the breath is felt first.',
      'Follow one breath from its beginning to its end, then the next, without helping.',
    ],
    mistakes: 'Making the breath deeper because it is watched. Say: let it be as small as it likes.',
    caution: 'If watching the breath makes anyone uneasy, eyes open and attention on the hands instead.',
  },
  {
    id: 'equal-breath',
    names: { english: 'Even breath', sanskrit: 'samavṛtti' },
    short: 'Even breath',
    round: '1 round = 1 cycle: in and out, the same count',
    practice: practice(1, breathSet('even', [cycle([4, 0, 4, 0])], 18)),
    range: { minSeconds: 120, maxSeconds: 900 },
    gates: 'Watching the breath without changing it.',
    traits: [],
    seat: 'Upright on a block or chair, or lying.',
    taught: [
      'Count the in-breath as it comes.',
      'Give the out-breath the same count.',
      'Keep the count even if the breath grows stronger or softer.',
    ],
    mistakes: 'A count that is too long and ends in a gasp. Say: shorten it by one.',
    caution: 'Go back to your own pace at the first sign of air hunger or dizziness.',
  },
  {
    id: 'long-out-breath',
    names: { english: 'Longer out-breath', sanskrit: 'viṣamavṛtti' },
    short: 'Long out',
    round: '1 round = 1 cycle: in, and out for longer',
    practice: practice(1, breathSet('long', [cycle([4, 0, 6, 0])], 18)),
    range: { minSeconds: 120, maxSeconds: 900 },
    gates: 'Even breath for some minutes without air hunger.',
    effect: 'quieting',
    traits: [],
    seat: 'Lying with the knees supported, or seated.',
    taught: [
      'Begin with an even count.',
      'Let the out-breath grow by one count at a time, as long as the in-breath stays easy.',
    ],
    mistakes: 'Pressing the last of the air out. Say: let it end by itself.',
    caution: 'With asthma or shortness of breath, let the out-breath be as long as it comes.',
  },
  {
    id: 'throat-breath',
    names: { english: 'Throat breath', sanskrit: 'ujjāyī' },
    short: 'Throat breath',
    round: '1 round = 1 cycle with the soft sound in and out',
    practice: practice(1, breathSet('throat', [cycle([4, 0, 6, 0], 'nose', 'nose', { sound: 'throat' })], 12)),
    range: { minSeconds: 120, maxSeconds: 900 },
    gates: 'The longer out-breath; a throat that is not sore.',
    traits: ['sound'],
    seat: 'Upright, chin level.',
    taught: [
      'Whispered out: whisper “ha” through the open mouth.',
      'Whispered in: make the same sound on the way in.',
      'Lips closed: close the lips half-way through the out-breath and keep the sound.',
      'Through the nose: in and out, so softly that only you hear it.',
    ],
    mistakes: 'A loud, tight sound. Say: half as loud, and half that again.',
    caution: 'Without any effort in pregnancy or with heart trouble; leave out the sound if the throat is sore.',
  },
  {
    id: 'three-part-breath',
    names: { english: 'Three-part breath', sanskrit: 'dīrgha śvāsa' },
    short: 'Three-part',
    round: '1 round = watched breaths into one place, the same with closed eyes, or one breath through all three',
    practice: practice(1, ...THREE_PLACES, joined('joined', ['belly', 'sideRibs', 'upperChest'])),
    range: { minSeconds: 120, maxSeconds: 600 },
    gates: 'Breath felt in the belly.',
    traits: [],
    seat: 'Lying first, later seated.',
    taught: [
      'Belly: feel the hand on the belly rise.',
      'Ribs and collarbones: the same into the side ribs, then under the collarbones.',
      'One wave: one breath through all three places from below; out from above.',
    ],
    mistakes: 'Lifting the shoulders for the third part. Say: let the collarbones float and the shoulders stay.',
    caution: 'Keep it small and easy after operations on the belly or chest; ask a doctor first.',
  },
  {
    id: 'alternate-nostrils',
    names: { english: 'Alternate nostrils', sanskrit: 'nāḍī śodhana' },
    short: 'Alternate nostrils',
    round: '1 round = 2 cycles: in left, out right, in right, out left',
    practice: practice(1, breathSet('alternate', alternate([4, 0, 4, 0]), 9)),
    range: { minSeconds: 180, maxSeconds: 900 },
    gates: 'The even breath, and a clear nose.',
    traits: ['handOnFace', 'nostrils'],
    seat: 'Upright, elbow of the working hand free or held by the other.',
    taught: [
      'Close the right nostril with the thumb, in through the left.',
      'Close the left, open the right, out.',
      'In right, change, out left: that is one round.',
    ],
    mistakes: 'Pressing the nose to one side. Say: a feather’s weight on the soft part.',
    caution: 'Only with a clear nose; without holding in pregnancy or with high blood pressure.',
  },
];
