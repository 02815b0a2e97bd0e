import type { KnownKind, PropKind, SetUpRow } from '#core/props';

/** A number of pieces of a kind in one of its states. */
interface Pieces {
  kind: KnownKind;
  state: string;
  count: number;
}

/** A substitute for one piece of a kind in one of its states. */
export interface Substitute {
  of: KnownKind;
  state: string;
  with: readonly Pieces[];
  /** 1 (as good) to 4 (better than nothing): of two ways that leave as little unmet, the more similar one is taken. */
  unlike: 1 | 2 | 3 | 4;
}

const some = (kind: KnownKind, state: string, count = 1): Pieces => ({ kind, state, count });
const instead = (of: KnownKind, state: string, unlike: Substitute['unlike'], ...pieces: Pieces[]): Substitute => ({
  of,
  state,
  with: pieces,
  unlike,
});

/**
 * What teachers use instead, by what comes to about the same height under a body (within 2 cm, where height is what it
 * is for) and holds about as well. Measured typical sizes; see the kinds.
 */
export const SUBSTITUTES: readonly Substitute[] = [
  instead('flatBolster', 'whole', 2, some('pillow', 'whole', 2)),
  instead('flatBolster', 'whole', 2, some('blanket', 'longHalf', 2)),
  instead('flatBolster', 'whole', 3, some('blanket', 'rolled')),
  instead('flatBolster', 'whole', 3, some('pillow', 'folded')),
  instead('roundBolster', 'whole', 2, some('flatBolster', 'whole'), some('blanket', 'quarter')),
  instead('roundBolster', 'whole', 3, some('blanket', 'longThirds', 2)),
  instead('roundBolster', 'whole', 3, some('pillow', 'whole', 2), some('cushion', 'whole')),
  instead('block', 'flat', 1, some('book', 'flat', 2)),
  instead('block', 'flat', 3, some('blanket', 'quarter')),
  instead('block', 'edge', 1, some('block', 'flat', 2)),
  instead('block', 'edge', 2, some('book', 'flat', 4)),
  instead('block', 'tall', 2, some('block', 'flat', 3)),
  instead('block', 'tall', 3, some('book', 'flat', 6)),
  instead('blanket', 'basic', 2, some('towel', 'folded', 3)),
  instead('blanket', 'basic', 3, some('cushion', 'whole')),
  instead('blanket', 'quarter', 2, some('pillow', 'whole')),
  instead('blanket', 'quarter', 3, some('cushion', 'whole')),
  instead('blanket', 'longHalf', 2, some('pillow', 'whole')),
  instead('blanket', 'longThirds', 2, some('halfMoon', 'whole')),
  instead('blanket', 'longThirds', 3, some('cushion', 'whole', 2)),
  instead('blanket', 'rolled', 2, some('flatBolster', 'whole')),
  instead('blanket', 'rolled', 3, some('pillow', 'folded')),
  instead('blanket', 'rolled', 3, some('towel', 'rolled', 2)),
  instead('blanket', 'open', 4, some('scarf', 'open')),
  instead('halfMoon', 'whole', 1, some('blanket', 'longThirds')),
  instead('halfMoon', 'whole', 2, some('cushion', 'whole', 2)),
  instead('cushion', 'whole', 2, some('blanket', 'basic')),
  instead('cushion', 'whole', 2, some('pillow', 'whole')),
  instead('pillow', 'whole', 2, some('blanket', 'quarter')),
  instead('pillow', 'whole', 3, some('cushion', 'whole')),
  instead('pillow', 'folded', 2, some('flatBolster', 'whole')),
  instead('pillow', 'folded', 2, some('blanket', 'rolled')),
  instead('towel', 'folded', 2, some('scarf', 'folded')),
  instead('towel', 'rolled', 2, some('blanket', 'quarter')),
  instead('strap', 'open', 1, some('belt', 'open')),
  instead('strap', 'open', 2, some('scarf', 'open')),
  instead('strap', 'open', 3, some('towel', 'folded')),
  instead('strap', 'loop', 2, some('belt', 'open', 2)),
  instead('strap', 'loop', 3, some('scarf', 'open', 2)),
  instead('sandbag', 'whole', 2, some('book', 'flat')),
  instead('sandbag', 'whole', 3, some('blanket', 'basic')),
  instead('eyePillow', 'whole', 1, some('scarf', 'folded')),
  instead('eyePillow', 'whole', 1, some('towel', 'folded')),
  instead('headRing', 'whole', 2, some('towel', 'rolled')),
  instead('headRing', 'whole', 2, some('blanket', 'basic')),
  instead('weightedBlanket', 'open', 3, some('blanket', 'open', 3)),
  instead('weightedBlanket', 'folded', 2, some('sandbag', 'whole')),
  instead('weightedBlanket', 'folded', 3, some('blanket', 'quarter')),
  instead('stick', 'whole', 3, some('strap', 'open')),
  instead('book', 'flat', 2, some('blanket', 'basic')),
  instead('belt', 'open', 1, some('strap', 'open')),
  instead('scarf', 'folded', 1, some('towel', 'folded')),
  instead('scarf', 'open', 2, some('strap', 'open')),
];

/** The substitutes for a piece, the most similar first. */
export const substitutesFor = (kind: PropKind, state: string): readonly Substitute[] =>
  BY_PIECE.get(`${kind} ${state}`) ?? [];

const BY_PIECE = new Map<string, Substitute[]>();
for (const substitute of SUBSTITUTES) {
  const key = `${substitute.of} ${substitute.state}`;
  BY_PIECE.set(
    key,
    [...(BY_PIECE.get(key) ?? []), substitute].sort((a, b) => a.unlike - b.unlike),
  );
}

/** The rows that replace one row of a set-up; each keeps its place, direction and side. */
export function rowsInstead(row: SetUpRow, substitute: Substitute): SetUpRow[] {
  const { id, lie, place, side, mirror, optional, why } = row;
  return substitute.with.map(({ kind, state, count }, i) => ({
    id: i === 0 ? id : `${id}-${i + 1}`,
    kind,
    state,
    lie,
    place,
    side,
    count: count * row.count,
    mirror,
    optional,
    why,
  }));
}
