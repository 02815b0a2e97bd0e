/** A rule by which teachers choose a height. Centimetres. */
export interface HeightRule {
  lowCm: number;
  highCm: number;
  /** Its purpose, as a colleague would say it. */
  says: string;
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
  headLyingFlat: { lowCm: 1, highCm: 7, says: 'head 1 to 7 cm above the shoulders, chin no higher than the brow' },
  /** Round what the shoulder leaves under the head, lying on the side; rolled forward it leaves less. */
  headOnSide: { lowCm: -4, highCm: 0, says: 'head level with the spine, lying on the side' },
  /** The hip joints over the knees, in seats and seated folds. */
  hipsOverKnees: { lowCm: 0, highCm: 4, says: 'hips no lower than the knees, so the back can be long' },
  /** The heart over the middle of the head, in the gentle inversions. */
  heartOverHead: { lowCm: 1, highCm: 9, says: 'heart 1 to 9 cm above the head, no more' },
  /** Under both knees of someone who lies or sits: bent a little, whatever the gap. */
  kneesBent: { lowCm: 5, highCm: 20, says: 'knees a little bent, so low back and backs of the legs let go' },
  /** Round the gap under a trunk that is to be carried: higher only carries it sooner. */
  trunk: { lowCm: -1.5, highCm: 8, says: 'carries the trunk no lower than it comes by itself' },
  /** Round a gap under what is to be carried. */
  gap: { lowCm: -1.5, highCm: 1, says: 'fills the gap, and lifts nothing' },
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
