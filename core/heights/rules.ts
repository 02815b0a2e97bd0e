/** A rule by which teachers choose a height. Centimetres. */
export interface HeightRule {
  lowCm: number;
  highCm: number;
  /** Its purpose, as a colleague would say it. */
  says: string;
  /** How much higher than that still serves, in centimetres, and what comes of it. */
  above?: { cm: number; says: string };
  /** How much lower than that still serves, and what comes of it. */
  below?: { cm: number; says: string };
}

/**
 * The rules in numbers, as teachers of restorative and yin classes give them; the ranges are measured typical ones.
 * What a prop fills may stay a little short of the gap, never lift what rests: so the range round a gap is lower below
 * it.
 */
export const HEIGHT_RULES = {
  /** The underside of the head over that of the shoulders, lying on the back with the chest opened. */
  headInChestOpener: { lowCm: 2, highCm: 5, says: 'head 2 to 5 cm above the shoulders, so the throat stays soft' },
  /** The same, lying flat. */
  headLyingFlat: { lowCm: 1, highCm: 8, says: 'head 1 to 8 cm above the shoulders, chin no higher than the forehead' },
  /** Round what the shoulder leaves under the head, lying on the side; rolled forward it leaves less. */
  headOnSide: { lowCm: -4, highCm: 0, says: 'head level with the spine, lying on the side' },
  /** The hip joints over the knees, in seats and seated folds. */
  hipsOverKnees: {
    lowCm: 0,
    highCm: 4,
    says: 'hips no lower than the knees, so the back can be long',
    below: { cm: 9, says: 'the knees stay higher than the hips, and want something under them' },
    above: { cm: 9, says: 'tips the pelvis further forward, which helps stiff hips' },
  },
  /** The heart over the middle of the head, in the gentle inversions. */
  heartOverHead: {
    lowCm: 1,
    highCm: 9,
    says: 'heart 1 to 9 cm above the head, no more',
    below: { cm: 9, says: 'gentler, as the heart is hardly above the head' },
    above: { cm: 3, says: 'stronger, as the heart is well above the head' },
  },
  /** Under both knees of someone who lies or sits: bent a little, whatever the gap. */
  kneesBent: { lowCm: 5, highCm: 20, says: 'knees a little bent, so low back and backs of the legs let go' },
  /** Round the gap under a trunk that is to be carried: higher only carries it sooner. */
  trunk: {
    lowCm: -1.5,
    highCm: 8,
    says: 'carries the trunk no lower than it comes by itself',
    above: { cm: 14, says: 'the trunk comes to rest sooner' },
  },
  /** Round a gap under what is to be carried. */
  gap: { lowCm: -1.5, highCm: 1, says: 'fills the gap, and lifts nothing' },
  /** Under the head of a body that folds. */
  headInFold: {
    lowCm: -1.5,
    highCm: 1,
    says: 'the head comes to rest where the fold ends',
    above: { cm: 20, says: 'the head rests sooner, and the fold is shallower' },
  },
  handsCarried: {
    lowCm: -1.5,
    highCm: 1,
    says: 'the hands rest without reaching',
    above: { cm: 25, says: 'brings the floor up to the hands, so the body bends less' },
  },
  legCarried: {
    lowCm: -1.5,
    highCm: 1,
    says: 'the leg rests on it, and is not lifted',
    above: { cm: 14, says: 'the leg rests sooner, and the hip turns or opens less' },
  },
  hipLevel: {
    lowCm: -1.5,
    highCm: 1,
    says: 'keeps the pelvis level',
    above: { cm: 8, says: 'raises the pelvis, so the hip folds less' },
  },
  /**
   * The hip joints over the knees, on a seat so high that the thighs slope down to the floor: the feet come up to it.
   */
  feetHeld: {
    lowCm: 0,
    highCm: 4,
    says: 'feet held where they do not reach the floor without the thighs sloping down',
  },
} as const satisfies Record<string, HeightRule>;
export type HeightRuleName = keyof typeof HEIGHT_RULES;
