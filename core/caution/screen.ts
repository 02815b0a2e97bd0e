import { clockOfSeconds } from '#core/time';
import type { Person } from '#core/people';
import type { Plan, Step } from '#core/plan';
import { TRAIT_UNITS, type Demands, type CautionTrait } from './demands';
import { stateInWords, stateOn, type Condition, type ConditionState } from './condition';
import type { Knowledge } from './knowledge';
import { applies, LEVELS, worse, type Level, type Rule } from './rule';
import { sessionDemands, type SessionDemands } from './session-demands';
import { demandsOf } from './traits';

/** One caution of a person at a step, or for the whole class. */
export interface Caution {
  rule: Rule;
  condition: Condition;
  level: Level;
  /** What was measured or counted, in words: `27 cm`; empty if it is stated, not measured. */
  measured: string;
}

/** The cautions of one step, the most careful first; `level` is the worst, null if there is none. */
export interface StepScreening {
  stepId: string;
  level: Level | null;
  cautions: readonly Caution[];
}

/** A caution that belongs to no single step, with the steps it comes from. */
interface SessionCaution extends Caution {
  steps: readonly number[];
}

/** The screening of one person against a plan. */
export interface PersonScreening {
  steps: readonly StepScreening[];
  session: readonly SessionCaution[];
  /** Conditions that no rule knows; they are not screened. */
  notScreened: readonly string[];
  /** What is kept with a date that cannot be right any more, in words: it is screened as if the date were not known. */
  stale: readonly string[];
}

/** What a plan demands, step by step and in total: computed once for any number of people. */
export interface PlanDemands {
  steps: readonly { step: Step; asks: Demands }[];
  session: SessionDemands;
}

/** The demands of a plan. */
export function planDemands(plan: Plan, knowledge: Knowledge): PlanDemands {
  const steps = plan.steps.map((step) => ({ step, asks: demandsOf(step, knowledge) }));
  return {
    steps,
    session: sessionDemands(
      plan,
      steps.map(({ asks }) => asks),
      knowledge,
    ),
  };
}

/** A rule that applies to a person today. */
export interface ActiveRule {
  rule: Rule;
  condition: Condition;
}

/** The rules that apply to conditions as they are. */
export function rulesFor(
  states: readonly ConditionState[],
  { conditions, rules }: Pick<Knowledge, 'conditions' | 'rules'>,
): ActiveRule[] {
  return states.flatMap((state) => {
    const condition = conditions.find(({ id }) => id === state.condition);
    return condition ? rules.filter((rule) => applies(rule, state)).map((rule) => ({ rule, condition })) : [];
  });
}

/**
 * The rules that apply to a person on a day (`2026-11-26`), the conditions that no rule is known for, and those whose
 * recorded date cannot be right any more.
 */
export function rulesOf(
  { conditions }: Pick<Person, 'conditions'>,
  knowledge: Pick<Knowledge, 'conditions' | 'rules'>,
  day: string,
): { active: ActiveRule[]; notScreened: string[]; stale: string[] } {
  const states: ConditionState[] = [];
  const notScreened: string[] = [];
  const stale: string[] = [];
  for (const ofPerson of conditions) {
    const known = knowledge.conditions.find(({ id }) => id === ofPerson.condition);
    if (known) {
      const state = stateOn(ofPerson, known, day);
      states.push(state);
      if (state.stale) stale.push(stateInWords(state, known));
    } else notScreened.push(ofPerson.words || ofPerson.condition);
  }
  return { active: rulesFor(states, knowledge), notScreened, stale };
}

function amountInWords(trait: CautionTrait, value: number): string {
  const unit = TRAIT_UNITS[trait];
  if (unit === undefined || value === Infinity) return '';
  return unit === 's' ? clockOfSeconds(value) : unit === '°' ? `${value}°` : `${value} ${unit}`;
}

/** Whether a rule has something to say of a step; how much it found, in words. */
function foundIn({ on }: Rule, step: Step, asks: Demands): string | undefined {
  if (on.kind === 'trait') {
    const value = asks.get(on.trait);
    return value !== undefined && value >= (on.atLeast ?? 0) ? amountInWords(on.trait, value) : undefined;
  }
  if (on.kind === 'position') {
    const position = step.kind === 'hold' ? step.position : step.kind === 'breath' ? step.moves?.position : undefined;
    return position === on.position ? '' : undefined;
  }
  if (on.kind === 'technique') {
    const technique =
      step.kind === 'breath' ? step.technique : step.kind === 'hold' ? step.breath?.technique : undefined;
    return technique === on.technique ? '' : undefined;
  }
  return undefined;
}

const byLevel = (a: Caution, b: Caution): number => LEVELS.indexOf(b.level) - LEVELS.indexOf(a.level);

/**
 * The cautions of one step for whom these rules apply. Of several that one condition has for the same trait the most
 * careful stands alone.
 */
export function screenStep(step: Step, asks: Demands, active: readonly ActiveRule[]): StepScreening {
  const found = new Map<string, Caution>();
  for (const { rule, condition } of active) {
    const measured = foundIn(rule, step, asks);
    if (measured === undefined) continue;
    const key = `${condition.id} ${rule.on.kind === 'trait' ? rule.on.trait : rule.on.kind}`;
    const known = found.get(key);
    if (!known || worse(known.level, rule.level) !== known.level) {
      found.set(key, { rule, condition, level: rule.level, measured });
    }
  }
  const cautions = [...found.values()].sort(byLevel);
  return { stepId: step.id, level: cautions[0]?.level ?? null, cautions };
}

const COUNTED: Record<keyof SessionDemands, (amount: number) => string> = {
  flatRest: (seconds) => clockOfSeconds(Math.round(seconds)),
  strokes: (count) => `${count} pumps`,
  retention: (seconds) => clockOfSeconds(Math.round(seconds)),
  gettingUp: (times) => (times === 1 ? 'once' : `${times} times`),
  prone: (seconds) => clockOfSeconds(Math.round(seconds)),
  length: (seconds) => clockOfSeconds(Math.round(seconds)),
};

function screenSession(session: SessionDemands, active: readonly ActiveRule[]): SessionCaution[] {
  return active
    .flatMap(({ rule, condition }): SessionCaution[] => {
      if (rule.on.kind !== 'session') return [];
      const { amount, steps } = session[rule.on.of];
      if (amount === 0 || amount < (rule.on.atLeast ?? 0)) return [];
      return [{ rule, condition, level: rule.level, measured: COUNTED[rule.on.of](amount), steps }];
    })
    .sort(byLevel);
}

/** Screens a person against the demands of a plan, on a day. */
function screenAgainst(
  demands: PlanDemands,
  person: Pick<Person, 'conditions'>,
  knowledge: Knowledge,
  day: string,
): PersonScreening {
  const { active, notScreened, stale } = rulesOf(person, knowledge, day);
  return {
    steps: demands.steps.map(({ step, asks }) => screenStep(step, asks, active)),
    session: screenSession(demands.session, active),
    notScreened,
    stale,
  };
}

/**
 * Screens a person against a plan on a day (`2026-11-26`): cautions by step and for the class, each with its reason.
 */
export const screen = (
  plan: Plan,
  person: Pick<Person, 'conditions'>,
  knowledge: Knowledge,
  day: string,
): PersonScreening => screenAgainst(planDemands(plan, knowledge), person, knowledge, day);

/** Screens everyone of a group against a plan: people in the given order. */
export function screenGroup<P extends Pick<Person, 'conditions'>>(
  plan: Plan,
  people: readonly { id: string; person: P }[],
  knowledge: Knowledge,
  day: string,
): { personId: string; person: P; screening: PersonScreening }[] {
  const demands = planDemands(plan, knowledge);
  return people.map(({ id, person }) => ({
    personId: id,
    person,
    screening: screenAgainst(demands, person, knowledge, day),
  }));
}

/** A general caution of a step: the conditions it is said of, and the reasons, for whoever comes. */
export interface GeneralCaution {
  level: Level;
  condition: Condition;
  reason: string;
}

/**
 * The general cautions of a step, for unknown people: every condition with a caution here in some degree, with the most
 * careful one, by level.
 */
export function generalCautions(step: Step, knowledge: Knowledge): GeneralCaution[] {
  const asks = demandsOf(step, knowledge);
  return knowledge.conditions
    .flatMap((condition): GeneralCaution[] => {
      const active = knowledge.rules
        .filter((rule) => rule.condition === condition.id)
        .map((rule): ActiveRule => ({ rule, condition }));
      const [worst] = screenStep(step, asks, active).cautions;
      return worst ? [{ level: worst.level, condition, reason: worst.rule.reason }] : [];
    })
    .sort((a, b) => LEVELS.indexOf(b.level) - LEVELS.indexOf(a.level));
}
