import {
  modifications,
  NOTHING_DECIDED,
  rulesOf,
  screen,
  wholeCaution,
  withInstead,
  withSeen,
  type ClassPeople,
} from '#core/caution';
import { builtInKnowledge } from '../cautions';
import { demoPeople } from './people';
import { DEMO_PLANS } from './plans';

const BY = 'Wren';
const AT = '2026-11-24T20:10:00.000Z';
const PLAN = 'demo-nurses';

/** What the teacher has decided already for two of the nurses: one does something else, one was seen and left. */
function decided(): ClassPeople {
  const plan = DEMO_PLANS.find(({ id }) => id === PLAN)?.plan;
  if (!plan) throw new RangeError(`No demo plan “${PLAN}”.`);
  const day = (plan.startsAt ?? '2026-11-26').slice(0, 10);
  let decisions = NOTHING_DECIDED;
  const of = (personId: string) => {
    const person = demoPeople.find(({ id }) => id === personId)?.person;
    if (!person) throw new RangeError(`No demo person “${personId}”.`);
    const { active } = rulesOf(person, builtInKnowledge, day);
    return { active, steps: screen(plan, person, builtInKnowledge, day).steps };
  };
  const bryony = of('demo-bryony');
  const [careful] = bryony.steps.filter(({ level }) => level === 'avoid' || level === 'change');
  const step = plan.steps.find(({ id }) => id === careful?.stepId);
  const [way] = step ? modifications(step, bryony.active, builtInKnowledge, { approach: plan.approach }) : [];
  if (step && way) {
    decisions = withInstead(decisions, { personId: 'demo-bryony', stepId: step.id, step: way.step, by: BY, at: AT });
  }
  const [watched] = of('demo-nurse-2').steps.filter(({ level }) => level === 'watch');
  if (watched) {
    const rules = watched.cautions.flatMap(wholeCaution).map(({ rule }) => rule.id);
    decisions = withSeen(decisions, { personId: 'demo-nurse-2', stepId: watched.stepId, rules, by: BY, at: AT });
  }
  return decisions;
}

/** What was decided for single people, by the plan; worked out when it is asked for. */
export const demoDecided = (): ReadonlyMap<string, ClassPeople> => new Map([[PLAN, decided()]]);
