/** Cautions: conditions, what steps demand of a body, the rules between them, and the alternatives. */
export { conditionsOf, reasonsOf, wholeCaution, type Caution } from './caution';
export {
  CAUTION_TRAIT_WORDS,
  FROM,
  MEASURED_TRAITS,
  SESSION_DEMANDS,
  TRAIT_UNITS,
  type CautionTrait,
  type SessionDemand,
} from './demands';
export {
  ClassPeople,
  peopleOn,
  decidedAt,
  insteadOf,
  NOTHING_DECIDED,
  readClassPeople,
  SESSION_STEP,
  withGuest,
  withInstead,
  withoutDecision,
  withoutPerson,
  withCheckIn,
  withSeen,
  type Guest,
} from './class-people';
export {
  stateInWords,
  stateOn,
  type Condition,
  type ConditionArea,
  type ConditionState,
  type Degree,
} from './condition';
export { conditionsLike, nearestConditions } from './find-conditions';
export { measureSetUp } from './measure';
export { modifications } from './modifications';
export { inMind, remindersAt, stageLines, type StageLine } from './in-mind';
export { bodyOf, strainsFrom, type Knowledge, type ToMeasure } from './knowledge';
export { classMatrix, matrixCounts, openLevel, type Cell, type Matrix, type MatrixRow } from './matrix';
export { answersOfDemands, demandsOfAnswers, LYING_HOW, WEIGHT_ON, type QuickAnswers } from './quick-questions';
export { AREA_WORDS, screeningQuestions } from './questions';
export { applies, LEVELS, worse, type Instead, type Level, type Rule, type RuleOn } from './rule';
export { generalCautions, planDemands, rulesFor, rulesOf, screen, screenGroup, screenStep } from './screen';
export { suitsGroup } from './suits';
export { demandsOf, isUnscreened } from './traits';
export { versionFor } from './version';
export { withoutHolding } from './without-holding';
export { CONSENT, LEVEL_WORDS, NOT_ADVICE, NOTHING_KNOWN, STOP_SIGNS } from './words';
