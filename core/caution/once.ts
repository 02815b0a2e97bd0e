import {
  byLevel,
  joined,
  reasonsOf,
  wholeCaution,
  type Caution,
  type SessionCaution,
  type StepScreening,
} from './caution';
import { worse, type Level } from './rule';

/** Two cautions that ask for the same, at two steps: the more careful of them, with the reasons of both. */
function together(one: Caution, other: Caution): Caution {
  const [first, second] = worse(one.level, other.level) === one.level ? [one, other] : [other, one];
  const reasons = reasonsOf(first);
  const more = wholeCaution(second).filter(({ rule }) => !reasons.includes(rule.reason));
  return more.length === 0 ? first : { ...first, also: [...first.also, ...more] };
}

/** What is the same caution at another step. */
const sameCaution = ({ rule }: Caution): string => `${rule.condition} ${rule.instead.words}`;

/** Marks what has to be changed or left out as at an earlier step, for the same reason: it need not be read twice. */
export function withEarlier(steps: readonly StepScreening[]): StepScreening[] {
  const first = new Map<string, { step: number; level: Level }>();
  return steps.map((step, i) => ({
    ...step,
    cautions: step.cautions.map((caution) => {
      const before = first.get(sameCaution(caution));
      if (!before || worse(before.level, caution.level) !== before.level) {
        first.set(sameCaution(caution), { step: i, level: caution.level });
        return caution;
      }
      return { ...caution, earlier: before.step };
    }),
  }));
}

/** Whether one decision serves all of its steps, for each of the conditions behind it. */
const isOnce = (caution: Caution): boolean =>
  wholeCaution(caution).every(({ level, rule }) => level === 'watch' || (level === 'change' && rule.once === true));

/**
 * Takes what is only to be watched, or changed in the same way, at more than one step out of the steps: it is said once
 * for the class, with its steps. What else has to be changed or left out stays where that is decided.
 */
export function onceForClass(steps: readonly StepScreening[]): { steps: StepScreening[]; repeated: SessionCaution[] } {
  const watched = new Map<string, { caution: Caution; steps: number[] }>();
  for (const [i, { cautions }] of steps.entries()) {
    for (const caution of cautions.filter(isOnce)) {
      const { words } = caution.rule.instead;
      const known = watched.get(words);
      watched.set(words, {
        caution: known ? together(known.caution, caution) : caution,
        steps: [...(known?.steps ?? []), i],
      });
    }
  }
  const isRepeated = (caution: Caution): boolean =>
    isOnce(caution) && (watched.get(caution.rule.instead.words)?.steps.length ?? 0) > 1;
  return {
    steps: steps.map((step) => {
      const cautions = step.cautions.filter((caution) => !isRepeated(caution));
      return { ...step, cautions, level: cautions[0]?.level ?? null };
    }),
    repeated: [...watched.values()]
      .filter((one) => one.steps.length > 1)
      .map((one) => ({ ...one.caution, measured: '', steps: one.steps })),
  };
}

/** Class cautions that ask for the same are one, with the steps of all. */
export const joinedInClass = (cautions: readonly SessionCaution[]): SessionCaution[] => {
  const whole = joined([...cautions].sort(byLevel), ({ rule }) => rule.instead.words);
  return whole.map((caution) => ({
    ...caution,
    steps: [
      ...new Set(
        cautions.filter(({ rule }) => rule.instead.words === caution.rule.instead.words).flatMap(({ steps }) => steps),
      ),
    ].sort((a, b) => a - b),
  }));
};
