/** The record: what was planned against what was done, in one session and over weeks. */
export { compareRun, type RunRecord, type SideRecord } from './compare';
export { annotationsOf } from './annotations';
export { deviations, type DeviationRow } from './deviations';
export { runLog, type RunLogEntry } from './run-log';
export { adoptTimes, adoptedTimes, type AdoptedTime } from './adopt-times';
export { comparisonInWords } from './sentence';
export { closedGates, easySessions, ladderGates, sessionsOfGroup, type EasyBreath, type RungGate } from './easy-breath';
export { practisedOfEntry, practisedOfRun, type Practised } from './practised';
export {
  areasByWeek,
  transitionTimes,
  breathBySession,
  correlation,
  EVERYTHING,
  filterPractised,
  plannedAndDone,
  sidesByWeek,
  strengthAgainstLength,
  type AreaWeeks,
  type PractisedFilter,
} from './weeks';
export {
  areasInWords,
  transitionTimesInWords,
  breathTrendInWords,
  plannedInWords,
  sidesInWords,
  strengthInWords,
} from './weeks-in-words';
export { PACE_KINDS, paceOfRun, pacesOf, type PaceOfRun, type Paces } from './pace';
export {
  basisInWords,
  chanceInWords,
  forecastFinish,
  forecastInWords,
  pacesInWords,
  SIMULATED,
  type Forecast,
  type PaceLine,
} from './forecast';
