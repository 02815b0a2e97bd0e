import { z } from 'zod';
import { clockOfSeconds } from '#core/time';
import { PLAN_LIMITS } from './limits';

const DECIMALS = 'A length has at most three decimals of a second.';

/** A length in seconds from `min` to `max`, at most three decimals; refused with the limit in words. */
export function seconds(what: string, min: number, max: number) {
  return z
    .number(`${what} is a number of seconds.`)
    .min(min, `${what} is at least ${clockOfSeconds(min)}.`)
    .max(max, `${what} is at most ${clockOfSeconds(max)}.`)
    .multipleOf(0.001, DECIMALS);
}

export function text(what: string, max: number) {
  return z.string(`${what} is text.`).max(max, `${what} has at most ${max.toLocaleString('en')} letters.`);
}

export const HoldSeconds = seconds('A hold', PLAN_LIMITS.minHold, PLAN_LIMITS.maxHold);
export const PlainSeconds = (what: string) => seconds(what, 1, PLAN_LIMITS.maxPlain);
/** Seconds that may be left to the position and the house rules: null means "as usual". */
export const OwnSeconds = (what: string, max: number = PLAN_LIMITS.maxChange) => seconds(what, 0, max).nullable();

export const Id = z.string().min(1, 'An id cannot be empty.').max(64, 'An id has at most 64 letters.');
