import { classMatrix, measureSetUp, modifications, NOTHING_DECIDED, rulesOf, screenGroup } from '#core/caution';
import { personCondition, newPerson, type Person } from '#core/people';
import { breathFrom, emptyPlan, holdFrom, type Plan, type Step } from '#core/plan';
import { rowFor } from '#core/props';
import { builtInLibrary, POSITIONS, TECHNIQUES } from '#library';
import { builtInKnowledge, CONDITIONS, knowledgeWith } from '#library/cautions';
import { msFigure, percentile, timed, type Figure } from './measure';

const PEOPLE = 30;
const STEPS = 40;
const DAY = '2026-11-26';

const plan: Plan = {
  ...emptyPlan('Bench'),
  groupSize: PEOPLE,
  steps: Array.from({ length: STEPS }, (_, i): Step =>
    i % 5 === 4
      ? breathFrom(TECHNIQUES[(i * 7) % TECHNIQUES.length]!, `step-${i}`)
      : holdFrom(POSITIONS[(i * 3) % POSITIONS.length]!, 'restorative', `step-${i}`),
  ),
};
/** Each has three conditions, so that nearly every cell has something in it. */
const people = Array.from({ length: PEOPLE }, (_, i): { id: string; person: Person } => ({
  id: `person-${i}`,
  person: {
    ...newPerson(`Person ${i}`),
    conditions: [0, 1, 2].map((k) => {
      const { id } = CONDITIONS[(i * 3 + k * 11) % CONDITIONS.length]!;
      return personCondition(`${id}-${k}`, id);
    }),
  },
}));

/** Knowledge that has seen no set-up, and measures what no table has. */
const coldKnowledge = () => knowledgeWith(builtInLibrary, POSITIONS, TECHNIQUES, measureSetUp);
/** The plan with eight custom set-ups. */
const withOwn = (i: number): Plan => ({
  ...plan,
  steps: plan.steps.map((step, at) =>
    at % 5 === 0 && step.kind === 'hold'
      ? { ...step, setUp: [...step.setUp, rowFor('towel', 'head', 'centre', `own-${i}`)] }
      : { ...step },
  ),
});

/**
 * Screening: a long plan and a large group in which everyone has three conditions, and the alternatives for one cell.
 */
export function benchScreening(): Figure[] {
  const slowest = (work: (i: number) => void): number => {
    let i = 0;
    return percentile(
      timed(40, () => work(i++)),
      0.95,
    );
  };
  return [
    msFigure(
      `cautions, ${PEOPLE} people × ${STEPS} steps screened`,
      slowest(() => void screenGroup(plan, people, builtInKnowledge, DAY)),
      30,
    ),
    msFigure(
      'cautions, the same with nothing looked up yet, 8 custom set-ups to settle',
      slowest((i) => void screenGroup(withOwn(i), people, coldKnowledge(), DAY)),
      300,
    ),
    msFigure(
      'cautions, the same as the matrix with decisions',
      slowest(() => void classMatrix(plan, people, NOTHING_DECIDED, builtInKnowledge, DAY)),
      30,
    ),
    msFigure(
      'cautions, the easier ways of one cell',
      slowest((i) => {
        const { person } = people[i % PEOPLE]!;
        const { active } = rulesOf(person, builtInKnowledge, DAY);
        modifications(plan.steps[i % STEPS]!, active, builtInKnowledge, { approach: 'restorative' });
      }),
      30,
    ),
  ];
}
