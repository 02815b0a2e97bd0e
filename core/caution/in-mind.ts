import { initialsOf, type Person } from '#core/people';
import type { Step } from '#core/plan';
import { bodyOf, type Knowledge } from './knowledge';
import { openLevel, type MatrixRow } from './matrix';
import { LEVELS, worse, type Level } from './rule';
import type { Caution } from './caution';
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
  knowledge: Pick<Knowledge, 'library'> & Partial<Knowledge>,
): InMind[] {
  const shown = initialsOf(people.map(({ id, person }) => ({ id, name: person.name })));
  return people.flatMap(({ id, person }) => {
    const asks = demandsOf(step, knowledge, bodyOf(person));
    const words = person.keepInMind
      .filter((reminder) => reminder.asks.some((ask) => asks.has(ask)))
      .map((reminder) => reminder.words);
    return words.length > 0 ? [{ personId: id, initials: shown.get(id) ?? '?', words }] : [];
  });
}

/**
 * What has to be changed, and getting up, is shown at each of its steps; what is only to be watched at the first of them.
 */
const isDueAt = ({ rule: { on }, level }: Caution, steps: readonly number[], index: number): boolean =>
  level !== 'watch' || (on.kind === 'session' && (on.of === 'gettingUp' || on.of === 'fromFloor'))
    ? steps.includes(index)
    : steps[0] === index;

/** What a teacher needs to know about a person during a step: how careful to be, and what to do, in a few words. */
export interface Reminder {
  personId: string;
  level: Level | null;
  /** The name of their alternative. */
  instead: string | null;
  /** What to do, each with how careful to be; the most careful first. */
  words: { text: string; level: Level }[];
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
        : session.cautions.filter((one) => 'steps' in one && isDueAt(one, one.steps as readonly number[], index));
    const isInstead = cell.state === 'instead' && cell.insteadLevel === null;
    const cautions = [...(open !== null && cell.state === 'open' ? cell.cautions : []), ...here];
    const level = [open, ...here.map((one) => one.level)].reduce<Level | null>(worse, null);
    const levels = new Map<string, Level>();
    for (const one of cautions) {
      const text = one.rule.instead.words;
      levels.set(text, worse(levels.get(text) ?? null, one.level) ?? one.level);
    }
    const words = [...levels].map(([text, of]) => ({ text, level: of }));
    if (level === null && !isInstead) return [];
    return [{ personId, level, instead: cell.state === 'instead' ? (cell.step?.name ?? null) : null, words }];
  });
}

/** A line on the stage: for whom, how careful to be, and what to do in a few words. */
export interface StageLine {
  personIds: string[];
  level: Level | null;
  isInstead: boolean;
  words: string;
}

/**
 * Cautions and the teacher's own reminders at a step as one list: what is the same for several people is one line, the
 * most careful first; what someone does instead comes before what is only watched, the teacher's own words last.
 */
export function stageLines(careful: readonly Reminder[], own: readonly InMind[]): StageLine[] {
  const lines = new Map<string, StageLine>();
  const add = (personId: string, level: Level | null, isInstead: boolean, words: string): void => {
    const known = lines.get(words);
    if (!known) lines.set(words, { personIds: [personId], level, isInstead, words });
    else {
      if (!known.personIds.includes(personId)) known.personIds.push(personId);
      known.level = worse(known.level, level);
    }
  };
  for (const { personId, instead, words } of careful) {
    if (instead !== null) add(personId, null, true, `${instead} instead.`);
    for (const one of words) add(personId, one.level, false, one.text);
  }
  for (const { personId, words } of own) for (const one of words) add(personId, null, false, one);
  const rank = ({ level, isInstead }: StageLine): number =>
    isInstead ? 1.5 : level === null ? 0 : LEVELS.indexOf(level) + 1;
  return [...lines.values()].sort((a, b) => rank(b) - rank(a));
}
