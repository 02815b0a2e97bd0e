/**
 * Lengths of the segments as shares of height, after R. Drillis and R. Contini, "Body segment parameters" (1966), as
 * given in D. A. Winter, "Biomechanics and Motor Control of Human Movement", fig. 4.1: thigh .245, shank .246, ankle
 * height .039, foot .152, upper arm .186, forearm .146, hand .108, hip half-distance about .052 (the joint centres lie
 * nearer together than the .191 of the hips' breadth). Trunk from hip joint to the seventh neck vertebra .325, divided
 * as the vertebrae divide it. The shoulder's half-distance is less than Winter's .129, which is at the outside of the
 * arm: the joint centre lies some 5 cm further in.
 */
export const SHARES = {
  hipOut: 0.052,
  pelvis: 0.06,
  lumbar: 0.105,
  thorax: 0.16,
  neck: 0.057,
  thigh: 0.245,
  shank: 0.246,
  ankleHeight: 0.039,
  foot: 0.152,
  upperArm: 0.186,
  forearm: 0.146,
  hand: 0.108,
  shoulderOut: 0.095,
  shoulderAlong: 0.283,
  /** Where the heart lies along the spine from the hips: behind the lower half of the breastbone. */
  heartAlong: 0.245,
} as const;

export type Segments = { readonly [name in keyof typeof SHARES]: number };

/** All tables of breadths are for this height; another one scales them. */
export const REFERENCE_HEIGHT_CM = 165;
export const MIN_HEIGHT_CM = 140;
export const MAX_HEIGHT_CM = 200;

const known = new Map<number, Segments>();
const MAX_KNOWN = 100;

/** Lengths of the segments in centimetres for a height in centimetres. Asked many times while a figure settles. */
export function segmentsOf(statureCm: number): Segments {
  const before = known.get(statureCm);
  if (before) return before;
  if (known.size > MAX_KNOWN) known.clear();
  const lengths = Object.entries(SHARES).map(([name, share]) => [name, share * statureCm]);
  const segments = Object.fromEntries(lengths) as Segments;
  known.set(statureCm, segments);
  return segments;
}
