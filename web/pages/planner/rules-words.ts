import type { PlanRules } from '#core/plan';

const FIRST: Record<PlanRules['firstSide'], string> = {
  left: 'Left first',
  right: 'Right first',
  byDate: 'First side in turn, by date',
};

/** The rules of a plan in a line: `Left first · setting up 8 s and 6 s a prop · changes as in the library`. */
export function rulesInWords(rules: PlanRules): string {
  const { firstSide, rollTo, setupBaseSeconds, setupPerMoveSeconds, changesPercent } = rules;
  return [
    FIRST[firstSide],
    ...(rollTo ? [`roll to the ${rollTo}`] : []),
    `setting up ${setupBaseSeconds} s and ${setupPerMoveSeconds} s a prop`,
    changesPercent === 100 ? 'getting in and out as in the library' : `getting in and out at ${changesPercent} %`,
  ].join(' · ');
}
