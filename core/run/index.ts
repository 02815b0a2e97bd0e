/** A live session: a pure function of what happened and the clock. */
export { RunEvent, type RunEventKind } from './events';
export { foldRun, heldMs, ledSpans, secondSideGapMs, type DoneSpan, type Run, type RunStatus } from './fold';
export { runState, stateAt, type RunState } from './state';
export { cuesAhead, type Cue } from './cues';
export { catchUp, type CatchUp, type Refitted } from './catch-up';
export { comingUp, type Coming } from './coming';
export { ledPhases } from './led';
export { nextStop, previousStop, stops } from './stops';
export { groupAround, type Group, type Queue } from './queue';
