import { median, type Seconds } from '#core/numbers';
import { QUARTERS } from './parts';
import { LADDER, type Ratio, type Rung } from './ladder';

/** A person's easy breath as it was measured: seconds; a hold that was not measured is undefined. */
export interface MeasuredBreath {
  in: Seconds;
  out: Seconds;
  holdFull?: Seconds;
  holdEmpty?: Seconds;
}

/** Of what is easy once, this much stays easy over many breaths. */
const EASY_SHARE = 0.8;
/** A count shorter than this is hurried, and a ratio that needs it is not offered. */
export const MIN_COUNT_SECONDS = 0.8;

/**
 * The longest count at which every part of a ratio stays well within what was measured: 0.8 × measured ÷ counts, the
 * least over the parts that have counts, rounded down to a tenth of a second. Undefined if a hold was not measured.
 * Example: in 6.0, full 12.0, out 9.0: 4-16-8 gives 0.6 s, 4-8-8 gives 0.9 s.
 */
export function comfortableCount(measured: MeasuredBreath, ratio: Ratio): Seconds | undefined {
  let least = Infinity;
  for (const part of QUARTERS) {
    const counts = ratio[part];
    if (counts === 0) continue;
    const seconds = measured[part];
    if (seconds === undefined) return undefined;
    // In tenths of milliseconds, so that 0.8 × 9 ÷ 8 is 0.9 and not a hair less.
    least = Math.min(least, Math.floor(Math.round((EASY_SHARE * seconds * 10_000) / counts) / 1000) / 10);
  }
  return least;
}

/** What a ratio would mean for a person. Seconds, and breaths a minute. */
export interface RatioOffer {
  ratio: Ratio;
  gate: number;
  /** Undefined if a hold it needs was not measured. */
  countSeconds: Seconds | undefined;
  cycleSeconds: Seconds | undefined;
  breathsAMinute: number | undefined;
  longestHoldSeconds: Seconds | undefined;
  offered: boolean;
  /** Why it is not offered; empty if it is. */
  reason: string;
}

/** A count that is practised is about this long: nobody counts to one for five seconds. */
const USUAL_COUNT_SECONDS = 1;

/**
 * A ratio with a long count as it is practised: more counts of about a second. 1:0:2 at 3.6 s is 3-0-6 at 1.2 s. The
 * length of a count is rounded down to a tenth of a second, so that nothing gets longer.
 */
export function practisedAs(ratio: Ratio, countSeconds: Seconds): { counts: Ratio; countSeconds: Seconds } {
  const times = Math.max(1, Math.floor(countSeconds / USUAL_COUNT_SECONDS));
  const counts = { ...ratio };
  for (const quarter of QUARTERS) counts[quarter] = ratio[quarter] * times;
  return { counts, countSeconds: Math.floor(Math.round((countSeconds * 1000) / times) / 100) / 10 };
}

/** The ladder for one person: what each ratio would mean, and whether it is offered. */
export function ratioOffers(measured: MeasuredBreath, ladder: readonly Rung[] = LADDER): RatioOffer[] {
  return ladder.map(({ ratio, gate }) => {
    const countSeconds = comfortableCount(measured, ratio);
    if (countSeconds === undefined) {
      const hold = ratio.holdFull > 0 && measured.holdFull === undefined ? 'full' : 'empty';
      const reason = `No easy ${hold} hold has been measured.`;
      return {
        ratio,
        gate,
        countSeconds,
        cycleSeconds: undefined,
        breathsAMinute: undefined,
        longestHoldSeconds: undefined,
        offered: false,
        reason,
      };
    }
    const tenths = Math.round(countSeconds * 10);
    const counts = ratio.in + ratio.holdFull + ratio.out + ratio.holdEmpty;
    const offered = countSeconds >= MIN_COUNT_SECONDS;
    return {
      ratio,
      gate,
      countSeconds,
      cycleSeconds: (tenths * counts) / 10,
      breathsAMinute: tenths === 0 ? undefined : 600 / (tenths * counts),
      longestHoldSeconds: (tenths * Math.max(ratio.holdFull, ratio.holdEmpty)) / 10,
      offered,
      reason: offered
        ? ''
        : `A count of ${countSeconds.toFixed(1)} s would be hurried; ${MIN_COUNT_SECONDS} s is the least.`,
    };
  });
}

/** The middle of easy breaths measured one by one, in seconds. Throws a RangeError for fewer than five. */
export function medianOf(values: readonly Seconds[]): Seconds {
  const middle = median(values);
  if (middle === undefined || values.length < MIN_BREATHS)
    throw new RangeError(`At least ${MIN_BREATHS} breaths are measured.`);
  return middle;
}
export const MIN_BREATHS = 5;
