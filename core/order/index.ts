/** Order: the quietest order of steps under a teacher's rules, how good it is, and which rule held it back. */
export { BREATH_SPOTS, ORDER_RULES, OrderRules, type BreathSpot } from './rules';
export {
  heldBack,
  MAX_MOVABLE,
  orderSteps,
  shareFromBest,
  tallyOfPlan,
  type Costed,
  type HeldBack,
  type Order,
  type OrderPlanned,
} from './order';
export { MAX_EXACT } from './exact';
export type { BrokenRule } from './kept';
export type { Tally } from './problem';
export { brokenInWords, heldBackInWords, proofInWords, savedInWords, TALLY_WORDS } from './words';
