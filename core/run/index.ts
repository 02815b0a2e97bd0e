/** A live session: a pure function of its events and the clock. */
export { MEASURED_FROM, RunEvent, type MeasuredFrom, type RunEventKind } from './events';
export {
  BreathReview,
  Correction,
  EASE,
  EMPTY_REVIEW,
  PROP_HEIGHT,
  RunReview,
  TIGHTER,
  type LengthCorrection,
  type StepReview,
} from './review';
export { applyEvent, foldRun, ledSpans, runAt, runBefore } from './fold';
export type { DoneSpan, Run } from './run';
export { endOfLeftRunning, runState, stateAt, type RunState } from './state';
export { cuesAhead, type Cue } from './cues';
export { catchUp, type CatchUp } from './catch-up';
export { comingUp, stepsToCome, type Coming } from './coming';
export { ledPhases } from './led';
export { nextStop, previousStop, stops } from './stops';
export { secondSideGapMs } from './second-side';
export { effectiveEvents } from './effective';
export { matchedSteps } from './matched';
export { EVENT_VERSION, readStoredEvent, storedEvent } from './read-event';
