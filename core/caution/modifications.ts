import { restStep, type Step } from '#core/plan';
import { WORTH, type Candidate, type EasierKind, type EasierOptions } from './candidate';
import { wholeCaution, type Caution } from './caution';
import { insteadOfBreath } from './instead-of-breath';
import { insteadOfHold } from './instead-of-hold';
import type { Knowledge } from './knowledge';
import type { Level } from './rule';
import { screenStep, type ActiveRule } from './screen';
import { demandsOf } from './traits';

/**
 * An alternative for someone: a step that can replace another and needs no change or omission.
 */
export interface Easier {
  kind: EasierKind;
  step: Step;
  /** In a few words: `Calves on a chair, on a chair`. */
  words: string;
  /** What remains to be watched; null if nothing does. */
  level: Extract<Level, 'watch'> | null;
  cautions: readonly Caution[];
}

const MOST: Record<EasierKind, number> = { without: 2, setUp: 2, position: 3, technique: 2, rest: 1 };
/** Whether something that was to be watched is no more. */
const gainsOn = (before: readonly Caution[], after: readonly Caution[]): boolean => {
  const left = new Set(after.flatMap(wholeCaution).map(({ rule }) => rule.id));
  return before.flatMap(wholeCaution).some(({ rule }) => !left.has(rule.id));
};

/**
 * Easier ways in the place of a step for whom these rules apply, the nearest first: the same in another set-up or
 * without something, another position or technique that is like it, in the same place in the room, or that a rule names.
 * Only what asks for no change any more, and that by a margin; nothing to watch before something to watch. A rest, as is
 * easy, is always the last. `active` as given by `rulesOf`.
 */
export function modifications(
  step: Step,
  active: readonly ActiveRule[],
  knowledge: Knowledge,
  options: EasierOptions,
): Easier[] {
  if (step.kind !== 'hold' && step.kind !== 'breath') return [];
  const { level, cautions } = screenStep(step, demandsOf(step, knowledge, options.body), active);
  const named = new Set(
    cautions
      .flatMap(wholeCaution)
      .flatMap(({ rule: { instead } }) => [...(instead.positions ?? []), ...(instead.techniques ?? [])]),
  );
  const candidates =
    step.kind === 'hold'
      ? insteadOfHold(step, named, knowledge, options)
      : insteadOfBreath(step, named, knowledge, options);
  const resting: Candidate = {
    kind: 'rest',
    step: { ...restStep(step.id, 'Rest, as is easy'), setUp: [], note: step.note },
    words: 'Rest, as is easy',
    score: WORTH.rest,
  };
  const clean = [...candidates, resting]
    .flatMap((candidate) => {
      const found = screenStep(candidate.step, demandsOf(candidate.step, knowledge, options.body), active);
      const careful = screenStep(candidate.step, demandsOf(candidate.step, knowledge, options.body, true), active);
      if ([found.level, careful.level].some((level) => level === 'avoid' || level === 'change')) return [];
      if (level === 'watch' && !gainsOn(cautions, found.cautions)) return [];
      const left = found.level === 'watch' ? found.level : null;
      const score = candidate.score + (left === null ? 0 : WORTH.watch);
      return [{ ...candidate, score, level: left, cautions: found.cautions }];
    })
    .sort((a, b) => b.score - a.score);
  const found: Easier[] = [];
  const keys = new Set<string>();
  for (const { kind, step: other, words, level: remaining, cautions: left } of clean) {
    const key = kind === 'position' && other.kind === 'hold' ? other.position : words;
    const isFull = found.filter((one) => one.kind === kind).length >= MOST[kind];
    if (isFull || keys.has(key)) continue;
    keys.add(key);
    found.push({ kind, step: other, words, level: remaining, cautions: left });
  }
  return found;
}
