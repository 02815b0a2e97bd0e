/** The plan: the document, its limits, its named edits, undo, and reading it from outside. */
export { PLAN_LIMITS } from './limits';
export { PlanRules, USUAL_PLAN_RULES } from './plan-rules';
export { MAX_PHASES, phasesOfStep } from './phases';
export { PLAN_VERSION, Plan, emptyPlan } from './plan';
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
  Moment,
  Prompt,
  Rebound,
  RestStep,
  STEP_KINDS,
  OtherSetUp,
  Stage,
  Step,
  TalkStep,
} from './step';
export type { PlainStep, StepKind } from './step';
export { setLengthOfHold } from './short-hold';
export { sideMeaning, sideNamed } from './side-meaning';
export { readPlan } from './read';
export { stepFromBefore9 } from './migrations';
export { ChosenLength, PlanEdit, readPlanEdit, undoKey, type StepLength } from './edits';
export { applyEdit, editedPlan, withLengths } from './apply-edit';
export { invertEdit } from './invert-edit';
export {
  addStep,
  duplicateStep,
  moveStepTo,
  removeStep,
  replacePosition,
  replaceStep,
  restoreVersion,
  setBreath,
  setBreathSeconds,
  setDetails,
  setEven,
  setFirstSide,
  setHold,
  setHoldSeconds,
  setOnlySide,
  setOrderPairs,
  setOtherSetUp,
  setSeconds,
  setSetUp,
  setSidesKind,
  setStepCommon,
  several,
  takeFit,
  takeOrder,
  takeSetUp,
  takeVariant,
} from './make-edits';
export {
  chosenSteps,
  duplicateSteps,
  insertSteps,
  removeSteps,
  setLengthOfAll,
  scaleHolds,
  setRangeOfAll,
  shiftSteps,
  toggleLocks,
} from './chosen-steps';
export { copiedSteps, readCopiedSteps, STEPS_FORMAT, STEPS_MEDIA_TYPE } from './clipboard';
export { seatBefore, withSeatBefore } from './breath-seat';
export { setClassWhere, setStepWhere, setUpsToChange, newWhereInWords, whereOf } from './where';
export { positionOfStage, setUpOfStage, stagesSeconds } from './stage-set-up';
export { readStages, stagesAsTyped } from './typed-stages';
export { practiceOf } from './practice-of';
export { mapSides, sideSeconds, type Side } from './sides';
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
export { adoptEntries, entriesOf, MAX_FILE_ENTRIES, planFile, readPlanFile, type PlanFile } from './file';
export { planChanges, PlanChange, type StepLengths } from './changes';
