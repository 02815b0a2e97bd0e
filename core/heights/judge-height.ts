import { HEIGHT_RULES, type HeightRule } from './rules';
import type { SuggestedHeight } from './suggested-height';

const tenths = (cm: number): number => Math.round(cm * 10) / 10;

/** As near as this to a range is in it: what a blanket folded otherwise comes to. Centimetres. */
const WITHIN_CM = 1;

/** How what lies there compares with what is suggested: right, a little off in a way that still serves, or wrong. */
export interface JudgedHeight {
  fit: 'right' | 'higherServes' | 'lowerServes' | 'tooHigh' | 'tooLow';
  /** How far it is from the suggested range, in centimetres; 0 if it is right. */
  byCm: number;
  /** What comes of it, where it is off and still serves; else empty. */
  says: string;
}

/** Judges the height that is there now against what is suggested. */
export function judgeHeight({ lowCm, highCm, leastCm, mostCm, nowCm, rule }: SuggestedHeight): JudgedHeight {
  const { above, below }: HeightRule = HEIGHT_RULES[rule];
  if (nowCm > highCm + WITHIN_CM) {
    const serves = nowCm <= mostCm + WITHIN_CM;
    return {
      fit: serves ? 'higherServes' : 'tooHigh',
      byCm: tenths(nowCm - highCm),
      says: (serves && above?.says) || '',
    };
  }
  if (nowCm < lowCm - WITHIN_CM) {
    const serves = below !== undefined && nowCm >= leastCm - WITHIN_CM;
    return { fit: serves ? 'lowerServes' : 'tooLow', byCm: tenths(lowCm - nowCm), says: (serves && below.says) || '' };
  }
  return { fit: 'right', byCm: 0, says: '' };
}
