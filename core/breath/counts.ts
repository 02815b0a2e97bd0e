import type { Seconds } from '#core/numbers';
import { BREATH_LIMITS } from './limits';
import { readRatio, smallestRatio, type Ratio } from './ladder';
import { QUARTERS, QUARTER_NAMES, type Quarter } from './parts';

/** The counts that were read, or why they could not be; `ask` holds the counts that may have been meant. */
export type CountsResult = { ok: true; counts: Ratio } | { ok: false; reason: string; ask?: Ratio };

/** Every count multiplied, or why that exceeds the limits. */
function scaled(counts: Ratio, by: number): CountsResult {
  const result = { ...counts };
  for (const quarter of QUARTERS) result[quarter] = counts[quarter] * by;
  const most = Math.max(...QUARTERS.map((quarter) => result[quarter]));
  if (most > BREATH_LIMITS.maxCounts) {
    return { ok: false, reason: `A phase has at most ${BREATH_LIMITS.maxCounts} counts; this would be ${most}.` };
  }
  return { ok: true, counts: result };
}

/**
 * The counts when one of them is set to `value` and the ratio is kept: 4-4-8 with an in-breath of 5 is 5-5-10. Refused,
 * with what would go, where the others would not be whole counts. A quarter of no counts cannot lead the others.
 */
export function linkedCounts(counts: Ratio, quarter: Quarter, value: number): CountsResult {
  if (counts[quarter] === 0 || value <= 0) {
    return { ok: false, reason: 'Unlink the counts to begin or end with none here.' };
  }
  const least = smallestRatio(counts);
  const step = least[quarter];
  if (value % step !== 0) {
    const near = [1, 2, 3].map((times) => times * step).join(', ');
    return {
      ok: false,
      reason: `With its ratio kept, ${QUARTER_NAMES[quarter]} goes ${near} … Unlink to set it alone.`,
    };
  }
  return scaled(least, value / step);
}

/**
 * Reads counts as they are typed. `4-16-8-4` are the counts themselves; `1:4:2` is a ratio, which goes on from an
 * in-breath of `inCounts` where that comes out even and from the nearest that does otherwise.
 * Two numbers come back as a question, with the counts they would be.
 */
export function readCounts(typed: string, inCounts: number): CountsResult {
  const read = readRatio(typed);
  const ratio = read.ok ? read.ratio : 'ask' in read ? read.ask : undefined;
  if (!ratio) return { ok: false, reason: read.ok ? '' : read.reason };
  const by = typed.includes(':') ? Math.max(1, Math.round(inCounts / ratio.in)) : 1;
  const counts = scaled(ratio, by);
  return read.ok || !counts.ok ? counts : { ok: false, reason: read.reason, ask: counts.counts };
}

/** How many taps make a beat. */
export const MIN_TAPS = 4;
/** A pause this long between taps starts over. */
const NEW_BEAT_MS = 4000;
const COUNT_TAPS = 9;

/**
 * The length of one count from the moments of taps in milliseconds: the mean of the last eight intervals, to a
 * hundredth of a second. Undefined before there are enough taps, or where they are faster or slower than a count may
 * be.
 */
export function countOfTaps(taps: readonly number[]): Seconds | undefined {
  const from = taps.findLastIndex((tap, i) => i > 0 && tap - (taps[i - 1] ?? 0) > NEW_BEAT_MS);
  const beat = taps.slice(Math.max(from, 0)).slice(-COUNT_TAPS);
  const [first, last] = [beat[0], beat.at(-1)];
  if (beat.length < MIN_TAPS || first === undefined || last === undefined) return undefined;
  const seconds = Math.round((last - first) / (beat.length - 1) / 10) / 100;
  const { minCountSeconds, maxCountSeconds } = BREATH_LIMITS;
  return seconds >= minCountSeconds && seconds <= maxCountSeconds ? seconds : undefined;
}
