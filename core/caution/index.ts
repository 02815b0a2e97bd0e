/** Cautions: conditions, what steps demand of a body, the rules between them, and the alternatives. */
export { CAUTION_TRAIT_WORDS, SESSION_DEMANDS, TRAIT_UNITS, type CautionTrait, type SessionDemand } from './demands';
export {
  ClassPeople,
  decidedAt,
  insteadOf,
  NOTHING_DECIDED,
  readClassPeople,
  SESSION_STEP,
  withInstead,
  withoutDecision,
  withoutPerson,
  withSeen,
} from './class-people';
export {
  stateInWords,
  stateOn,
  type Condition,
  type ConditionArea,
  type ConditionState,
  type Degree,
} from './condition';
export { modifications, withoutHolding } from './modifications';
export { inMind, remindersAt } from './in-mind';
export { strainsFrom, type Knowledge } from './knowledge';
export { classMatrix, matrixCounts, openLevel, type Cell, type Matrix, type MatrixRow } from './matrix';
export { AREA_WORDS, screeningQuestions } from './questions';
export { applies, LEVELS, worse, type Instead, type Level, type Rule, type RuleOn } from './rule';
export {
  generalCautions,
  planDemands,
  rulesFor,
  rulesOf,
  screen,
  screenGroup,
  screenStep,
  type Caution,
} from './screen';
export { demandsOf } from './traits';
export { versionFor } from './version';
export { CONSENT, LEVEL_WORDS, NOT_ADVICE, NOTHING_KNOWN, STOP_SIGNS } from './words';
