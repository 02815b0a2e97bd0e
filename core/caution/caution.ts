import type { Condition } from './condition';
import { LEVELS, type Level, type Rule } from './rule';

/** One caution of a person at a step, or for the whole class. */
export interface Caution {
  rule: Rule;
  condition: Condition;
  level: Level;
  /** What was measured or counted, in words: `27 cm`; empty if it is stated, not measured. */
  measured: string;
  /** The place of the earlier step of the class (from 0) where the same was said already. */
  earlier?: number;
  /** What comes to the same here: of one thing for one condition, or with the same advice for another. */
  also: readonly Caution[];
}

/** A caution with all that comes to the same. */
export const wholeCaution = (caution: Caution): Caution[] => [caution, ...caution.also.flatMap(wholeCaution)];
/** The reasons of a caution, the strongest first, each once. */
export const reasonsOf = (caution: Caution): string[] => [
  ...new Set(wholeCaution(caution).map(({ rule }) => rule.reason)),
];
/** The conditions behind a caution, each once. */
export const conditionsOf = (caution: Caution): Condition[] => [
  ...new Set(wholeCaution(caution).map(({ condition }) => condition)),
];

/** The cautions of one step, the most careful first; `level` is the worst, null if there is none. */
export interface StepScreening {
  stepId: string;
  level: Level | null;
  cautions: readonly Caution[];
}

/** A caution that belongs to no single step, with the steps it comes from. */
export interface SessionCaution extends Caution {
  steps: readonly number[];
}

/** Sorts cautions: the most careful first. */
export const byLevel = (a: Caution, b: Caution): number => LEVELS.indexOf(b.level) - LEVELS.indexOf(a.level);

/** Joins cautions with the same key: the most careful, which comes first, with the others that come to the same. */
export function joined(cautions: readonly Caution[], keyOf: (caution: Caution) => string): Caution[] {
  const found = new Map<string, Caution>();
  for (const caution of cautions) {
    const key = keyOf(caution);
    const known = found.get(key);
    found.set(key, known ? { ...known, also: [...known.also, caution] } : caution);
  }
  return [...found.values()];
}
