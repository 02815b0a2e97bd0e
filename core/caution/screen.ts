import { clockOfSeconds } from '#core/time';
import type { Person } from '#core/people';
import type { Plan, Step } from '#core/plan';
import { gradesOf, TRAIT_UNITS, type CautionTrait, type Demands } from './demands';
import { byLevel, joined, type Caution, type SessionCaution, type StepScreening } from './caution';
import { stateInWords, stateOn, type Condition, type ConditionState } from './condition';
import { bodyOf, type Body, type Knowledge } from './knowledge';
import { applies, LEVELS, type Level, type Rule } from './rule';
import { joinedInClass, onceForClass, withEarlier } from './once';
import { sessionDemands, type SessionDemands } from './session-demands';
import { demandsOf } from './traits';

/** The screening of one person against a plan. */
export interface PersonScreening {
  /** What has to be changed or left out at a step, and what is to be watched at this step alone. */
  steps: readonly StepScreening[];
  /** What concerns the class as a whole, and what is to be watched at several of its steps, said once. */
  session: readonly SessionCaution[];
  /** Conditions that no rule knows; they are not screened. */
  notScreened: readonly string[];
  /** What is kept with a date that cannot be right any more, in words: it is screened as if the date were not known. */
  stale: readonly string[];
}

/** What of a person matters to screening: their conditions, and how they are built where that is known. */
type Screened = Pick<Person, 'conditions'> & Partial<Pick<Person, 'statureCm' | 'flexibility'>>;

/** What a plan demands, step by step and in total: computed once for any number of people. */
export interface PlanDemands {
  steps: readonly { step: Step; asks: Demands }[];
  session: SessionDemands;
}

/** The demands of a plan on a body; on the standard one where none is given. */
export function planDemands(plan: Plan, knowledge: Knowledge, body?: Body): PlanDemands {
  const steps = plan.steps.map((step) => ({ step, asks: demandsOf(step, knowledge, body) }));
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
  if (trait === 'flatSupine' && value !== Infinity) return `trunk at ${90 - value}°`;
  if (unit === undefined || value === Infinity) return '';
  return unit === 's' ? clockOfSeconds(value) : unit === '°' ? `${value}°` : `${value} ${unit}`;
}

/** Whether a rule has something to say of a step: how careful to be, and how much it found, in words. */
function foundIn({ on, level }: Rule, step: Step, asks: Demands): { level: Level; measured: string } | undefined {
  if (on.kind === 'trait') {
    const value = asks.get(on.trait);
    if (value === undefined || value < (on.atLeast ?? 0)) return undefined;
    const graded = on.atLeast === undefined ? gradedLevel(level, on.trait, value) : level;
    return graded && { level: graded, measured: amountInWords(on.trait, value) };
  }
  if (on.kind === 'position') {
    const position = step.kind === 'hold' ? step.position : step.kind === 'breath' ? step.moves?.position : undefined;
    return position === on.position ? { level, measured: '' } : undefined;
  }
  if (on.kind === 'technique') {
    const technique =
      step.kind === 'breath' ? step.technique : step.kind === 'hold' ? step.breath?.technique : undefined;
    return technique === on.technique ? { level, measured: '' } : undefined;
  }
  return undefined;
}

/** What a rule says of so much of a measured demand: as much as it says, or less where there is less of it. */
function gradedLevel(level: Level, trait: CautionTrait, value: number): Level | undefined {
  const from = gradesOf(trait);
  if (!from) return level;
  const steps = LEVELS.slice(0, LEVELS.indexOf(level) + 1);
  return steps.findLast((one) => value >= from[one]);
}

/** Traits that are one thing to a body: of several that concern a condition the most careful is said, with all reasons. */
const ONE_THING: readonly (readonly CautionTrait[])[] = [
  ['loadedSpinalFold', 'spineRounded', 'hipFold', 'bellyFolded'],
  ['headBelowHeart', 'inversion', 'hipsHigh'],
  ['twist', 'loadedTwist', 'closedTwist'],
  ['prone', 'faceDown'],
  ['flatSupine', 'longLegsFlat'],
  ['deepKneeBend', 'kneesBear'],
  ['holdFull', 'holdEmpty'],
  ['strokes', 'fast', 'bellyPressed'],
];
const thingOf = ({ on }: Rule): string =>
  on.kind === 'trait' ? (ONE_THING.find((traits) => traits.includes(on.trait))?.[0] ?? on.trait) : on.kind;

/**
 * The cautions of one step for whom these rules apply, the most careful first. What one condition has against one thing is
 * one caution, and so is what asks for the same of two conditions.
 */
export function screenStep(step: Step, asks: Demands, active: readonly ActiveRule[]): StepScreening {
  const found = active.flatMap(({ rule, condition }): Caution[] => {
    const here = foundIn(rule, step, asks);
    return here ? [{ rule, condition, ...here, also: [] }] : [];
  });
  const ofOneThing = joined(found.sort(byLevel), ({ rule, condition }) => `${condition.id} ${thingOf(rule)}`);
  const cautions = joined(ofOneThing, ({ rule }) => rule.instead.words);
  return { stepId: step.id, level: cautions[0]?.level ?? null, cautions };
}

const COUNTED: Record<keyof SessionDemands, (amount: number) => string> = {
  flatRest: (seconds) => clockOfSeconds(Math.round(seconds)),
  strokes: (count) => `${count} pumps`,
  retention: (seconds) => clockOfSeconds(Math.round(seconds)),
  gettingUp: (times) => (times === 1 ? 'once' : `${times} times`),
  fromFloor: (times) => (times === 1 ? 'once' : `${times} times`),
  eyesClosed: (seconds) => clockOfSeconds(Math.round(seconds)),
  prone: (seconds) => clockOfSeconds(Math.round(seconds)),
  length: (seconds) => clockOfSeconds(Math.round(seconds)),
};

function screenSession(session: SessionDemands, active: readonly ActiveRule[]): SessionCaution[] {
  return active.flatMap(({ rule, condition }): SessionCaution[] => {
    if (rule.on.kind !== 'session') return [];
    const { amount, steps } = session[rule.on.of];
    if (amount === 0 || amount < (rule.on.atLeast ?? 0)) return [];
    return [{ rule, condition, level: rule.level, measured: COUNTED[rule.on.of](amount), steps, also: [] }];
  });
}

/** Screens a person against the demands of a plan, on a day. */
function screenAgainst(
  demands: PlanDemands,
  person: Pick<Person, 'conditions'>,
  knowledge: Knowledge,
  day: string,
): PersonScreening {
  const { active, notScreened, stale } = rulesOf(person, knowledge, day);
  const { steps, repeated } = onceForClass(demands.steps.map(({ step, asks }) => screenStep(step, asks, active)));
  return {
    steps: withEarlier(steps),
    session: joinedInClass([...screenSession(demands.session, active), ...repeated]),
    notScreened,
    stale,
  };
}

/**
 * Screens a person against a plan on a day (`2026-11-26`): cautions by step and for the class, each with its reason.
 */
export const screen = (plan: Plan, person: Screened, knowledge: Knowledge, day: string): PersonScreening =>
  screenAgainst(planDemands(plan, knowledge, bodyOf(person)), person, knowledge, day);

/** Screens everyone of a group against a plan: people in the given order. */
export function screenGroup<P extends Screened>(
  plan: Plan,
  people: readonly { id: string; person: P }[],
  knowledge: Knowledge,
  day: string,
): { personId: string; person: P; screening: PersonScreening }[] {
  // People of one build lie alike: a plan is measured once for each.
  const ofBody = new Map<string, PlanDemands>();
  return people.map(({ id, person }) => {
    const body = bodyOf(person);
    const key = JSON.stringify(body ?? null);
    const demands = ofBody.get(key) ?? planDemands(plan, knowledge, body);
    ofBody.set(key, demands);
    return { personId: id, person, screening: screenAgainst(demands, person, knowledge, day) };
  });
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
