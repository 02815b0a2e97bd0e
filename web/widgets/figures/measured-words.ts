import type { Measures } from '#core/body';
import { lengthInWords } from '../../ui/lengths';

/** Differences in height below this, in centimetres, are not worth a word. */
const SMALL_CM = 1;

const against = (what: string, cm: number): string =>
  Math.abs(cm) < SMALL_CM
    ? `${what} level with the heart`
    : `${what} ${lengthInWords(Math.abs(cm))} ${cm > 0 ? 'above' : 'below'} the heart`;

/** Where head and hips are against the heart: “Head 4 cm below the heart; hips 20 cm above the heart.” */
export const heightsInWords = ({ headOverHeart, pelvisOverHeart }: Measures): string =>
  `${against('Head', headOverHeart)}; ${against('hips', pelvisOverHeart)}.`;

/**
 * What hangs free, and how far above what is under it, in centimetres: gaps that a prop could fill.
 * @param mirrored whether the second side is meant, for which the figure is mirrored
 */
export function freeGaps({ gaps }: Measures, mirrored: boolean): { place: string; cm: number }[] {
  const [kneeL, kneeR] = mirrored ? [gaps.rightKnee, gaps.leftKnee] : [gaps.leftKnee, gaps.rightKnee];
  const [handL, handR] = mirrored ? [gaps.rightHand, gaps.leftHand] : [gaps.leftHand, gaps.rightHand];
  return [
    { place: 'head', cm: gaps.head },
    { place: 'chest', cm: gaps.chest },
    { place: 'sacrum', cm: gaps.sacrum },
    { place: 'left knee', cm: kneeL },
    { place: 'right knee', cm: kneeR },
    { place: 'left hand', cm: handL },
    { place: 'right hand', cm: handR },
  ].filter(({ cm }) => cm >= SMALL_CM);
}
