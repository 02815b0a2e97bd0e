/** What is said in a plan, and when. */
export { positionScript, readAloud } from './entry';
export { scriptOf, type ScriptLine } from './script';
export { saidBetween, saidDuring } from './ways';
