/** Time: units, reading what people type, and showing it; and the one source of chance, with its seed. */
export { toMs, toSeconds, type Ms, type Seconds } from './units';
export { DURATION_FORMS, parseDuration, type ParsedDuration } from './parse';
export { clockOfMs, clockOfSeconds, editableClock, signedClockOfMs, spokenMs } from './format';
export { inBreaths, parseBreaths } from './breaths';
export { seeded } from './seeded';
export { gcd } from './whole';
