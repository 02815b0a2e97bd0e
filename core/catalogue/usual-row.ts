import { rowFor, type SetUp, type SetUpRow } from '#core/props';
import type { Position } from './position';

/**
 * The row that comes next in a set-up of a position: what the position usually has and is not there yet, where it usually
 * lies, from its first set-up on; else a blanket under the head.
 */
export function nextUsualRow(position: Pick<Position, 'setUps'> | undefined, setUp: SetUp, id: string): SetUpRow {
  const usual = position?.setUps.flatMap(({ items }) => items) ?? [];
  const isThere = ({ kind, place }: SetUpRow): boolean => setUp.some((row) => row.kind === kind && row.place === place);
  const next = usual.find((row) => !isThere(row));
  return next ? { ...next, id } : rowFor('blanket', 'head', 'centre', id);
}
