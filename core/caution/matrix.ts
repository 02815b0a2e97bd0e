import type { Person } from '#core/people';
import type { Plan, Step } from '#core/plan';
import { SESSION_STEP, type ClassPeople } from './class-people';
import { bodyOf, type Knowledge } from './knowledge';
import { worse, type Level } from './rule';
import { wholeCaution, type Caution } from './caution';
import { rulesOf, screenGroup, screenStep, type PersonScreening } from './screen';
import { demandsOf } from './traits';

/** One person at one step (or in the class as a whole): cautions and decisions. */
export interface Cell {
  /** The worst caution; null if there is none. */
  level: Level | null;
  cautions: readonly Caution[];
  /** Undecided, acknowledged without a change, or replaced by an alternative. */
  state: 'open' | 'seen' | 'instead';
  /** The alternative. */
  step?: Step;
  /** What is to be known of the alternative: a condition may have changed since. */
  insteadLevel: Level | null;
  /** Who decided, and when. */
  by?: string;
  at?: string;
}

/** A person's row: cautions and decisions for every step. */
export interface MatrixRow {
  personId: string;
  cells: readonly Cell[];
  session: Cell;
  notScreened: readonly string[];
  /** Conditions whose recorded date can no longer be right, in words. */
  stale: readonly string[];
}

/** Everyone's row, and for each step the worst open level and how many people it concerns. */
export interface Matrix {
  rows: readonly MatrixRow[];
  columns: readonly { level: Level | null; open: number; instead: number }[];
}

interface OnPerson {
  id: string;
  person: Person;
}

/** The level of a cell that still needs a decision: open cautions, or cautions of the alternative. */
export const openLevel = ({ state, level, insteadLevel }: Cell): Level | null =>
  state === 'open' ? level : state === 'instead' ? insteadLevel : null;

/**
 * The matrix of a group and a plan on a day (`2026-11-26`), with decisions. A decision made before a new caution came
 * up does not cover it: the cell is open again.
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
      const { level: left } = screenStep(step, demandsOf(step, knowledge, bodyOf(person)), active);
      // A caution that is only to be watched was shown when the alternative was applied.
      return { level, cautions, state: 'instead', step, by, at, insteadLevel: left === 'watch' ? null : left };
    }
    const looked = seen.find((one) => one.stepId === stepId);
    if (
      level !== null &&
      looked &&
      cautions.flatMap(wholeCaution).every(({ rule }) => looked.rules.includes(rule.id))
    ) {
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

/** How many people of a matrix have open cautions, how many cells are open, and how many have an alternative. */
export function matrixCounts({ rows }: Matrix): { people: number; open: number; instead: number } {
  const openIn = ({ cells, session }: MatrixRow): number =>
    [...cells, session].filter((cell) => openLevel(cell) !== null).length;
  return {
    people: rows.filter((row) => openIn(row) > 0).length,
    open: rows.reduce((sum, row) => sum + openIn(row), 0),
    instead: rows.reduce((sum, { cells }) => sum + cells.filter(({ state }) => state === 'instead').length, 0),
  };
}
