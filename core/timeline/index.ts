/** The timeline: a plan unfolded in time. The one place where time is added up. */
export { compileTimeline } from './compile';
export { DEFAULT_RULES, TimelineRules } from './rules';
export { phaseIndexAt } from './find';
export {
  breathBlocks,
  ribbonBlocks,
  type Block,
  type BreathBlock,
  type HoldBlock,
  type OwnPaceBlock,
  type RetentionBlock,
  type StrokesBlock,
  type WaveBlock,
} from './blocks';
export { propShelf, type ShelfBand, type ShelfRow } from './shelf';
export { bellsOfGroup, sameGroup, type Stretch } from './bells';
export { breathInHold, turnsOf } from './hold';
export { momentMs } from './moment';
export { moveCue } from './moves';
export type {
  Bell,
  BellKind,
  BreathTimelinePhase,
  ChangePhase,
  CountedBreathPhase,
  HoldBreathSpan,
  HoldPhase,
  NoteKind,
  Phase,
  PhaseKind,
  PhaseSide,
  PromptCue,
  StepSpan,
  Timeline,
  TimelineNote,
  Totals,
} from './types';
