import type { Available } from '#core/props';
import type { Timeline } from '#core/timeline';
import { assignProps, type Assignment } from './assign';
import { momentsOf, propNeeds, type KindNeed, type Moment } from './moments';

export interface MetMoment extends Moment {
  assignment: Assignment;
}

/** What a plan needs for a group, and how the stock meets it. */
export interface Demand {
  needs: KindNeed[];
  moments: MetMoment[];
  /** The steps in which something needed stays unmet, by their place in the plan. */
  shortSteps: number[];
}

/** Needed pieces that stay unmet. */
export const unmetPieces = ({ unmet }: Assignment): number =>
  unmet.reduce((sum, { want, pieces }) => sum + (want.optional ? 0 : pieces), 0);

/** Pieces that are replaced by substitutes. */
export const insteadPieces = ({ given }: Assignment): number =>
  given.reduce((sum, { instead, pieces }) => sum + (instead ? pieces : 0), 0);

/** The steps in which something needed stays unmet. */
export const stepsShort = (moments: readonly MetMoment[]): number[] => [
  ...new Set(moments.filter(({ assignment }) => unmetPieces(assignment) > 0).map(({ stepIndex }) => stepIndex)),
];

/**
 * What the plan of a timeline needs for so many people at every moment, each moment met from the cupboard as well as it
 * can be. Pieces come back when a step is over, so moments do not take from each other.
 */
export function propDemand(timeline: Timeline, people: number, available: Available): Demand {
  const known = new Map<string, Assignment>();
  const moments = momentsOf(timeline, people).map((moment) => {
    const key = JSON.stringify(moment.wants);
    const assignment = known.get(key) ?? assignProps(moment.wants, available);
    known.set(key, assignment);
    return { ...moment, assignment };
  });
  return { needs: propNeeds(timeline, people), moments, shortSteps: stepsShort(moments) };
}
