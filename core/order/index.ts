/** Order: the quietest order of steps under a teacher's rules, how good it is, and which rule held it back. */
export { BREATH_SPOTS, ORDER_RULES, OrderRules, type BreathSpot } from './rules';
export { heldBack, MAX_MOVABLE, orderSteps, shareFromBest, tallyOfPlan, type HeldBack, type Order } from './order';
export type { Tally } from './problem';
export { brokenInWords, heldBackInWords, proofInWords, savedInWords, TALLY_WORDS } from './words';
