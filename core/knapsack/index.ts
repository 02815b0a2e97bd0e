/** One of several lengths for each of many things, so that they fill a room best: for fitting a plan and for catching up. */
export { solve, type Item, type Solution } from './solve';
