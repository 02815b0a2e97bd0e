import type { Position } from '#core/catalogue';
import type { PropKind, SetUp, SetUpRow } from '#core/props';
import { rowsInstead, substitutesFor } from './substitutes';

/** What most homes have. */
export const HOUSEHOLD: ReadonlySet<PropKind> = new Set<PropKind>([
  'blanket',
  'cushion',
  'pillow',
  'chair',
  'towel',
  'book',
  'belt',
  'scarf',
  'wall',
]);

/** What replaces one row at home: the row itself, other rows, or nothing. */
export interface HomeRow {
  row: SetUpRow;
  instead: SetUpRow[];
  how: 'same' | 'instead' | 'nothing';
}

/** A set-up made of household things. */
export interface HomeSetUp {
  /** The position's own set-up for home, by its name; otherwise the rows were replaced one by one. */
  named: string | undefined;
  setUp: SetUp;
  rows: HomeRow[];
}

function homeRow(row: SetUpRow): HomeRow {
  if (HOUSEHOLD.has(row.kind)) return { row, instead: [row], how: 'same' };
  const substitute = substitutesFor(row.kind, row.state).find((one) =>
    one.with.every(({ kind }) => HOUSEHOLD.has(kind)),
  );
  return substitute
    ? { row, instead: rowsInstead(row, substitute), how: 'instead' }
    : { row, instead: [], how: 'nothing' };
}

/**
 * A set-up with things found at home: the one the position has for that, where a set-up needs something a home has not;
 * otherwise the nearest substitute for each prop; a prop without one is left out and reported.
 */
export function homeSetUp(setUp: SetUp, position: Position | undefined): HomeSetUp {
  const rows = setUp.map(homeRow);
  const ready = position?.setUps.find(({ home }) => home);
  if (ready && rows.some(({ how }) => how === 'nothing')) return { named: ready.name, setUp: ready.items, rows: [] };
  return { named: undefined, setUp: rows.flatMap(({ instead }) => instead), rows };
}
