import { seconds } from '#core/document';
import { PLAN_LIMITS } from './limits';

export const HoldSeconds = seconds('A hold', PLAN_LIMITS.minHold, PLAN_LIMITS.maxHold);
export const PlainSeconds = (what: string) => seconds(what, 1, PLAN_LIMITS.maxPlain);
/** Seconds that may be left to the position and the settings: null means "as usual". */
export const OptionalSeconds = (what: string, max: number = PLAN_LIMITS.maxChange) => seconds(what, 0, max).nullable();
