import { z } from 'zod';
import { oneOf } from '#core/document';
import { PROP_KIND_NAMES, propKind, propState, type PropKind } from './kinds';
import { PROP_PLACE_NAMES, type PropPlace } from './places';

export const MAX_SET_UP_ROWS = 24;
export const MAX_PIECES = 12;

/**
 * One row of a set-up. `side` is the side it lies on **while the left side is held**; a row with `mirror` goes to the
 * other side when the right side is held, one without stays where it is.
 */
export const SetUpRow = z
  .strictObject({
    id: z.string().min(1).max(64),
    kind: oneOf('A prop', PROP_KIND_NAMES),
    state: z.string().max(40),
    lie: z.enum(['lengthwise', 'crosswise']),
    place: oneOf('A place', PROP_PLACE_NAMES),
    side: oneOf('A side', ['centre', 'left', 'right', 'each']),
    count: z.int().min(1).max(MAX_PIECES, `A row holds at most ${MAX_PIECES} pieces.`),
    mirror: z.boolean(),
    optional: z.boolean(),
    why: z.string().max(300),
  })
  .superRefine((row, context) => {
    if (propState(row.kind, row.state)) return;
    const states = Object.keys(propKind(row.kind).states).join(', ');
    context.addIssue({
      code: 'custom',
      path: ['state'],
      message: `A ${propKind(row.kind).label} has no state “${row.state}”; it has: ${states}.`,
    });
  });
export type SetUpRow = z.infer<typeof SetUpRow>;

export const SetUp = z.array(SetUpRow).max(MAX_SET_UP_ROWS, `A set-up has at most ${MAX_SET_UP_ROWS} rows.`);
export type SetUp = z.infer<typeof SetUp>;

export type PropSide = SetUpRow['side'];

/** Props of one sort in place at the body: what remains of a row once it is known which side is held. */
export interface PlacedProp {
  kind: PropKind;
  state: string;
  lie: 'lengthwise' | 'crosswise';
  place: PropPlace;
  side: PropSide;
  count: number;
}

const MIRRORED: Record<PropSide, PropSide> = { centre: 'centre', each: 'each', left: 'right', right: 'left' };

/** The set-up moved to the other side of the body; rows that do not mirror stay. Mirrored twice is the same. */
export function mirrorSetUp(setUp: SetUp): SetUp {
  return setUp.map((row) => (row.mirror ? { ...row, side: MIRRORED[row.side] } : row));
}

/**
 * The props in place while `held` is held (`both` and `left`: as written; `right`: mirrored).
 * A row with side `each` puts its count on each side, so it needs twice its count of pieces.
 */
export function placedProps(setUp: SetUp, held: 'left' | 'right' | 'both'): PlacedProp[] {
  const rows = held === 'right' ? mirrorSetUp(setUp) : setUp;
  return rows.flatMap(({ kind, state, lie, place, side, count }): PlacedProp[] => {
    const placed = { kind, state, lie, place, side, count };
    return side === 'each'
      ? [
          { ...placed, side: 'left' },
          { ...placed, side: 'right' },
        ]
      : [placed];
  });
}

/** Whether a row changes sides at the switch of a two-sided hold. */
export const movesAtSwitch = (row: SetUpRow): boolean => row.mirror && (row.side === 'left' || row.side === 'right');

/** How many pieces of each kind lie in place, fixtures left out. */
export function piecesByKind(placed: readonly PlacedProp[]): Map<PropKind, number> {
  const pieces = new Map<PropKind, number>();
  for (const { kind, count } of placed) {
    if (!propKind(kind).fixture) pieces.set(kind, (pieces.get(kind) ?? 0) + count);
  }
  return pieces;
}
