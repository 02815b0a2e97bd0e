/** The plan: the document, its limits, its named edits, undo, and reading it from outside. */
export { PLAN_LIMITS } from './limits';
export { MAX_PHASES, phasesOfStep } from './phases';
export { PLAN_FORMAT, OrderPair, PLAN_VERSION, Plan, emptyPlan } from './plan';
export {
  BreathMoves,
  BreathStep,
  FIT_WEIGHTS,
  FirstSide,
  FitWeight,
  HoldBreath,
  HoldSides,
  HoldStep,
  MoveStep,
  Prompt,
  Rebound,
  RestStep,
  SideLength,
  OtherSetUp,
  Stage,
  Step,
  TalkStep,
} from './step';
export type { PlainStep, StepKind } from './step';
export { readPlan } from './read';
export { applyEdit, type EditResult, type PlanEdit } from './edit';
export {
  addStep,
  changeStep,
  duplicateStep,
  moveStepTo,
  removeStep,
  setDetails,
  setOrderPairs,
  replacePosition,
  setOtherSetUp,
  setSetUp,
  takeSetUp,
  takeVariant,
  setStepCommon,
} from './step-edits';
export {
  setBreathSeconds,
  setEven,
  setFirstSide,
  setOnlySide,
  setHold,
  setHoldSeconds,
  setSidesKind,
  sideSeconds,
  type Side,
} from './hold-edits';
export {
  breathFrom,
  breathMovesOf,
  holdBreathFrom,
  holdDefaults,
  holdFrom,
  holdNamed,
  moveStep,
  restStep,
  talkStep,
} from './new-step';
export { selfContained } from './self-contained';
export {
  adoptEntries,
  entriesOf,
  MAX_FILE_ENTRIES,
  planFile,
  readPlanFile,
  type PlanFile,
  type ReadPlanFile,
} from './file';
export { PLAN_FIELDS, planChanges, PlanChange, restoreVersion, STEP_FACETS, type StepLengths } from './changes';
