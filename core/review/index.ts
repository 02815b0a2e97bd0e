/** The record: what was planned against what was done, in one session and over weeks. */
export { compareRun, type RunRecord, type SideRecord } from './compare';
export { saidOf } from './said';
export { astray, type AstrayRow } from './astray';
export { happenedIn, type Happened } from './happened';
export { takeTimes, timesTaken, type TakenTime } from './take-times';
export { tellingSentence } from './sentence';
export { practisedOfEntry, practisedOfRun, type Practised } from './practised';
export {
  areasByWeek,
  betweens,
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
export { areasSaid, betweensSaid, breathSaid, plannedSaid, sidesSaid, strengthSaid } from './weeks-said';
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
