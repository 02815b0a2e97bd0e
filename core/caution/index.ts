/** Cautions: conditions, what steps ask of a body, the rules between them, and the ways out. */
export { ASK_WORDS, SESSION_ASKS, TRAIT_UNITS, type Demands, type CautionTrait, type SessionAsk } from './demands';
export {
  CLASS_PEOPLE_FORMAT,
  CLASS_PEOPLE_VERSION,
  ClassPeople,
  decidedAt,
  InsteadOf,
  insteadOf,
  NOTHING_DECIDED,
  readClassPeople,
  Seen,
  SESSION_STEP,
  withInstead,
  withoutDecision,
  withoutPerson,
  withSeen,
} from './class-people';
export {
  CONDITION_AREAS,
  stateInWords,
  stateOn,
  type Condition,
  type ConditionArea,
  type ConditionState,
  type Degree,
} from './condition';
export { modifications, withoutHolding, type Easier } from './modifications';
export { inMind, toKnowAt, type InMind, type ToKnow } from './in-mind';
export { strainsFrom, type Knowledge } from './knowledge';
export { classMatrix, matrixCounts, openLevel, type Cell, type Matrix, type MatrixRow } from './matrix';
export { AREA_WORDS, screeningQuestions, type QuestionGroup } from './questions';
export { applies, LEVELS, worse, type Instead, type Level, type Rule, type RuleOn } from './rule';
export {
  generalCautions,
  planAsks,
  rulesFor,
  rulesOf,
  screen,
  screenGroup,
  screenStep,
  type ActiveRule,
  type Caution,
  type GeneralCaution,
  type PersonScreening,
  type PlanAsks,
  type SessionCaution,
  type StepScreening,
} from './screen';
export { sessionAsks, type SessionAsks } from './session-demands';
export { asksOf, asksOfBreath, asksOfPosition, FROM } from './traits';
export { versionFor, type Difference, type Version } from './version';
export { CONSENT, LEVEL_WORDS, NOT_ADVICE, NOTHING_KNOWN, STOP_SIGNS } from './words';
