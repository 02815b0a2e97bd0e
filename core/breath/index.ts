/** Breath: what a practice is, how it unfolds in time, what it costs, how it fits, and which ratios suit whom. */
export { BREATH_LIMITS, BreathPart, BreathPractice, BreathSet, CyclePart, OwnPacePart, Through } from './practice';
export { partMs, practiceMs, roundMs } from './practice';
export { breathProgram, type BreathPhase, type CountedPhase, type OwnPacePhase, type QuietPhase } from './program';
export { breathCost, type BreathCost } from './cost';
export { fitBreath, type BreathFit, type FitOptions } from './fit';
export { LADDER, Ratio, ratioInWords, readRatio, Rung, type ReadRatio } from './ladder';
export {
  comfortableCount,
  LEAST_BREATHS,
  LEAST_COUNT_SECONDS,
  medianOf,
  ratioOffers,
  type MeasuredBreath,
  type RatioOffer,
} from './comfortable';
export { GROWTH, growthRefusals, type CountedBreath, type GrowthRules } from './grow';
export { LOAD_RULES, loadFlags, type BreathLoadRules, type LoadFlag } from './load';
