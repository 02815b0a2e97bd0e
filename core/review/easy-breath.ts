import { ratioInWords, ratiosOfPractice, smallestRatio, type Ratio, type Rung } from '#core/breath';
import { practiceOf, type Step } from '#core/plan';
import type { BreathReview } from '#core/run';

/** A ratio that was easy for most of those who were there, and for whom it was an effort all the same, by their ids. */
export interface EasyBreath {
  ratio: Ratio;
  effortFor: readonly string[];
}

/** What is counted of a session: who was there, by their ids, and what was easy. */
interface BreathingSession {
  people: readonly string[];
  easyBreaths: readonly EasyBreath[];
}

/**
 * The ratios of a step that were easy by its review: all it counts where in- and out-breath were easy, but those with a
 * retention only where that was noted as easy too.
 */
export function easyBreathsOf(step: Step, review: BreathReview | undefined): EasyBreath[] {
  const practice = practiceOf(step);
  if (!practice || review?.inOut !== 'easy') return [];
  const { holds, effortFor } = review;
  return ratiosOfPractice(practice)
    .filter(({ holdFull, holdEmpty }) => holds === 'easy' || holdFull + holdEmpty === 0)
    .map((ratio) => ({ ratio, effortFor }));
}

/** The sessions of a group: by its id, or by its name where none was chosen. A name of nothing is no group. */
export function sessionsOfGroup<T extends { group: string; groupId: string | null }>(
  sessions: readonly T[],
  { group, groupId }: { group: string; groupId: string | null },
): T[] {
  if (groupId !== null) return sessions.filter((one) => one.groupId === groupId);
  return group === '' ? [] : sessions.filter((one) => one.group === group);
}

/** In how many sessions a ratio was easy; with a person, those they were at and found easy. */
export function easySessions(
  sessions: readonly BreathingSession[],
  ratio: Ratio,
  person: string | null = null,
): number {
  const wanted = ratioInWords(smallestRatio(ratio));
  const counts = ({ ratio: of, effortFor }: EasyBreath): boolean =>
    ratioInWords(of) === wanted && (person === null || !effortFor.includes(person));
  return sessions.filter(
    ({ people, easyBreaths }) => (person === null || people.includes(person)) && easyBreaths.some(counts),
  ).length;
}

/** A rung of the ladder with what the record says of its gate. */
export interface RungGate {
  ratio: Ratio;
  gate: number;
  /** The ratio before it on the ladder; undefined for the first. */
  before: Ratio | undefined;
  /** Easy sessions at the ratio before. */
  easyBefore: number;
  /** Easy sessions at this ratio. */
  easyHere: number;
  open: boolean;
}

/** The gates of a ladder, counted from some sessions: a group's, or with a person those they were at. */
export function ladderGates(
  ladder: readonly Rung[],
  sessions: readonly BreathingSession[],
  person: string | null = null,
): RungGate[] {
  const easy = ladder.map(({ ratio }) => easySessions(sessions, ratio, person));
  return ladder.map(({ ratio, gate }, i) => {
    const easyBefore = easy[i - 1] ?? 0;
    return { ratio, gate, before: ladder[i - 1]?.ratio, easyBefore, easyHere: easy[i] ?? 0, open: easyBefore >= gate };
  });
}

/** The rungs of a practice whose gates are not open yet; ratios that are not on the ladder have none. */
export function closedGates(ratios: readonly Ratio[], gates: readonly RungGate[]): RungGate[] {
  const wanted = new Set(ratios.map((ratio) => ratioInWords(smallestRatio(ratio))));
  return gates.filter(({ ratio, open }) => !open && wanted.has(ratioInWords(smallestRatio(ratio))));
}
