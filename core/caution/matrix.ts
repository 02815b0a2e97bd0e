import type { Person } from '#core/people';
import type { Plan, Step } from '#core/plan';
import { SESSION_STEP, type ClassPeople } from './class-people';
import type { Knowledge } from './knowledge';
import { worse, type Level } from './rule';
import { rulesOf, screenGroup, screenStep, type Caution, type PersonScreening } from './screen';
import { demandsOf } from './traits';

/** One person at one step (or at the class as a whole): what there is to know, and what was decided. */
export interface Cell {
  /** The worst caution; null where there is none. */
  level: Level | null;
  cautions: readonly Caution[];
  /** Nothing is decided; it was seen and left; or something else is done. */
  state: 'open' | 'seen' | 'instead';
  /** What is done instead. */
  step?: Step;
  /** What is to be known of the alternative: a condition may have changed since. */
  insteadLevel: Level | null;
  /** Who decided, and when. */
  by?: string;
  at?: string;
}

/** A person against a plan, with what was decided. */
export interface MatrixRow {
  personId: string;
  cells: readonly Cell[];
  session: Cell;
  notScreened: readonly string[];
  /** What is kept with a date that cannot be right any more, in words. */
  stale: readonly string[];
}

/** Everyone against a plan, and for each step the worst that is still open and how many people it is about. */
export interface Matrix {
  rows: readonly MatrixRow[];
  columns: readonly { level: Level | null; open: number; instead: number }[];
}

interface OnPerson {
  id: string;
  person: Person;
}

/** What of a cell still asks for a decision: its level where it is open, or where the alternative has cautions too. */
export const openLevel = ({ state, level, insteadLevel }: Cell): Level | null =>
  state === 'open' ? level : state === 'instead' ? insteadLevel : null;

/**
 * Everyone of a group against a plan on a day (`2026-11-26`), with what was decided. A decision that was made before a
 * new caution came up does not cover it: the cell is open again.
 */
export function classMatrix(
  plan: Plan,
  people: readonly OnPerson[],
  decided: ClassPeople,
  knowledge: Knowledge,
  day: string,
): Matrix {
  const rows = screenGroup(plan, people, knowledge, day).map(({ personId, person, screening }) =>
    rowOf(plan, personId, person, screening, decided, knowledge, day),
  );
  const columns = plan.steps.map((_, i) => ({
    level: rows.reduce<Level | null>((worst, { cells }) => worse(worst, cells[i] ? openLevel(cells[i]) : null), null),
    open: rows.filter(({ cells }) => cells[i] && openLevel(cells[i]) !== null).length,
    instead: rows.filter(({ cells }) => cells[i]?.state === 'instead').length,
  }));
  return { rows, columns };
}

function rowOf(
  plan: Plan,
  personId: string,
  person: Person,
  screening: PersonScreening,
  decided: ClassPeople,
  knowledge: Knowledge,
  day: string,
): MatrixRow {
  const mine = <T extends { personId: string }>(all: readonly T[]): T[] =>
    all.filter((one) => one.personId === personId);
  const [seen, instead] = [mine(decided.seen), mine(decided.instead)];
  const active = instead.length > 0 ? rulesOf(person, knowledge, day).active : [];
  const cellOf = (stepId: string, cautions: readonly Caution[]): Cell => {
    const level = cautions[0]?.level ?? null;
    const other = instead.find((one) => one.stepId === stepId);
    if (other) {
      const { step, by, at } = other;
      const { level: left } = screenStep(step, demandsOf(step, knowledge), active);
      // A caution that is only to be watched was shown when the alternative was applied.
      return { level, cautions, state: 'instead', step, by, at, insteadLevel: left === 'watch' ? null : left };
    }
    const looked = seen.find((one) => one.stepId === stepId);
    if (level !== null && looked && cautions.every(({ rule }) => looked.rules.includes(rule.id))) {
      return { level, cautions, state: 'seen', by: looked.by, at: looked.at, insteadLevel: null };
    }
    return { level, cautions, state: 'open', insteadLevel: null };
  };
  return {
    personId,
    cells: plan.steps.map(({ id }, i) => cellOf(id, screening.steps[i]?.cautions ?? [])),
    session: cellOf(SESSION_STEP, screening.session),
    notScreened: screening.notScreened,
    stale: screening.stale,
  };
}

/** How many people of a matrix have something open, how many cells, and how many do something else. */
export function matrixCounts({ rows }: Matrix): { people: number; open: number; instead: number } {
  const openIn = ({ cells, session }: MatrixRow): number =>
    [...cells, session].filter((cell) => openLevel(cell) !== null).length;
  return {
    people: rows.filter((row) => openIn(row) > 0).length,
    open: rows.reduce((sum, row) => sum + openIn(row), 0),
    instead: rows.reduce((sum, { cells }) => sum + cells.filter(({ state }) => state === 'instead').length, 0),
  };
}
