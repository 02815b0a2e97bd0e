/** A live session: a pure function of what happened and the clock. */
export { RunEvent, type RunEventKind } from './events';
export {
  Correction,
  EMPTY_REVIEW,
  PROP_HEIGHT,
  RunReview,
  TIGHTER,
  type LengthCorrection,
  type StepReview,
} from './review';
export { foldRun, heldMs, ledSpans, runAt, secondSideGapMs, type DoneSpan, type Run, type RunStatus } from './fold';
export { runState, stateAt, type RunState } from './state';
export { cuesAhead, type Cue } from './cues';
export { catchUp, type CatchUp, type Refitted } from './catch-up';
export { comingUp, stepsToCome, type Coming } from './coming';
export { ledPhases } from './led';
export { matchedSteps } from './matched';
export { nextStop, previousStop, stops } from './stops';
export { groupAround, type Group, type Queue } from './queue';
