import type { Strains } from '#core/body';
import type { Library, Position, Technique } from '#core/catalogue';
import type { SetUp } from '#core/props';
import type { Condition } from './condition';
import type { Rule } from './rule';

/** The knowledge that screening uses. */
export interface Knowledge {
  conditions: readonly Condition[];
  rules: readonly Rule[];
  library: Library;
  /** What alternatives may be chosen from. */
  positions: readonly Position[];
  techniques: readonly Technique[];
  /** What a position measures in a set-up; undefined if that is not known, and what the entry states counts. */
  strains(position: Position, setUp: SetUp): Strains | undefined;
}

/** The parts of a set-up that affect how the body lies. */
const shapeOf = (setUp: SetUp): string =>
  JSON.stringify(
    setUp
      .filter(({ optional }) => !optional)
      .map(({ kind, state, lie, place, side, count }) => [kind, state, lie, place, side, count].join())
      .sort(),
  );

/** The most demanding of several measures, each separately. */
const mostOf = (all: readonly Strains[]): Strains =>
  all.reduce((most, one) => ({
    headBelowHeartCm: Math.max(most.headBelowHeartCm, one.headBelowHeartCm),
    pelvisOverHeartCm: Math.max(most.pelvisOverHeartCm, one.pelvisOverHeartCm),
    kneeBendDegrees: Math.max(most.kneeBendDegrees, one.kneeBendDegrees),
    hipFoldDegrees: Math.max(most.hipFoldDegrees, one.hipFoldDegrees),
    armLiftDegrees: Math.max(most.armLiftDegrees, one.armLiftDegrees),
  }));

/**
 * Strains from a table of the named set-ups, by position and set-up. A set-up that is none of them is taken as the most
 * that any of the position's set-ups asks. Looked up once for each set-up.
 */
export function strainsFrom(table: (position: string, setUp: string) => Strains | undefined): Knowledge['strains'] {
  const known = new WeakMap<SetUp, Map<string, Strains | undefined>>();
  return (position, setUp) => {
    const ofSetUp = known.get(setUp) ?? new Map<string, Strains | undefined>();
    known.set(setUp, ofSetUp);
    if (!ofSetUp.has(position.id)) {
      const same = position.setUps.find(({ items }) => shapeOf(items) === shapeOf(setUp));
      const all = position.setUps.flatMap(({ id }) => table(position.id, id) ?? []);
      ofSetUp.set(position.id, (same && table(position.id, same.id)) ?? (all.length > 0 ? mostOf(all) : undefined));
    }
    return ofSetUp.get(position.id);
  };
}
