import { isCustomKind, pieceCount, placeInWords, propKind, propState, type SetUpRow } from '#core/props';

/** How big a piece of a custom kind is, as an outline has it: `40 × 30 × 20 cm, gives 2 cm`. */
const sizeInOutline = (size: NonNullable<SetUpRow['size']>): string =>
  `${size.widthCm} × ${size.depthCm} × ${size.heightCm} cm${size.shape === 'roll' ? ' roll' : ''}, gives ${size.giveCm} cm`;

/** A custom kind in quotation marks, with how it lies and its size; others by their name and their fold or face. */
function pieceInOutline({ kind, state, count, size }: SetUpRow): string {
  if (isCustomKind(kind)) {
    const name = `“${propKind(kind).label}”${state === '' ? '' : ` “${state}”`}`;
    return `${count > 1 ? `${count} ` : ''}${name}${size ? ` ${sizeInOutline(size)}` : ''}`;
  }
  const { label, states } = propKind(kind);
  const pieces = count > 1 ? pieceCount(kind, count) : label;
  return Object.keys(states).length > 1 ? `${pieces}, ${propState(kind, state)?.label ?? state}` : pieces;
}

/** A row of a set-up as an outline has it: `2 blocks, on its edge, under the forehead`; `more` stands at its end. */
export function rowInOutline(row: SetUpRow, more: readonly string[] = []): string {
  const { kind, state, place, side, loopCm, wallCm } = row;
  const piece = [pieceInOutline(row), loopCm === undefined ? '' : `${loopCm} cm round`].filter(Boolean).join(', ');
  const where = `${piece}${piece.includes(',') ? ',' : ''} ${placeInWords({ kind, state }, place)}`;
  const ends = [
    side === 'each' ? 'each side' : side === 'centre' ? '' : side,
    wallCm === undefined ? '' : `about ${wallCm} cm away`,
    ...more,
  ];
  return [where, ...ends].filter(Boolean).join(', ');
}
