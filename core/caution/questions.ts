import { CONDITION_AREAS, type Condition, type ConditionArea } from './condition';
import type { Knowledge } from './knowledge';

/** The areas of the screening form, in its order and in plain words. */
export const AREA_WORDS: Record<ConditionArea, string> = {
  pregnancy: 'Pregnancy and birth',
  heartAndBlood: 'Heart and blood',
  head: 'Eyes, ears and head',
  breathing: 'Breathing',
  belly: 'Belly, chest and operations',
  back: 'Back and neck',
  joints: 'Joints',
  nerves: 'Nerves, mood and strength',
  today: 'Today',
};

/** A part of the screening form. */
export interface QuestionGroup {
  area: ConditionArea;
  title: string;
  questions: readonly Condition[];
}

/**
 * What the screening form asks: each condition that a rule uses, by area. Degrees and times are only asked for where a
 * rule depends on them.
 */
export function screeningQuestions({ conditions, rules }: Pick<Knowledge, 'conditions' | 'rules'>): QuestionGroup[] {
  const relevant = conditions.flatMap((condition): Condition[] => {
    const own = rules.filter((rule) => rule.condition === condition.id);
    if (own.length === 0) return [];
    const timed = own.some((rule) => rule.weeks ?? rule.beforeMonths ?? rule.fromMonths);
    const graded = own.some(({ degrees }) => degrees !== undefined);
    return [{ ...condition, since: timed ? condition.since : 'none', degrees: graded ? condition.degrees : [] }];
  });
  return CONDITION_AREAS.map((area) => ({
    area,
    title: AREA_WORDS[area],
    questions: relevant.filter((condition) => condition.area === area),
  })).filter(({ questions }) => questions.length > 0);
}
