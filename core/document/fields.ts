import { z } from 'zod';
import type { Seconds } from '#core/numbers';
import { clockOfSeconds } from '#core/time';

const DECIMALS = 'A length has at most three decimals of a second.';

/** Shared, because a number format is slow to create. */
const figures = new Intl.NumberFormat('en');

/** A length in seconds from `min` to `max`, at most three decimals; refused with the limit in words. */
export function seconds(what: string, min: Seconds, max: Seconds): z.ZodType<Seconds, Seconds> {
  return z
    .number(`${what} is a number of seconds.`)
    .min(min, `${what} is at least ${clockOfSeconds(min)}.`)
    .max(max, `${what} is at most ${clockOfSeconds(max)}.`)
    .multipleOf(0.001, DECIMALS);
}

/** Text of at most `max` characters; it may be empty. */
export function text(what: string, max: number) {
  return z.string(`${what} is text.`).max(max, `${what} has at most ${figures.format(max)} characters.`);
}

/** Text of at most `max` characters with something in it besides blanks. */
export function words(what: string, max: number) {
  return text(what, max).refine((typed) => typed.trim() !== '', `${what} is needed.`);
}

/** One of a few values; a refusal lists them. */
export function oneOf<const T extends readonly [string, ...string[]]>(what: string, options: T) {
  return z.enum(options, `${what} is one of: ${options.join(', ')}.`);
}

/**
 * An id of anything that is stored or sent. One pattern for all of them: other signs are changed on the way through
 * addresses and databases, and what is stored under them is not found again.
 */
export const Id = z.string('An id is text.').regex(/^[\w-]{1,64}$/, 'An id has letters, digits, - and _, at most 64.');
