import { MAX_WEEKS, monthsBetween, weeksBetween, type PersonCondition } from '#core/people';

export const CONDITION_AREAS = [
  'pregnancy',
  'heartAndBlood',
  'head',
  'breathing',
  'belly',
  'back',
  'joints',
  'nerves',
  'today',
] as const;
export type ConditionArea = (typeof CONDITION_AREAS)[number];

/** A degree of a condition: how it is with somebody. */
export interface Degree {
  id: string;
  words: string;
}

/** A condition that cautions are known for: in plain words, with the usual terms beside them. */
export interface Condition {
  id: string;
  area: ConditionArea;
  /** In plain words: `High blood pressure`. */
  name: string;
  /** The medical term: `hypertension`; empty if there is no other word. */
  terms: string;
  /** What else people call it, and how they spell it. */
  alsoCalled: readonly string[];
  /** The question of the screening form. */
  question: string;
  /** What is asked of its time: nothing, the day it began, or the weeks of a pregnancy. */
  since: 'none' | 'day' | 'weeks';
  /** Its degrees, the one that needs most care first; empty if they make no difference. */
  degrees: readonly Degree[];
}

/** A condition as it is on one day; what is not known is null. */
export interface ConditionState {
  condition: string;
  degree: string | null;
  /** Of a pregnancy; null also where the recorded date cannot be right any more. */
  weeks: number | null;
  /** Since it began. */
  months: number | null;
  /** The recorded date is in the future, or a pregnancy would be over by it: ask for it again. */
  stale: { kind: 'ahead' } | { kind: 'over'; weeks: number } | null;
}

/** The state of a stored condition on a day (`2026-11-26`). */
export function stateOn({ condition, degree, since }: PersonCondition, known: Condition, day: string): ConditionState {
  const weeks = known.since === 'weeks' && since !== null ? weeksBetween(since, day) : null;
  const months = known.since === 'day' && since !== null ? monthsBetween(since, day) : null;
  const isAhead = known.since !== 'none' && since !== null && since > day;
  const stale = isAhead
    ? { kind: 'ahead' as const }
    : weeks !== null && weeks > MAX_WEEKS
      ? { kind: 'over' as const, weeks }
      : null;
  return {
    condition,
    degree: known.degrees.some(({ id }) => id === degree) ? degree : null,
    // The unknown needs the most care.
    weeks: stale ? null : weeks,
    months: stale ? null : months,
    stale,
  };
}

const TRIMESTERS = [
  [14, 'first trimester'],
  [28, 'second trimester'],
  [Infinity, 'third trimester'],
] as const;

/** A condition of somebody in a few words: `Pregnancy, 23 weeks, second trimester`; `Knee replaced, 4 months ago`. */
export function stateInWords(state: ConditionState, known: Condition): string {
  const { degree, weeks, months, stale } = state;
  const trimester = weeks === null ? undefined : TRIMESTERS.find(([before]) => weeks < before)?.[1];
  const ago =
    months === null
      ? undefined
      : months < 1
        ? 'less than a month ago'
        : months < 24
          ? `${months} months ago`
          : `${Math.floor(months / 12)} years ago`;
  return [
    known.name,
    known.degrees.find(({ id }) => id === degree)?.words,
    weeks === null ? undefined : `${weeks} weeks, ${trimester}`,
    stale &&
      (stale.kind === 'ahead'
        ? 'with a date in the future: ask again'
        : `${stale.weeks} weeks by the recorded date: ask again`),
    ago?.replace(/^1 months/, '1 month'),
  ]
    .filter(Boolean)
    .join(', ');
}
