import { isCustomKind, propKind, type PropKind } from './kinds';
import type { CustomSize } from './own';
import type { PropPlace } from './places';
import { MAX_PIECES, type PropSide, type SetUp, type SetUpRow } from './setup';
import type { Available, Stack, StackPiece } from './stacks';

/** A fold or face to begin with: the one a kind is most often used in. */
const USUAL_STATE: Partial<Record<PropKind, string>> = { blanket: 'basic' };
const usualState = (kind: PropKind): string => USUAL_STATE[kind] ?? Object.keys(propKind(kind).states)[0] ?? '';

/** What is laid along the body where nothing else is said; all else lies across. */
const LENGTHWISE: ReadonlySet<PropPlace> = new Set(['spine', 'chest', 'belly', 'cover', 'onThighs', 'alongSides']);

/** Where a kind goes when it is added without being laid anywhere. */
const USUAL_PLACE: Partial<Record<PropKind, PropPlace>> = {
  flatBolster: 'knees',
  roundBolster: 'knees',
  block: 'hands',
  cushion: 'seat',
  halfMoon: 'seat',
  strap: 'feet',
  belt: 'feet',
  chair: 'calves',
  sandbag: 'onBelly',
  eyePillow: 'eyes',
  weightedBlanket: 'cover',
  scarf: 'eyes',
  stick: 'hands',
  wall: 'legs',
};
export const usualPlace = (kind: PropKind): PropPlace => USUAL_PLACE[kind] ?? 'head';

/** What a custom kind measures as it lies. */
export interface CustomFace {
  label: string;
  size: CustomSize;
}

/** A row for one piece of a kind at a place, in its usual fold; `face` is how a custom kind lies. */
export function rowFor(kind: PropKind, place: PropPlace, side: PropSide, id: string, face?: CustomFace): SetUpRow {
  return {
    id,
    kind,
    state: face?.label ?? usualState(kind),
    lie: LENGTHWISE.has(place) ? 'lengthwise' : 'crosswise',
    place,
    side,
    count: 1,
    mirror: true,
    optional: false,
    why: '',
    ...(face && isCustomKind(kind) && { size: face.size }),
  };
}

const isSame = (a: StackPiece, b: StackPiece): boolean => a.kind === b.kind && a.state === b.state;

/**
 * A set-up with a stack instead of what lay at a place and side. The stack lies, and changes sides, like what lay there
 * before; equal pieces are one row. `newId` gives ids for rows.
 */
export function withStack(
  setUp: SetUp,
  { place, side }: Pick<SetUpRow, 'place' | 'side'>,
  { pieces }: Pick<Stack, 'pieces'>,
  newId: () => string,
): SetUp {
  const isThere = (row: SetUpRow): boolean => row.place === place && row.side === side;
  const at = setUp.findIndex(isThere);
  const before = setUp[at];
  const rows: SetUpRow[] = [];
  for (const piece of pieces) {
    const last = rows.at(-1);
    if (last && isSame(last, piece) && last.count < MAX_PIECES) last.count++;
    else {
      // The first keeps the id of what lay there: it is the same row, changed.
      const id = rows.length === 0 && before ? before.id : newId();
      const row = rowFor(piece.kind, place, side, id);
      rows.push({
        ...row,
        ...piece,
        ...(before && { lie: before.lie, mirror: before.mirror, optional: before.optional, why: before.why }),
      });
    }
  }
  const others = setUp.filter((row) => !isThere(row));
  const from = at === -1 ? others.length : setUp.slice(0, at).filter((row) => !isThere(row)).length;
  return others.toSpliced(from, 0, ...rows);
}

/**
 * What one person can stack at a place and side of a set-up: of what is at hand, all that does not lie elsewhere in it;
 * half of that where a stack goes on each side.
 */
export function freeFor(setUp: SetUp, { place, side }: Pick<SetUpRow, 'place' | 'side'>, atHand: Available): Available {
  const free: Available = { ...atHand };
  for (const row of setUp) {
    if (row.place === place && row.side === side) continue;
    const pieces = row.count * (row.side === 'each' ? 2 : 1);
    free[row.kind] = Math.max(0, (free[row.kind] ?? 0) - pieces);
  }
  const stacks = side === 'each' ? 2 : 1;
  const kinds = Object.entries(free) as [PropKind, number][];
  return Object.fromEntries(kinds.map(([kind, count]) => [kind, Math.floor(count / stacks)]));
}

/** A set-up with one piece fewer in its highest stack; where nothing is stacked, without its first row. */
export function withOneFewer(setUp: SetUp): SetUp {
  const most = Math.max(...setUp.map(({ count }) => count));
  const highest = setUp.find(({ count }) => count === most);
  return setUp.flatMap((row) => {
    if (row !== highest) return [row];
    return row.count > 1 ? [{ ...row, count: row.count - 1 }] : [];
  });
}
