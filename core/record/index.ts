/** The record: what was planned against what was done. */
export { compareRun, type Planned, type RunRecord, type SideRecord, type StepRecord } from './compare';
export { tellingSentence } from './sentence';
