import { z } from 'zod';
import { Id, oneOf } from '#core/document';
import { isCustomKind, MAX_CUSTOM_NAME, PROP_KIND_NAMES, propKind, propState, type PropKind } from './kinds';
import { CustomSize } from './own';
import { PROP_PLACE_NAMES, type PropPlace } from './places';

const MAX_SET_UP_ROWS = 24;
export const MAX_PIECES = 12;

/** One of the known kinds, or `own:` and a name. */
const Kind = z.union([z.enum(PROP_KIND_NAMES), z.templateLiteral(['own:', z.string().min(1).max(MAX_CUSTOM_NAME)])], {
  error: `A prop is one of: ${PROP_KIND_NAMES.join(', ')}; or own: and a name.`,
});

const STRAP_CM = 240;
/** What a buckle and a free end take of a strap. */
const BUCKLE_CM = 10;
/** Legs lean on a wall no farther away than this. */
const MAX_WALL_CM = 90;
/** The longest loop that so many straps, joined, come to. Centimetres round. */
const longestLoopCm = (straps: number): number => straps * (STRAP_CM - BUCKLE_CM);

/**
 * One row of a set-up. `side` is the side it lies on **while the left side is held**; a row with `mirror` goes to the
 * other side when the right side is held, one without stays where it is.
 */
export const SetUpRow = z
  .strictObject({
    id: Id,
    kind: Kind,
    state: z.string().max(40),
    lie: z.enum(['lengthwise', 'crosswise']),
    place: oneOf('A place', PROP_PLACE_NAMES),
    side: oneOf('A side', ['centre', 'left', 'right', 'each']),
    count: z.int().min(1).max(MAX_PIECES, `A row holds at most ${MAX_PIECES} pieces.`),
    mirror: z.boolean(),
    optional: z.boolean(),
    why: z.string().max(300),
    /** What a piece of a custom kind measures as it lies; known kinds have no size of their own. */
    size: CustomSize.optional(),
    /** The length round the loop of a strap, in centimetres, if given. */
    loopCm: z.number('A loop is a number of centimetres.').min(20, 'A loop is at least 20 cm round.').optional(),
    /** How far the body is from the wall at the place of the row, in centimetres, if given. */
    wallCm: z
      .number('A distance from the wall is a number of centimetres.')
      .min(0, 'A distance from the wall is 0 cm or more.')
      .max(MAX_WALL_CM, `Farther than ${MAX_WALL_CM} cm the wall is out of reach.`)
      .optional(),
  })
  .superRefine((row, context) => {
    const refuse = (path: string, message: string) => context.addIssue({ code: 'custom', path: [path], message });
    const { label, states } = propKind(row.kind);
    if (isCustomKind(row.kind)) {
      if (!row.size) refuse('size', `A ${label} is a custom prop: its measurements are needed.`);
    } else {
      if (row.size) refuse('size', `What a ${label} measures is known.`);
      if (!propState(row.kind, row.state))
        refuse('state', `A ${label} has no state “${row.state}”; it has: ${Object.keys(states).join(', ')}.`);
    }
    if (row.wallCm !== undefined && row.kind !== 'wall') refuse('wallCm', 'Only the wall has a distance from it.');
    if (row.loopCm === undefined) return;
    const most = longestLoopCm(row.count);
    if (row.kind !== 'strap' || row.state !== 'loop') refuse('loopCm', 'Only a strap in a loop has a length of loop.');
    else if (row.loopCm > most) {
      const straps = Math.ceil(row.loopCm / longestLoopCm(1));
      refuse(
        'loopCm',
        `A strap of ${STRAP_CM} cm closes to a loop of ${longestLoopCm(1)} cm at most. Make it ${most} cm or less, or join ${straps} straps.`,
      );
    }
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
  /** Only of a custom kind. */
  size?: CustomSize;
  /** Only of what is put down if wanted. */
  optional?: true;
  /** Only of the wall, where the distance from it is given, in centimetres. */
  wallCm?: number;
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
export function placedProps(setUp: SetUp, held: 'left' | 'right' | 'both'): readonly PlacedProp[] {
  const known = placedBefore.get(setUp) ?? {};
  placedBefore.set(setUp, known);
  return held === 'right' ? (known.mirrored ??= placed(mirrorSetUp(setUp))) : (known.written ??= placed(setUp));
}

/** A set-up is never changed, only replaced: what lies in place for it is worked out once. */
const placedBefore = new WeakMap<SetUp, Partial<Record<'written' | 'mirrored', readonly PlacedProp[]>>>();

function placed(setUp: SetUp): PlacedProp[] {
  return setUp.flatMap(({ kind, state, lie, place, side, count, size, optional, wallCm }): PlacedProp[] => {
    const one = {
      kind,
      state,
      lie,
      place,
      side,
      count,
      ...(size && { size }),
      ...(optional && { optional: true as const }),
      ...(wallCm !== undefined && { wallCm }),
    };
    return side === 'each'
      ? [
          { ...one, side: 'left' },
          { ...one, side: 'right' },
        ]
      : [one];
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

/** Whether two set-ups lie the same, whatever their rows are called and why they are there. */
export const haveSameRows = (a: SetUp, b: SetUp): boolean => rowsToCompare(a) === rowsToCompare(b);

const rowsToCompare = (setUp: SetUp): string =>
  JSON.stringify(
    setUp.map(({ kind, state, lie, place, side, count, mirror, loopCm, wallCm }) => [
      kind,
      state,
      lie,
      place,
      side,
      count,
      mirror,
      loopCm ?? null,
      wallCm ?? null,
    ]),
  );
