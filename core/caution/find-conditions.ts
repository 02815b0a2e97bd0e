import { matchScore, nameLikeness } from '#core/catalogue';
import type { Condition } from './condition';

const namesOf = ({ name, terms, alsoCalled }: Condition): string[] => [name, ...terms.split(', '), ...alsoCalled];

const NEAREST = 3;

/**
 * The conditions that fit what somebody typed, the best first: by their names, the medical terms and what people call
 * them, with a letter or two wrong. All of them, in their order, where nothing was typed.
 */
export function conditionsLike(typed: string, conditions: readonly Condition[]): Condition[] {
  if (typed.trim() === '') return [...conditions];
  return conditions
    .map((condition) => ({ condition, score: matchScore(typed, namesOf(condition)) }))
    .filter(({ score }) => score > 0)
    .sort((a, b) => b.score - a.score)
    .map(({ condition }) => condition);
}

/** The three conditions whose names are nearest to what was typed: to ask back where none of them fits. */
export const nearestConditions = (typed: string, conditions: readonly Condition[]): Condition[] =>
  conditions
    .map((condition) => {
      // A word of it may be meant: “bad discs” is nearer to “disc” than to any whole name.
      const words = typed.split(/\s+/).filter((word) => word.length > 3);
      const names = namesOf(condition);
      const inWords = [...names, ...names.flatMap((name) => name.split(/[\s/-]+/))];
      const near = Math.max(...[typed, ...words].map((one) => nameLikeness(one, inWords)));
      return { condition, near };
    })
    .sort((a, b) => b.near - a.near)
    .slice(0, NEAREST)
    .map(({ condition }) => condition);
