/** Breath: what a practice is, how it unfolds in time, and what it costs. */
export { BREATH_LIMITS, BreathPart, BreathPractice, BreathSet, CyclePart, OwnPacePart, Through } from './practice';
export { partMs, practiceMs, roundMs } from './practice';
export { breathProgram, type BreathPhase, type CountedPhase, type OwnPacePhase, type QuietPhase } from './program';
export { breathCost, type BreathCost } from './cost';
