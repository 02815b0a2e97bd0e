import { LADDER, ratioInWords, type Ratio, type Rung } from '#core/breath';
import { isAllowed } from './breath-growth';
import type { ThreadWeeks } from './derive';
import { easyAt, easyRatiosOf, type CourseSession } from './record';

/** Somebody for whom a week’s breath comes too early, and the one of an earlier week that does not; null where none does. */
export interface TooEarly {
  person: string;
  instead: Ratio | null;
}

/**
 * For whom the breath of a week comes too early: they missed weeks, or found it an effort, so that its gate is not open
 * for them. What the course begins with is for everybody.
 */
export function tooEarlyFor(
  { thread, levels }: ThreadWeeks,
  week: number,
  people: readonly string[],
  sessions: readonly CourseSession[],
  ladder: readonly Rung[] = LADDER,
): TooEarly[] {
  if (thread.kind !== 'breath') return [];
  const until = [...levels].filter(([of]) => of <= week).sort(([a], [b]) => b - a);
  const counts = until.flatMap(([, level]) => (level.kind === 'counts' ? [level.value] : []));
  const [now] = counts;
  const key = (ratio: Ratio): string => ratioInWords(ratio);
  if (!now || key(now) === key(thread.from)) return [];
  return people.flatMap((person): TooEarly[] => {
    const easy = easyAt(ladder, easyRatiosOf(sessions, person));
    const suits = (one: Ratio): boolean => key(one) === key(thread.from) || isAllowed(ladder, easy, one);
    return suits(now) ? [] : [{ person, instead: counts.find(suits) ?? null }];
  });
}
