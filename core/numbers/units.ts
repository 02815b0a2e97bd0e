declare const unit: unique symbol;
/** A number with its unit: a plain number will do, but a number of another unit does not compile. */
type Measure<Unit extends string> = number & { readonly [unit]?: Unit };

/** A length of time as a plan stores it: seconds, at most three decimals. */
export type Seconds = Measure<'seconds'>;

/** A length of time, or a moment, as a timeline holds it: whole milliseconds, so that sums are exact. */
export type Ms = Measure<'milliseconds'>;

/**
 * Whole milliseconds of a length in seconds, rounded to the nearest.
 * This is the only place where seconds become milliseconds.
 */
export function toMs(seconds: Seconds): Ms {
  return Math.round(seconds * 1000);
}

/** Seconds of a length in whole milliseconds. */
export function toSeconds(ms: Ms): Seconds {
  return ms / 1000;
}
