import { initialsOf, type Person } from '#core/people';
import type { Step } from '#core/plan';
import type { Knowledge } from './knowledge';
import { openLevel, type MatrixRow } from './matrix';
import { worse, type Level } from './rule';
import { demandsOf } from './traits';

/** The reminders for one person at one step, with their initials. */
export interface InMind {
  personId: string;
  initials: string;
  words: string[];
}

/**
 * The teacher's reminders for those present that apply to a step; people in the given order. They are the teacher's own
 * words: nothing is concluded from them.
 */
export function inMind(
  people: readonly { id: string; person: Person }[],
  step: Step,
  knowledge: Pick<Knowledge, 'library'> & Partial<Pick<Knowledge, 'strains'>>,
): InMind[] {
  const asks = demandsOf(step, knowledge);
  const shown = initialsOf(people.map(({ id, person }) => ({ id, name: person.name })));
  return people.flatMap(({ id, person }) => {
    const words = person.keepInMind
      .filter((reminder) => reminder.asks.some((ask) => asks.has(ask)))
      .map((reminder) => reminder.words);
    return words.length > 0 ? [{ personId: id, initials: shown.get(id) ?? '?', words }] : [];
  });
}

/** What a teacher needs to know about a person during a step: how careful to be, and what to do, in a few words. */
export interface Reminder {
  personId: string;
  level: Level | null;
  /** The name of their alternative. */
  instead: string | null;
  words: string[];
}

/**
 * What is to be known of everyone of a matrix at a step (by its place, from 0) while it is led: their alternative, what
 * to do where a caution is open, and what the class as a whole asks of them here. Acknowledged cautions are not
 * repeated, and no condition is named: others may look on.
 */
export function remindersAt(rows: readonly MatrixRow[], index: number): Reminder[] {
  return rows.flatMap(({ personId, cells, session }): Reminder[] => {
    const cell = cells[index];
    if (!cell) return [];
    const open = openLevel(cell);
    const here =
      openLevel(session) === null
        ? []
        : session.cautions.filter((one) => 'steps' in one && (one.steps as readonly number[]).includes(index));
    const isInstead = cell.state === 'instead' && cell.insteadLevel === null;
    const cautions = [...(open !== null && cell.state === 'open' ? cell.cautions : []), ...here];
    const level = [open, ...here.map((one) => one.level)].reduce<Level | null>(worse, null);
    const words = [...new Set(cautions.map(({ rule }) => rule.instead.words))];
    if (level === null && !isInstead) return [];
    return [{ personId, level, instead: cell.state === 'instead' ? (cell.step?.name ?? null) : null, words }];
  });
}
