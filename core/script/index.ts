/** What is said in a plan, and when. */
export { positionScript } from './entry';
export { scriptOf, type ScriptLine } from './script';
export { saidBetween, saidDuring } from './ways';
