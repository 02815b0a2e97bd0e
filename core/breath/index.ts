/** Breath: what a practice is, how it unfolds in time, what it costs, how it fits, and which ratios suit whom. */
export { BREATH_LIMITS } from './limits';
export {
  BREATH_LOCKS,
  BreathSteps,
  LOUDNESS,
  OUT_DIRECTIONS,
  BREATH_PLACES,
  BREATH_SOUNDS,
  BreathPart,
  CyclePart,
  QUARTER_NAMES,
  QUARTERS,
  RecoverPart,
  Through,
  type BreathLock,
  type BreathPlace,
  type PartKind,
  type Quarter,
} from './parts';
export { BreathPractice } from './practice';
export { BreathSet, Ramp } from './set';
export { phasesOfPractice, phasesWithin } from './phases';
export { practiceMs, roundMs, setMs, strokesMs } from './lengths';
export {
  breathProgram,
  type BreathPhase,
  type CountedPhase,
  type OwnPacePhase,
  type QuietPhase,
  type RecoverPhase,
  type RetentionPhase,
  type StrokesPhase,
} from './program';
export { cycleOf, newPart, ownPaceOf, recoverOf, retentionOf, setOf, strokesOf } from './new-part';
export {
  countsInWords,
  feltInWords,
  LOCK_WORDS,
  OUT_WORDS,
  soundInWords,
  partInWords,
  PLACE_WORDS,
  QUARTER_WORDS,
  roundInWords,
  setInWords,
  SOUND_WORDS,
  THROUGH_WORDS,
} from './words';
export { countOfTaps, MIN_TAPS, linkedCounts, readCounts } from './counts';
export { atOwnPace } from './own-pace';
export {
  changedCopies,
  sameAgain,
  secondsABreath,
  setsAtPlaces,
  withSecondsABreath,
  type CopyRule,
} from './quick-sets';
export { presetsOf, taughtInSteps, taughtStep, type Preset } from './presets';
export { stepOfBreath } from './steps';
export { ticksOf, tonesOf, type Tone, type TonedPhase, type ToneKind } from './tones';
export {
  BreathMeasure,
  breathsOfTurns,
  easyBreath,
  steadiness,
  strainLimit,
  strainOf,
  type MeasuredPart,
} from './measure';
export { BREATHERS, simulatedBreather, type Breather } from './simulated';
export { breathWithin } from './within';
export { breathCost } from './cost';
export { practiceFromVersion1 } from './migrate';
export { fewestRounds, fitBreath } from './fit';
export {
  LADDER,
  Ratio,
  ratioInWords,
  ratioOfPractice,
  ratiosOfPractice,
  readRatio,
  Rung,
  smallestRatio,
} from './ladder';
export {
  isOutdated,
  OFFER_RULES,
  OfferRules,
  offeredCount,
  MIN_BREATHS,
  medianOf,
  practisedAs,
  ratioOffers,
  type MeasuredBreath,
} from './comfortable';
export { GROWTH, growthRefusals, GrowthRules, type CountedBreath } from './grow';
export { grownTooFast } from './grown';
export { weekBefore } from './week-before';
export { BreathLoadRules, LOAD_RULES, loadFlags } from './load';
