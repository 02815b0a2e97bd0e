/** Time: reading what people type, and showing it. */
export { parseDuration, type BareUnit } from './parse';
export { clockOfMs, clockOfSeconds, editableClock, signedClockOfMs, spokenMs } from './format';
export { inBreaths, parseBreaths } from './breaths';
export { NUMBER_WORDS } from './number-words';
