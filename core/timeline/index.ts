/** The timeline: a plan unfolded in time. The one place where time is added up. */
export { compileTimeline, totalsOfPlan } from './compile';
export { changeSeconds } from './change-seconds';
export { DEFAULT_RULES, rulesFor, TimelineRules } from './rules';
export { remainingEdit } from './remaining-edit';
export { phaseIndexAt } from './find';
export {
  ribbonBlocks,
  type Block,
  type HoldBlock,
  type OwnPaceBlock,
  type RetentionBlock,
  type StrokesBlock,
  type WaveBlock,
} from './blocks';
export { propShelf } from './shelf';
export { bellsOfGroup, sameGroup } from './bells';
export { breathInHold, turnsOf, usualChanges } from './hold';
export { momentMs } from './moment';
export { moveCue } from './moves';
export { BELL_KINDS, NOTE_KINDS } from './types';
export type {
  BellKind,
  BreathTimelinePhase,
  CountedBreathPhase,
  Phase,
  PhaseKind,
  PhaseSide,
  PromptCue,
  StepSpan,
  Timeline,
  Totals,
} from './types';
