/**
 * Chooses one of several lengths for each of many items so that they fill a given time best: for fitting a plan and for
 * catching up.
 */
export { solve, type Item, type Solution } from './solve';
