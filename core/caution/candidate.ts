import type { Approach, Position } from '#core/catalogue';
import type { Step } from '#core/plan';
import type { SetUp } from '#core/props';
import type { Body } from './knowledge';

/** What an alternative changes: the set-up, one thing left out, the position, the technique, or all of it for a rest. */
export type EasierKind = 'setUp' | 'without' | 'position' | 'technique' | 'rest';

export interface EasierOptions {
  approach: Approach;
  /** Whether the props of a set-up are at hand; without it they are taken to be. */
  atHand?: (setUp: SetUp) => boolean;
  /** Whose body it is, where it is known. */
  body?: Body | undefined;
  /** What others in the room do in the place of this step, by position: of two ways that are as good, that one. */
  others?: ReadonlySet<string>;
}

export interface Candidate {
  kind: EasierKind;
  step: Step;
  words: string;
  /** How close it is to the original; the highest first. */
  score: number;
}

/**
 * The base score of an alternative before likeness: whether the step stays the same, and whether a rule or the entry
 * names it.
 */
export const WORTH = {
  same: 4,
  like: 2,
  traits: 0.5,
  named: 0.4,
  first: 0.3,
  variation: 0.6,
  samePlace: 0.3,
  others: 0.02,
  watch: -1,
  rest: -9,
} as const;
/** Where one is in the room: a way out that needs no getting up or lying down is nearer. */
export const LYING: ReadonlySet<Position['family']> = new Set(['supine', 'prone', 'sideLying', 'wall']);
export const samePlace = (a: Position, b: Position): boolean => LYING.has(a.family) === LYING.has(b.family);

/** The share of traits that two entries have in common, from 0 to 1; a little where neither has any. */
export function traitsShared(a: readonly string[], b: readonly string[]): number {
  const all = new Set([...a, ...b]);
  return all.size === 0 ? 0.1 : a.filter((trait) => b.includes(trait)).length / all.size;
}

export const lower = (name: string): string => name.charAt(0).toLowerCase() + name.slice(1);
