import type { ConditionState } from './condition';
import type { CautionTrait, SessionDemand } from './demands';

/** How careful to be: watch, change, or avoid. From the least to the most. */
export const LEVELS = ['watch', 'change', 'avoid'] as const;
export type Level = (typeof LEVELS)[number];

/** The more careful of two levels; null is none. */
export const worse = (a: Level | null, b: Level | null): Level | null =>
  a === null ? b : b === null ? a : LEVELS.indexOf(a) > LEVELS.indexOf(b) ? a : b;

/** What to do instead, and where to look for an alternative first. */
export interface Instead {
  /** In one plain sentence. */
  words: string;
  positions?: readonly string[];
  techniques?: readonly string[];
}

/** What a rule examines: what a step demands of a body, one library entry, or the whole class. */
export type RuleOn =
  /** From `atLeast` on, in the unit of the trait; any amount if it is not given. */
  | { kind: 'trait'; trait: CautionTrait; atLeast?: number }
  | { kind: 'position'; position: string }
  | { kind: 'technique'; technique: string }
  | { kind: 'session'; of: SessionDemand; atLeast?: number };

/** A caution: a condition, what it examines, how careful to be, why, and what to do instead. */
export interface Rule {
  id: string;
  condition: string;
  /** Only in these degrees; in all of them if none is given. */
  degrees?: readonly string[];
  /** Only in these weeks of a pregnancy: from the first, before the second. */
  weeks?: readonly [from: number, before: number];
  /** Only before so many months have gone by. */
  beforeMonths?: number;
  /** Only after so many months have gone by. */
  fromMonths?: number;
  on: RuleOn;
  level: Level;
  /** The same change is made wherever it applies: at several steps of a class it is said and decided once. */
  once?: boolean;
  /** In one plain sentence. */
  reason: string;
  instead: Instead;
}

/** Whether a rule applies to the state of a condition. The unknown is treated with more care: the rule applies. */
export function applies(rule: Rule, { condition, degree, weeks, months }: ConditionState): boolean {
  if (rule.condition !== condition) return false;
  if (rule.degrees && degree !== null && !rule.degrees.includes(degree)) return false;
  if (rule.weeks && weeks !== null && (weeks < rule.weeks[0] || weeks >= rule.weeks[1])) return false;
  if (rule.beforeMonths !== undefined && months !== null && months >= rule.beforeMonths) return false;
  return rule.fromMonths === undefined || months === null || months >= rule.fromMonths;
}
