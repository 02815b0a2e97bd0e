import { z } from 'zod';
import { CustomSize, PROP_PLACE_NAMES, SetUpRow } from '#core/props';

const PropKind = SetUpRow.shape.kind;

const Piece = z.object({
  kind: PropKind,
  state: z.string(),
  lie: z.enum(['lengthwise', 'crosswise']),
  place: z.enum(PROP_PLACE_NAMES),
  side: z.enum(['centre', 'left', 'right', 'each']),
  size: CustomSize.exactOptional(),
  optional: z.literal(true).exactOptional(),
});

/** Props of one sort in place at the body. */
export const PlacedProp = Piece.extend({ count: z.int() });

/** One thing done with one piece; turning a block onto another face is a refold. */
export const PropMove = z.discriminatedUnion('action', [
  z.object({ action: z.literal('putDown'), kind: PropKind, to: Piece }),
  z.object({ action: z.literal('takeAway'), kind: PropKind, from: Piece }),
  z.object({ action: z.literal('refold'), kind: PropKind, from: Piece, to: Piece }),
  z.object({ action: z.literal('move'), kind: PropKind, from: Piece, to: Piece }),
]);
